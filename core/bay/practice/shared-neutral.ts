import { moveEnd } from '../faults/edit'
import { boardEnd, circuitWires } from '../faults/fault'
import type { Rig } from '../model/rig'

/** The circuit whose neutral serves the others too, at its first lamp. */
const KEPT = 'c1p1.N'

/** Every other circuit's neutral taken off the bar and joined to that of the first, as is found in old boards. */
export const withSharedNeutral = (rig: Rig): Rig =>
  circuitWires(rig, 'neutral').reduce((shared, wire) => {
    const end = boardEnd(rig, wire)
    return end && end.away !== KEPT ? moveEnd(shared, wire.id, end.atBoard, KEPT) : shared
  }, rig)
