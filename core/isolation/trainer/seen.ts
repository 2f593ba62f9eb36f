import type { Part } from '../../bay/model/rig'
import type { WorkPoint } from '../../drawing/point-of-work'
import type { Secured } from '../../drawing/securing'
import type { TrainerState } from './state'

/** What hangs at a device: another person's padlock as soon as it is off, one's own, a hasp, a notice. */
export function securedIn(
  { locks, hasps, notices, othersLock, bay, acts }: TrainerState,
  device: string,
): Secured {
  const last = acts.findLast((act) => act.kind === 'notice' && act.device === device)
  const written = last?.content?.length === 0 ? 'blank' : 'written'
  return {
    isLocked: locks.includes(device),
    hasHasp: hasps.includes(device) && !(bay.closed[device] ?? false),
    isLockedByOther: othersLock === device && !(bay.closed[device] ?? false),
    notice: notices.includes(device) ? written : 'none',
  }
}

const POINT_OF: Partial<Record<Part['kind'], WorkPoint>> = {
  socket: 'socket',
  lampholder: 'lamp',
  switch: 'switch',
  junction: 'box',
  device: 'unit',
  appliance: 'device',
}
/** What the point of work is drawn as. */
export const workPointOf = ({ kind }: Part): WorkPoint => POINT_OF[kind] ?? 'box'
