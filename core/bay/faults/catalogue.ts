import type { Rig } from '../model/rig'
import { BOARD_FAULTS } from './board'
import type { Fault, FaultKind, Place } from './fault'
import { LEAK_FAULTS } from './leak'
import { OPEN_FAULTS } from './open'
import { RING_FAULTS } from './rings'
import { RESISTANCE_FAULTS } from './resistance'
import { SWAPPED_FAULTS } from './swapped'
import { PLACE_FAULTS } from './wrong-place'
import { THING_FAULTS } from './wrong-thing'

/**
 * Every fault that is made by changing the rig, group by group. Bench slips are settings of an instrument,
 * not faults of a bay.
 */
export const FAULT_KINDS: readonly FaultKind[] = [
  ...OPEN_FAULTS,
  ...RESISTANCE_FAULTS,
  ...LEAK_FAULTS,
  ...SWAPPED_FAULTS,
  ...RING_FAULTS,
  ...PLACE_FAULTS,
  ...THING_FAULTS,
  ...BOARD_FAULTS,
]

const BY_CODE = new Map(FAULT_KINDS.map((kind) => [kind.code, kind]))

/** Does a planted fault stand for any size? */
export const hasAnySize = ({ code }: Fault): boolean => BY_CODE.get(code)?.isAnySize === true

/** Every single fault that this rig could have. */
export const possibleFaults = (rig: Rig): { readonly kind: FaultKind; readonly place: Place }[] =>
  FAULT_KINDS.flatMap((kind) => kind.places(rig).map((place) => ({ kind, place })))

/**
 * The rig with these faults, one after the other. A fault that has no such place in what is left is told by
 * its code.
 */
export function applyFaults(
  rig: Rig,
  faults: readonly Fault[],
): { readonly ok: true; readonly rig: Rig } | { readonly ok: false; readonly code: string } {
  let faulted = rig
  for (const { code, place, size } of faults) {
    const kind = BY_CODE.get(code)
    const where = kind?.places(faulted).find(({ key }) => key === place)
    if (!kind || !where) return { ok: false, code }
    faulted = kind.apply(faulted, where, size)
  }
  return { ok: true, rig: faulted }
}
