import type { Act } from '../model/act'
import { pairsWanted } from '../../policies/isolation'
import {
  BROKEN,
  IDLE,
  KEPT,
  OPEN,
  handsIn,
  isAcceptedProof,
  lastOf,
  mustFollow,
  placeOf,
  type Pass,
  type Rule,
  type Site,
} from '../model/rule'

/** Tests that decide: at the point of work, with an indicator that can prove anything. */
const CAN_PROVE = new Set(['two-pole', 'plug-in', undefined])
const deciding = (acts: readonly Act[], before = acts.length): number =>
  acts.findLastIndex(
    ({ kind, atPoint, indicator }, i) =>
      i < before && kind === 'testDead' && atPoint !== false && CAN_PROVE.has(indicator),
  )

/**
 * Good proof before, dead, good proof after, with the same indicator and no other test of proof failing
 * between.
 */
function verifiedAt({ acts }: Pass, site: Site, before: number): number {
  for (let test = deciding(acts, before); test !== -1; test = deciding(acts, test)) {
    const first = acts.findLastIndex(
      ({ kind, proof, shows }, i) =>
        i < test && kind === 'prove' && shows === true && isAcceptedProof(proof, site),
    )
    const after = acts.findIndex(
      ({ kind, proof }, i) => i > test && i < before && kind === 'prove' && isAcceptedProof(proof, site),
    )
    if (
      first === -1 ||
      after === -1 ||
      acts[test]!.shows ||
      !acts[after]!.shows ||
      acts[first]!.indicator !== acts[after]!.indicator
    )
      continue
    if (acts.slice(first, test).some(({ kind }) => kind === 'take')) continue
    return after
  }
  return -1
}

export const PROVE_RULES: readonly Rule[] = [
  {
    code: 'provedBefore',
    part: 'prove',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts, ever }, site) => {
      const test = placeOf(acts, 'testDead')
      const all = [...ever, ...acts]
      const end = test === -1 ? all.length : ever.length + test
      const taken = lastOf(all, 'take', end)
      const proof = all.findLastIndex(
        ({ kind, proof: on, shows }, i) =>
          i < end && i > taken && kind === 'prove' && shows === true && isAcceptedProof(on, site),
      )
      if (proof !== -1) return KEPT(proof >= ever.length ? proof - ever.length : undefined)
      return test === -1 ? OPEN : BROKEN(test)
    },
  },
  {
    code: 'proofElsewhere',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    judge: ({ acts }) => {
      const wrong = acts.findIndex(({ proof }) => proof === 'same-circuit')
      if (wrong !== -1) return BROKEN(wrong)
      return placeOf(acts, 'prove') === -1 ? OPEN : KEPT()
    },
  },
  {
    code: 'deadAtPoint',
    part: 'prove',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts }) => {
      const hands = handsIn(acts)
      const off = placeOf(acts, 'switchOff')
      const tests = acts.flatMap(({ kind, atPoint, indicator }, i) =>
        kind === 'testDead' && i > off && (hands === -1 || i < hands)
          ? [{ i, isRight: atPoint !== false && CAN_PROVE.has(indicator) }]
          : [],
      )
      const right = tests.find(({ isRight }) => isRight)
      if (right) return KEPT(right.i)
      if (hands !== -1) return BROKEN(hands)
      const last = tests.at(-1)
      const isProvedAfter = last && acts.some(({ kind }, i) => kind === 'prove' && i > last.i)
      return isProvedAfter ? BROKEN(tests[0]!.i) : OPEN
    },
  },
  {
    code: 'everyPair',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'fault',
    judge: ({ acts }, site) => {
      const test = deciding(acts)
      if (test === -1) return OPEN
      // A plug-in indicator looks at every pair of a socket by itself.
      if (acts[test]!.indicator === 'plug-in' || acts[test]!.shows) return IDLE
      const pairs = acts.reduce(
        (most, { kind, pairs: count }) => (kind === 'testDead' ? Math.max(most, count ?? 0) : most),
        0,
      )
      return pairs >= pairsWanted(site.phases, site.policy) ? KEPT(test) : BROKEN(test)
    },
  },
  {
    code: 'provedAfter',
    part: 'prove',
    isOwed: true,
    seriousness: () => 'critical',
    judge: (pass, site) => {
      const { acts } = pass
      const hands = handsIn(acts)
      const until = hands === -1 ? acts.length : hands
      const test = deciding(acts, until)
      if (test === -1) return OPEN
      if (acts[test]!.shows) return IDLE
      const after = acts.findIndex(
        ({ kind, proof }, i) => i > test && i < until && kind === 'prove' && isAcceptedProof(proof, site),
      )
      if (after !== -1) return KEPT(after)
      return hands === -1 ? OPEN : BROKEN(hands)
    },
  },
  {
    code: 'stoppedAtFailedProof',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    judge: ({ acts }, site) => {
      const test = deciding(acts)
      const failed = acts.findIndex(
        ({ kind, shows }, i) => i > test && test !== -1 && kind === 'prove' && shows === false,
      )
      if (failed === -1) return IDLE
      const hands = placeOf(acts, ['open', 'touch'], failed)
      if (hands === -1) return KEPT(failed)
      return verifiedAt({ acts: acts.slice(failed + 1), ever: [], offset: 0 }, site, hands - failed - 1) ===
        -1
        ? BROKEN(hands)
        : KEPT(failed)
    },
  },
  {
    code: 'handsAfterDead',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    judge: (pass, site) => {
      const hands = handsIn(pass.acts)
      if (hands === -1) return OPEN
      return verifiedAt(pass, site, hands) === -1 ? BROKEN(hands) : KEPT(hands)
    },
  },
  {
    code: 'notOnLive',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    judge: ({ acts }) => {
      const live = acts.findIndex(
        ({ kind, shows }) =>
          (kind === 'testDead' || kind === 'testTerminals' || kind === 'testSeparated') && shows === true,
      )
      if (live === -1) return IDLE
      // Nothing but standing back, proving again or starting again.
      const next = acts.findIndex(
        ({ kind }, i) => i > live && (kind === 'open' || kind === 'touch' || kind === 'separate'),
      )
      const tested = acts.findIndex(
        ({ kind, shows }, i) =>
          i > live &&
          (kind === 'testDead' || kind === 'testTerminals' || kind === 'testSeparated') &&
          shows === false,
      )
      if (next === -1 || (tested !== -1 && tested < next)) return KEPT(live)
      return BROKEN(next)
    },
  },
  {
    code: 'retested',
    part: 'prove',
    isOwed: false,
    seriousness: ({ level, policy }) =>
      policy.retest === 'everybody' || level === 'second' ? 'fault' : 'note',
    judge: ({ acts }) => mustFollow(acts, 'open', 'testTerminals', ['touch', 'separate', 'cover']),
  },
  {
    code: 'separatedTested',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'fault',
    judge: ({ acts }) =>
      placeOf(acts, 'separate') === -1
        ? IDLE
        : mustFollow(acts, 'separate', 'testSeparated', ['touch', 'cover']),
  },
  {
    code: 'taped',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'note',
    judge: ({ acts }) => {
      const separated = placeOf(acts, 'separate')
      if (separated === -1) return IDLE
      const tape = placeOf(acts, 'tape', separated)
      if (tape !== -1) return KEPT(tape)
      return placeOf(acts, 'cover', separated) === -1 ? OPEN : BROKEN(separated)
    },
  },
]
