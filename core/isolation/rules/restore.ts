import type { Act } from '../model/act'
import {
  BROKEN,
  IDLE,
  KEPT,
  OPEN,
  backOn,
  mustComeBefore,
  placeOf,
  switchedOff,
  type Judged,
  type Pass,
  type Rule,
} from '../model/rule'

/** Only once restoring has begun: a finished isolation may end while the work goes on. */
const onceRestoring =
  (judge: (pass: Pass) => Judged) =>
  (pass: Pass): Judged =>
    placeOf(pass.acts, ['removeOwnLock', 'removeOthersLock', 'switchOn', 'informAgain', 'cover']) === -1
      ? OPEN
      : judge(pass)

/**
 * Nothing is energised while it is open: a cover taken off is on again before the supply of the work comes
 * back.
 */
function coveredWhenOn({ acts, ever }: Pass): Judged {
  if (placeOf([...ever, ...acts], ['open', 'coverAsLive']) === -1) return IDLE
  const device = switchedOff(acts)
  const changes = ({ kind }: Act) => kind === 'open' || kind === 'coverAsLive' || kind === 'cover'
  const before = ever.findLast(changes)
  let isOpen = before !== undefined && before.kind !== 'cover'
  for (const [i, { kind, device: on }] of acts.entries()) {
    if (changes(acts[i]!)) isOpen = kind !== 'cover'
    const isOwn = on === undefined || device === undefined || on === device
    if (kind === 'switchOn' && isOpen && isOwn) return BROKEN(i)
  }
  return isOpen ? OPEN : KEPT(acts.findLastIndex(({ kind }) => kind === 'cover'))
}

/** Devices that still carry somebody's own lock or notice. */
function leftBehind(acts: readonly Act[]): readonly string[] {
  const left = new Map<string, number>()
  const change = { lock: 1, notice: 1, removeOwnLock: -1, removeNotice: -1 } as const
  for (const { kind, device } of acts)
    if (device !== undefined && kind in change)
      left.set(device, (left.get(device) ?? 0) + change[kind as keyof typeof change])
  return [...left].flatMap(([device, count]) => (count > 0 ? [device] : []))
}

export const RESTORE_RULES: readonly Rule[] = [
  {
    code: 'ownLockOnly',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'critical',
    judge: ({ acts }) => {
      const others = placeOf(acts, 'removeOthersLock')
      if (others !== -1) return BROKEN(others)
      const removedAt = placeOf(acts, 'removeOwnLock')
      return removedAt === -1 ? OPEN : KEPT(removedAt)
    },
  },
  {
    code: 'covered',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'critical',
    judge: onceRestoring(coveredWhenOn),
  },
  {
    code: 'toolsClear',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'note',
    judge: onceRestoring(({ acts }) => mustComeBefore(acts, 'clearTools', backOn(acts))),
  },
  {
    code: 'informedAgain',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'fault',
    judge: onceRestoring(({ acts }) => mustComeBefore(acts, 'informAgain', backOn(acts))),
  },
  {
    code: 'noticeOff',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'note',
    judge: onceRestoring(({ acts }) =>
      placeOf(acts, 'notice') === -1 ? IDLE : mustComeBefore(acts, 'removeNotice', backOn(acts)),
    ),
  },
  {
    code: 'othersPutBack',
    part: 'restore',
    isOwed: true,
    seriousness: () => 'fault',
    judge: ({ acts, ever }) => {
      if (ever.length === 0) return IDLE
      const switchedDevices = switchedOff(acts)
      const left = leftBehind([...ever, ...acts]).filter((device) => device !== switchedDevices)
      if (left.length > 0) return OPEN
      return ever.some(({ kind }) => kind === 'lock') ? KEPT() : IDLE
    },
  },
  {
    code: 'functionChecked',
    part: 'restore',
    isOwed: true,
    seriousness: () => 'fault',
    judge: ({ acts }) => {
      const on = backOn(acts)
      if (on === -1) return IDLE
      const checked = placeOf(acts, 'checkFunction', on)
      if (checked !== -1) return KEPT(checked)
      return placeOf(acts, 'handBack', on) === -1 ? OPEN : BROKEN(on)
    },
  },
  {
    code: 'permitBack',
    part: 'restore',
    isOwed: true,
    seriousness: () => 'critical',
    judge: ({ acts, ever }, { needsPermit, policy }) => {
      if (!needsPermit || placeOf([...ever, ...acts], 'permit') === -1) return IDLE
      const [back, on] = [placeOf(acts, 'handBack'), backOn(acts)]
      if (policy.permitReturn === 'before' && on !== -1) {
        const isInTime = back !== -1 && back < on
        return isInTime ? KEPT(back) : BROKEN(on)
      }
      if (back !== -1) return KEPT(back)
      // Before the supply comes back it is due as soon as the lock is off.
      const isDue = policy.permitReturn === 'before' ? placeOf(acts, 'removeOwnLock') !== -1 : on !== -1
      return isDue ? OPEN : IDLE
    },
  },
]
