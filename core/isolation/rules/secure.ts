import {
  BROKEN,
  IDLE,
  KEPT,
  OPEN,
  handsIn,
  mustFollow,
  placeOf,
  switchedOff,
  type Judged,
  type Rule,
} from '../model/rule'
import type { Act, ActKind } from '../model/act'

/** After switching off, and before hands go in. */
const beforeHands = (acts: readonly Act[], kind: ActKind): Judged =>
  mustFollow(acts, 'switchOff', kind, ['open', 'touch'])

/** Locked before the test for dead; locked later, the test is made again before hands go in. */
function lockedBeforeTest(acts: readonly Act[]): Judged {
  const locked = beforeHands(acts, 'lock')
  if (locked.state !== 'kept') return locked
  const off = placeOf(acts, 'switchOff')
  const tested = placeOf(acts, 'testDead', off)
  if (tested === -1 || locked.at! < tested) return locked
  const hands = handsIn(acts)
  const again = placeOf(acts, 'testDead', locked.at!)
  if (again !== -1 && (hands === -1 || again < hands)) return locked
  return hands === -1 ? OPEN : BROKEN(tested)
}

/** The lock is on the device that was switched off, and on no other one. */
function lockedRight(acts: readonly Act[]): Judged {
  const device = switchedOff(acts)
  const hands = handsIn(acts)
  const locks = acts.flatMap(({ kind, device: on }, i) =>
    kind === 'lock' && on !== undefined && (hands === -1 || i < hands) ? [{ i, on }] : [],
  )
  if (device === undefined || locks.length === 0) return IDLE
  const right = locks.find(({ on }) => on === device)
  if (right) return KEPT(right.i)
  return hands === -1 ? OPEN : BROKEN(locks[0]!.i)
}

export const SECURE_RULES: readonly Rule[] = [
  {
    code: 'locked',
    part: 'secure',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts }) => lockedBeforeTest(acts),
  },
  {
    code: 'lockedRight',
    part: 'secure',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts }) => lockedRight(acts),
  },
  {
    code: 'lockedAtOnce',
    part: 'secure',
    isOwed: false,
    // Put right before hands go in, it exposed nobody.
    seriousness: () => 'note',
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
      const lock = placeOf(acts, 'lock')
      if (lock === -1) return OPEN
      const hands = handsIn(acts)
      const left = acts.findLastIndex(({ kind }, i) => kind === 'leaveKey' && (hands === -1 || i < hands))
      // A key that was left and is fetched before hands go in is kept after all.
      const kept = placeOf(acts, 'keepKey', Math.max(lock, left))
      if (kept !== -1 && (hands === -1 || kept < hands)) return KEPT(kept)
      if (hands !== -1) return BROKEN(left === -1 ? hands : left)
      return OPEN
    },
  },
  {
    code: 'noticed',
    part: 'secure',
    isOwed: true,
    seriousness: ({ policy }) => (policy.notice === 'required' ? 'fault' : 'note'),
    judge: ({ acts }) => beforeHands(acts, 'notice'),
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
