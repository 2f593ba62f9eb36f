import type { Rig } from '../model/rig'
import { partIdOf } from '../model/terminals'

/** What somebody points at on the drawing of a bay, by its name in the rig. */
export interface Pointed {
  readonly is: 'part' | 'terminal' | 'wire'
  readonly id: string
}

/**
 * Is a fault, by the names of where it is, at what is pointed at? A conductor has what is along it and in its run; a
 * terminal what is at it and at the conductors that end there; a part what is at its terminals, and its way what is in
 * the circuit as a whole.
 */
export function isAtPlace(rig: Rig, at: readonly string[], { is, id }: Pointed): boolean {
  const names = new Set(at)
  if (names.has(id)) return true
  if (is === 'wire') {
    const run = rig.wires.find((wire) => wire.id === id)?.run
    return run !== undefined && run !== null && names.has(run)
  }
  const isHere = (ref: string) => (is === 'terminal' ? ref === id : partIdOf(ref) === id)
  // A termination is at its own end of the conductor, not at the other.
  const terminals = at.filter((name) => name.includes('.'))
  if (terminals.length > 0) return terminals.some(isHere)
  if (rig.wires.some((wire) => names.has(wire.id) && (isHere(wire.from) || isHere(wire.to)))) return true
  if (is === 'terminal') return false
  const part = rig.parts.find((one) => one.id === id)
  const isWayOf = part?.kind === 'device' && part.circuit !== null && names.has(part.circuit)
  return isWayOf
}
