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
  type Judged,
  type Pass,
  type Rule,
  type Site,
} from '../model/rule'
import { CAN_PROVE, decidingTest, isSameIndicator, proofsAround, verifiedAt } from './verified'

/**
 * Before the first test for dead the indicator was seen to work; what was proved in an earlier pass still
 * holds.
 */
function provedBeforeFirst({ acts, ever }: Pass, site: Site): Judged {
  const test = placeOf(acts, 'testDead')
  const all = [...ever, ...acts]
  const end = test === -1 ? all.length : ever.length + test
  const taken = lastOf(all, 'take', end)
  const isProof = ({ kind, proof, shows }: Act) =>
    kind === 'prove' && shows === true && isAcceptedProof(proof, site)
  const proof = all.findLastIndex(
    (act, i) => i < end && i > taken && isProof(act) && (test === -1 || isSameIndicator(act, acts[test]!)),
  )
  if (proof !== -1) return KEPT(proof >= ever.length ? proof - ever.length : undefined)
  return test === -1 ? OPEN : BROKEN(test)
}

/**
 * What was forgotten can be put right until hands go in: kept once it is, open while there is time; nothing
 * once it is too late.
 */
function putRight(pass: Pass, site: Site): Judged | undefined {
  const hands = handsIn(pass.acts)
  const verified = verifiedAt(pass, site, hands === -1 ? pass.acts.length : hands)
  if (verified !== -1) return KEPT(verified)
  return hands === -1 ? OPEN : undefined
}

/** The test that decides before hands go in: its pairs count, and not those of another one. */
function pairsTest(acts: readonly Act[]): number {
  const hands = handsIn(acts)
  return decidingTest(acts, hands === -1 ? acts.length : hands)
}

export const PROVE_RULES: readonly Rule[] = [
  {
    code: 'provedBefore',
    part: 'prove',
    isOwed: true,
    seriousness: () => 'critical',
    judge: (pass, site) => {
      const { state, at } = provedBeforeFirst(pass, site)
      if (state !== 'broken') return { state, at }
      // Proof, test and proof again before hands go in put it right.
      return putRight(pass, site) ?? { state, at }
    },
  },
  {
    code: 'provedFirst',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'note',
    judge: (pass, site) => {
      const judged = provedBeforeFirst(pass, site)
      return judged.state === 'broken' && putRight(pass, site)?.state === 'kept' ? judged : IDLE
    },
  },
  {
    code: 'oneIndicator',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    judge: (pass, site) => {
      const { acts } = pass
      const hands = handsIn(acts)
      const until = hands === -1 ? acts.length : hands
      const verified = verifiedAt(pass, site, until)
      if (verified !== -1) return KEPT(verified)
      const test = decidingTest(acts, until)
      if (test === -1) return OPEN
      const { first, after } = proofsAround(acts, test, site, until)
      const others = [first, after].filter((i) => i !== -1 && !isSameIndicator(acts[i]!, acts[test]!))
      if (others.length === 0) return OPEN
      return hands === -1 ? OPEN : BROKEN(others[0]! < test ? test : others[0])
    },
  },
  {
    code: 'proofElsewhere',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    judge: (pass, site) => {
      const wrong = pass.acts.findIndex(({ proof }) => proof === 'same-circuit')
      if (wrong === -1) return placeOf(pass.acts, 'prove') === -1 ? OPEN : KEPT()
      return putRight(pass, site) ?? BROKEN(wrong)
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
      const test = pairsTest(acts)
      if (test === -1) return OPEN
      const { indicator, shows, pairs = 0 } = acts[test]!
      // A plug-in indicator looks at every pair of a socket by itself; one pair alone has a rule of its own.
      if (indicator === 'plug-in' || shows || pairs === 1) return IDLE
      return pairs >= pairsWanted(site.phases, site.policy) ? KEPT(test) : BROKEN(test)
    },
  },
  {
    code: 'morePairsThanOne',
    part: 'prove',
    isOwed: false,
    seriousness: ({ policy }) => policy.singlePair,
    judge: ({ acts }) => {
      const test = pairsTest(acts)
      if (test === -1) return OPEN
      const { indicator, shows, pairs } = acts[test]!
      if (indicator === 'plug-in' || shows || pairs !== 1) return IDLE
      return handsIn(acts) === -1 ? OPEN : BROKEN(test)
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
      const test = decidingTest(acts, until)
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
      const test = decidingTest(acts)
      const failed = acts.findIndex(
        ({ kind, shows }, i) => i > test && test !== -1 && kind === 'prove' && shows === false,
      )
      if (failed === -1) return IDLE
      const hands = placeOf(acts, ['open', 'touch'], failed)
      if (hands === -1) return KEPT(failed)
      return verifiedAt({ acts: acts.slice(failed + 1) }, site, hands - failed - 1) === -1
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
