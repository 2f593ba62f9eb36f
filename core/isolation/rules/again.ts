import type { Act, ActKind } from '../model/act'
import {
  BROKEN,
  IDLE,
  KEPT,
  OPEN,
  placeOf,
  type Judged,
  type Pass,
  type Rule,
  type Site,
} from '../model/rule'
import { verifiedAt } from './verified'

const HANDS = ['open', 'touch', 'separate'] as const

/** Proved dead anew between this act and the next hands. */
function provedAgain({ acts }: Pass, site: Site, from: number): Judged {
  const hands = placeOf(acts, HANDS, from)
  const later = acts.slice(from)
  const verified = verifiedAt({ acts: later }, site, hands === -1 ? later.length : hands - from)
  if (verified !== -1) return KEPT(from + verified)
  return hands === -1 ? OPEN : BROKEN(hands)
}

const isLocked = (acts: readonly Act[], before: number): boolean =>
  acts.slice(0, before).findLast(({ kind }) => kind === 'lock' || kind === 'removeOwnLock')?.kind === 'lock'

/** Places of this act while the supply is off. */
const whileOff = (acts: readonly Act[], wanted: ActKind): readonly number[] =>
  acts.flatMap(({ kind }, i) => {
    const last = acts.slice(0, i).findLast((act) => act.kind === 'switchOff' || act.kind === 'switchOn')
    return kind === wanted && last?.kind === 'switchOff' ? [i] : []
  })

/** Every occasion counts: one that was broken, else one that is still open, else the last. */
const everyTime = (occasions: readonly Judged[]): Judged =>
  occasions.find(({ state }) => state === 'broken') ??
  occasions.find(({ state }) => state === 'open') ??
  occasions.at(-1) ??
  IDLE

/** Left locked off; or locked and proved dead after coming back, which exposed nobody. */
function leftLocked({ acts }: Pass, site: Site, left: number): Judged {
  if (isLocked(acts, left)) return KEPT(left)
  const hands = placeOf(acts, HANDS, left)
  if (hands === -1) return OPEN
  const lock = placeOf(acts, 'lock', left)
  const isPutRight =
    lock !== -1 && lock < hands && verifiedAt({ acts: acts.slice(lock) }, site, hands - lock) !== -1
  return isPutRight ? KEPT(lock) : BROKEN(left)
}

/** Whoever takes over hangs an own lock and proves for themselves. */
function takenOver(pass: Pass, site: Site, over: number): Judged {
  const hands = placeOf(pass.acts, HANDS, over)
  const lock = placeOf(pass.acts, 'lock', over)
  const isLockedAnew = lock !== -1 && (hands === -1 || lock < hands)
  if (isLockedAnew) return provedAgain(pass, site, over)
  return hands === -1 ? OPEN : BROKEN(hands)
}

/** What must be shown again: after coming back to the bay, and when somebody else takes over. */
export const AGAIN_RULES: readonly Rule[] = [
  {
    code: 'lockedWhileAway',
    part: 'secure',
    isOwed: false,
    seriousness: () => 'critical',
    judge: (pass, site) =>
      everyTime(whileOff(pass.acts, 'leave').map((left) => leftLocked(pass, site, left))),
  },
  {
    code: 'provedOnReturn',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'fault',
    judge: (pass, site) =>
      everyTime(
        whileOff(pass.acts, 'return').map((back) => {
          const isEnough = site.policy.onReturn === 'lock-holds' && isLocked(pass.acts, back)
          return isEnough ? KEPT(back) : provedAgain(pass, site, back)
        }),
      ),
  },
  {
    code: 'provedOnHandOver',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    judge: (pass, site) =>
      everyTime(whileOff(pass.acts, 'handOver').map((over) => takenOver(pass, site, over))),
  },
]
