import type { Act } from '../model/act'
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

/** What must be shown again: after coming back to the bay, and when somebody else takes over. */
export const AGAIN_RULES: readonly Rule[] = [
  {
    code: 'lockedWhileAway',
    part: 'secure',
    isOwed: false,
    seriousness: () => 'critical',
    judge: ({ acts }) => {
      const off = placeOf(acts, 'switchOff')
      const left = off === -1 ? -1 : placeOf(acts, 'leave', off)
      if (left === -1) return IDLE
      if (isLocked(acts, left)) return KEPT(left)
      // Nobody was exposed where it was proved dead anew before hands went in again.
      return placeOf(acts, HANDS, left) === -1 ? OPEN : BROKEN(left)
    },
  },
  {
    code: 'provedOnReturn',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'fault',
    judge: (pass, site) => {
      const off = placeOf(pass.acts, 'switchOff')
      const back = off === -1 ? -1 : pass.acts.findLastIndex(({ kind }, i) => kind === 'return' && i > off)
      if (back === -1) return IDLE
      const isEnough = site.policy.onReturn === 'lock-holds' && isLocked(pass.acts, back)
      return isEnough ? KEPT(back) : provedAgain(pass, site, back)
    },
  },
  {
    code: 'provedOnHandOver',
    part: 'prove',
    isOwed: false,
    seriousness: () => 'critical',
    // Whoever takes over hangs an own lock and proves for themselves.
    judge: (pass, site) => {
      const over = placeOf(pass.acts, 'handOver')
      if (over === -1) return IDLE
      const hands = placeOf(pass.acts, HANDS, over)
      const lock = placeOf(pass.acts, 'lock', over)
      const isLockedAnew = lock !== -1 && (hands === -1 || lock < hands)
      if (isLockedAnew) return provedAgain(pass, site, over)
      return hands === -1 ? OPEN : BROKEN(hands)
    },
  },
]
