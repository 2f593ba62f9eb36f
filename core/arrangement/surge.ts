import { seatsOf, type EmptyBoard, type SeatedCircuit, type Seating } from './board'

/** Width of a module, mm; BS EN 60898-1 and DIN rail practice, common practice, no source. */
const MODULE_MM = 18
/** Up and down to the terminals, whatever stands where, mm; common practice, no source. */
const ENDS_MM = 200
/**
 * All leads of an SPD together are best no longer than this, and never twice as long, m; BS 7671 534.4.8,
 * from memory.
 */
export const SURGE_LEAD_M = 0.5

/** Leads from the device of an SPD to it, and on to the earth bar at the incoming end, m, by the seats of the two. */
export const surgeLeadM = (device: number, spd: number): number =>
  (ENDS_MM + MODULE_MM * (Math.abs(spd - device) + spd)) / 1e3

/** Of a seating; null where the board has no SPD. */
export function leadOf(circuits: readonly SeatedCircuit[], seating: Seating): number | null {
  const seatOf = (which: SeatedCircuit['surge']) =>
    seating.indexOf(circuits.findIndex(({ surge }) => surge === which))
  const [device, spd] = [seatOf('device'), seatOf('spd')]
  return device < 0 || spd < 0 ? null : surgeLeadM(device, spd)
}

/** The shortest that it can be on a board: the SPD in its first way, its device in the next. */
export const shortestLeadM = (board: EmptyBoard): number =>
  seatsOf(board) > board.phases ? surgeLeadM(board.phases, 0) : surgeLeadM(0, 0)

/** Circuits alone, without what protects the board. */
export const circuitsAlone = (circuits: readonly SeatedCircuit[]): SeatedCircuit[] =>
  circuits.filter(({ surge }) => surge === undefined)
