import { BROKEN, IDLE, KEPT, OPEN, handsIn, mustFollow, placeOf, type Judged, type Rule } from '../model/rule'
import type { Act, ActKind } from '../model/act'

/** After switching off and before the dead test. */
const betweenOffAndTest = (acts: readonly Act[], kind: ActKind): Judged =>
  mustFollow(acts, 'switchOff', kind, ['testDead', 'open', 'touch'])

export const SECURE_RULES: readonly Rule[] = [
  {
    code: 'locked',
    part: 'secure',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts }) => betweenOffAndTest(acts, 'lock'),
  },
  {
    code: 'lockedAtOnce',
    part: 'secure',
    isOwed: false,
    seriousness: () => 'fault',
    judge: ({ acts }) => {
      const off = placeOf(acts, 'switchOff')
      const lock = placeOf(acts, 'lock', off)
      if (off === -1 || lock === -1) return OPEN
      const away = acts.findIndex(
        ({ place }, i) => i > off && i < lock && place !== undefined && place !== 'board',
      )
      return away === -1 ? KEPT(lock) : BROKEN(away)
    },
  },
  {
    code: 'keyKept',
    part: 'secure',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts }) => {
      const left = placeOf(acts, 'leaveKey')
      if (left !== -1) return BROKEN(left)
      const lock = placeOf(acts, 'lock')
      if (lock === -1) return OPEN
      const kept = placeOf(acts, 'keepKey', lock)
      if (kept !== -1) return KEPT(kept)
      const hands = handsIn(acts)
      return hands === -1 ? OPEN : BROKEN(hands)
    },
  },
  {
    code: 'noticed',
    part: 'secure',
    isOwed: true,
    seriousness: ({ policy }) => (policy.notice === 'required' ? 'fault' : 'note'),
    judge: ({ acts }) => betweenOffAndTest(acts, 'notice'),
  },
  {
    code: 'neutralMinded',
    part: 'secure',
    isOwed: true,
    seriousness: ({ policy }) => (policy.method === 'breaker' ? 'note' : 'fault'),
    judge: ({ acts }, { policy }) => {
      const off = placeOf(acts, 'switchOff')
      if (off === -1) return OPEN
      if (acts[off]!.isMain) return policy.method === 'main-switch' ? KEPT(off) : IDLE
      if (policy.method === 'main-switch') return BROKEN(off)
      const minded = placeOf(
        acts,
        policy.method === 'breaker' ? ['warnNeutral', 'separate'] : 'separate',
        off,
      )
      if (minded !== -1) return KEPT(minded)
      const done = placeOf(acts, ['touch', 'cover'], off)
      return done === -1 ? OPEN : BROKEN(done)
    },
  },
]
