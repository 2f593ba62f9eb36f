import type { EmptyBoard, SeatedCircuit } from './board'
import { neutralOf } from './measure'
import type { Weights } from './wishes'

/** Up to so many single-phase circuits every way of sharing them among the lines is looked at. */
const EVERY_SHARING = 11

/**
 * What no seating can fall below: the least neutral current of any sharing among the lines, the warmth that the
 * poles of a three-phase device give each other, one change for each part of the building but the first.
 */
export function lowerBound(circuits: readonly SeatedCircuit[], board: EmptyBoard, weights: Weights): number {
  const areas = new Set(circuits.map(({ area }) => area)).size
  return (
    (weights.together * Math.max(0, areas - 1)) / Math.max(1, circuits.length) +
    weights.balance * leastUnbalance(circuits, board) +
    weights.heat * ownWarmth(circuits, board)
  )
}

/** Poles of one device stand side by side whatever is done: over all losses squared, as it is counted. */
function ownWarmth(circuits: readonly SeatedCircuit[], { phases }: EmptyBoard): number {
  if (phases === 1) return 0
  const squares = circuits.reduce((sum, { heatW, phases: n }) => sum + n * heatW ** 2, 0)
  const own = circuits.reduce((sum, { heatW, phases: n }) => sum + (n === 3 ? 2 * heatW ** 2 : 0), 0)
  return squares === 0 ? 0 : own / squares
}

function leastUnbalance(circuits: readonly SeatedCircuit[], { phases }: EmptyBoard): number {
  const all = circuits.reduce((sum, { currentA, phases: n }) => sum + currentA * n, 0)
  if (phases === 1 || all === 0) return 0
  const third = circuits.reduce((sum, one) => sum + one.currentA * one.thirdShare * one.phases, 0)
  const single = circuits
    .filter((circuit) => circuit.phases === 1)
    .map(({ currentA }) => currentA)
    .sort((a, b) => b - a)
  const leastA = single.length <= EVERY_SHARING ? leastNeutral(single) : largestAlone(single)
  return Math.hypot(leastA, third) / (all / 3)
}

/** A single load larger than all others together leaves a neutral current that nothing balances. */
const largestAlone = ([most = 0, ...rest]: readonly number[]): number =>
  Math.max(0, most - rest.reduce((sum, one) => sum + one, 0) / 2)

/** The least neutral current of any sharing; the first circuit stands on L1, since the lines are alike. */
function leastNeutral([first = 0, ...rest]: readonly number[]): number {
  const lines = [first, 0, 0]
  let least = Infinity
  const share = (at: number): void => {
    if (at === rest.length) {
      least = Math.min(least, neutralOf(lines, 0))
      return
    }
    for (let line = 0; line < 3; line++) {
      lines[line]! += rest[at]!
      share(at + 1)
      lines[line]! -= rest[at]!
    }
  }
  share(0)
  return least
}
