import { ZERO, add, magnitude, subtract } from '../network/complex'
import { boardEnd } from '../faults/fault'
import { display, refused, type Reading, type Scale } from './reading'
import { solveWith } from './measure'
import type { Bench } from './setup'

const SCALE: Scale = {
  quantity: 'current',
  ranges: [
    { end: 0.3999, step: 0.0001 },
    { end: 3.999, step: 0.001 },
    { end: 39.99, step: 0.01 },
    { end: 399.9, step: 0.1 },
  ],
  accuracy: { relative: 0.02, digits: 5 },
}

/** Nothing is in use behind a conductor that carries less, A. */
const IDLE_A = 1e-4

/**
 * Clamp around these conductors together, A: one shows its current, line and neutral together what does not
 * come back.
 */
export function readClamp(bench: Bench, wires: readonly string[], error = 0): Reading {
  const solved = solveWith(bench, 50) ?? solveWith(bench, 0)
  if (!solved) return refused('current', 'unsolved')
  const total = wires.reduce((sum, id) => {
    const wire = bench.rig.wires.find((candidate) => candidate.id === id)
    if (!wire) return sum
    // All counted as they leave the board, whichever way somebody wrote them down.
    const isOutward = boardEnd(bench.rig, wire)?.atBoard !== wire.to
    return isOutward ? add(sum, solved.ampere(id)) : subtract(sum, solved.ampere(id))
  }, ZERO)
  const ampere = magnitude(total)
  // Line and neutral together read nothing when all comes back: that is a reading, and no lack of one.
  const isIdle = wires.every((id) => magnitude(solved.ampere(id)) < IDLE_A)
  return display(SCALE, ampere, error, isIdle ? [{ code: 'nothingFlows', params: {} }] : [])
}
