import {
  BROKEN,
  IDLE,
  KEPT,
  OPEN,
  handsIn,
  isIsolating,
  mustFollow,
  openedBefore,
  placeOf,
  switchedOff,
  type Judged,
  type Rule,
} from '../model/rule'
import { NOTICE_PARTS, type Act, type ActKind } from '../model/act'

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

const ONE_POLE = new Set<Act['deviceKind']>(['single-pole-breaker', 'fuse'])

/** One of the opened devices does it; nothing is said where the kind of one was not put down. */
function openedRight(acts: readonly Act[], isRight: (act: Act) => boolean): Judged {
  const opened = openedBefore(acts)
  if (opened.length === 0 || opened.some((i) => acts[i]!.deviceKind === undefined)) return IDLE
  const right = opened.findLast((i) => isRight(acts[i]!))
  if (right !== undefined) return KEPT(right)
  return handsIn(acts) === -1 ? OPEN : BROKEN(opened.at(-1))
}

/** Every one of these before hands go in. */
function beforeHandsAll(acts: readonly Act[], wanted: readonly ((act: Act) => boolean)[]): Judged {
  const hands = handsIn(acts)
  const due = hands === -1 ? acts : acts.slice(0, hands)
  const isDone = wanted.every((is) => due.some(is))
  if (isDone) return KEPT(due.findLastIndex((act) => wanted.some((is) => is(act))))
  return hands === -1 ? OPEN : BROKEN(hands)
}

export const SECURE_RULES: readonly Rule[] = [
  {
    code: 'realIsolator',
    part: 'secure',
    isOwed: false,
    seriousness: () => 'critical',
    judge: ({ acts }) => openedRight(acts, isIsolating),
  },
  {
    code: 'bothPoles',
    part: 'secure',
    isOwed: false,
    seriousness: () => 'critical',
    // The neutral taken out of its bar opens the second pole by hand.
    judge: ({ acts }, { needsTwoPoles }) =>
      needsTwoPoles
        ? openedRight(
            acts,
            (act) => isIsolating(act) && (!ONE_POLE.has(act.deviceKind) || placeOf(acts, 'separate') !== -1),
          )
        : IDLE,
  },
  {
    code: 'secondSource',
    part: 'secure',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts, ever }, { secondSources = [] }) =>
      secondSources.length === 0
        ? IDLE
        : beforeHandsAll(
            acts,
            secondSources
              .filter((source) => !ever.some((act) => act.kind === 'isolateSource' && act.source === source))
              .map((source) => (act: Act) => act.kind === 'isolateSource' && act.source === source),
          ),
  },
  {
    code: 'everyOwnLock',
    part: 'secure',
    isOwed: true,
    seriousness: () => 'critical',
    // On a hasp, or with the key of the one lock in a safe that everybody's padlock shuts.
    judge: ({ acts }, { workers = 1 }) => {
      if (workers < 2) return IDLE
      const hands = handsIn(acts)
      const due = hands === -1 ? acts : acts.slice(0, hands)
      const count = (kind: ActKind) => due.filter((act) => act.kind === kind).length
      const isShared = count('hasp') + count('keySafe') > 0
      if (isShared && count('lock') > 0 && count('othersLock') >= workers - 1)
        return KEPT(due.findLastIndex(({ kind }) => kind === 'othersLock'))
      return hands === -1 ? OPEN : BROKEN(hands)
    },
  },
  {
    code: 'noticeContent',
    part: 'secure',
    isOwed: false,
    seriousness: ({ policy }) => (policy.notice === 'required' ? 'fault' : 'note'),
    judge: ({ acts }) => {
      const notices = acts.flatMap(({ kind, content }, i) =>
        kind === 'notice' && content ? [{ i, content }] : [],
      )
      const whole = notices.find(({ content }) => NOTICE_PARTS.every((part) => content.includes(part)))
      if (notices.length === 0) return IDLE
      return whole ? KEPT(whole.i) : BROKEN(notices[0]!.i)
    },
  },
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
        ({ kind, place }, i) =>
          i > off && i < lock && (kind === 'leave' || (place !== undefined && place !== 'board')),
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
      const kept = placeOf(acts, ['keepKey', 'keySafe'], Math.max(lock, left))
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
