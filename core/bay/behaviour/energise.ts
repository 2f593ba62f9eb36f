import type { DevicePart, Rig } from '../model/rig'
import type { Action } from './happenings'

/** Seconds between one hand movement and the next. */
const STEP_S = 0.5
const ORDER: readonly DevicePart['role'][] = ['main-switch', 'residual', 'way', 'isolator', 'connection-unit']

/** Energising in order: supply, main switch, RCDs, ways, isolators, and at last the switches. */
export function energiseInOrder(rig: Rig, startS = 0): Action[] {
  const devices = rig.parts
    .filter((part): part is DevicePart => part.kind === 'device')
    .sort((a, b) => ORDER.indexOf(a.role) - ORDER.indexOf(b.role) || (a.way ?? 0) - (b.way ?? 0))
  const switches = rig.parts.filter((part) => part.kind === 'switch' && part.action === 'one-way')
  const acts = [
    { kind: 'supply', on: true } as const,
    ...devices.map(({ id }) => ({ kind: 'close', part: id, on: true }) as const),
    ...switches.map(({ id }) => ({ kind: 'throw', part: id, on: true }) as const),
  ]
  return acts.map((act, i) => ({ ...act, atS: startS + i * STEP_S }))
}
