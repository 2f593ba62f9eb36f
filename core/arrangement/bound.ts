import { polesOf, seatsNeeded, seatsOf, type EmptyBoard, type SeatedCircuit } from './board'
import { neutralOf, ownWarmth } from './measure'
import { leadsLeft, rowBound } from './row-bound'
import { circuitsAlone } from './surge'
import { LEAKAGE_LIMIT_MA, type Weights } from './wishes'

/** Up to so many single-phase circuits every way of sharing them among the lines is looked at. */
const EVERY_SHARING = 11

/**
 * What no seating can fall below, wish by wish: the least neutral current of any sharing among the lines,
 * the least that neighbours can warm each other, the neutral leads for which no seat within reach is left,
 * one change for each part of the building but the first, leakage beyond what all RCDs together may carry.
 */
export function lowerBound(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  isThorough = false,
): number {
  return (
    weights.balance * leastUnbalance(circuits, board) +
    leastOfRow(circuits, board, weights, isThorough) +
    weights.leakage * leakageLeft(circuits, board)
  )
}

/** Warmth, gaps, changes and leads of the row: the better of two bounds. */
function leastOfRow(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  isThorough: boolean,
): number {
  const alone = circuitsAlone(circuits)
  const areas = new Set(alone.map(({ area }) => area)).size
  const changes = (weights.together * Math.max(0, areas - 1)) / Math.max(1, alone.length)
  const hasSpare = seatsOf(board) > seatsNeeded(circuits, board)
  const gapCost = hasSpare ? weights.spares / seatsOf(board) : Infinity
  return Math.max(
    changes +
      warmthAndGaps(circuits, board, weights) +
      (weights.reach * leadsLeft(circuits, board)) / Math.max(1, alone.length),
    weights.heat * ownWarmth(circuits, board) + rowBound(circuits, board, weights, { gapCost, isThorough }),
  )
}

/** Spare seats between the circuits keep them cool and are gaps: the best number of gaps for both wishes together. */
function warmthAndGaps(circuits: readonly SeatedCircuit[], board: EmptyBoard, weights: Weights): number {
  const seats = seatsOf(board)
  const own = ownWarmth(circuits, board)
  const mostGaps = Math.max(0, seats - seatsNeeded(circuits, board))
  const byGaps = Array.from(
    { length: mostGaps + 1 },
    (_, gaps) =>
      weights.heat * Math.max(own, leastWarmth(circuits, board, gaps)) + (weights.spares * gaps) / seats,
  )
  return Math.min(...byGaps)
}

/**
 * The losses of the row times those of the row moved on by one seat: least where the largest meet the smallest (the
 * rearrangement inequality), and where the largest of all stands at the end of both.
 */
function leastWarmth(circuits: readonly SeatedCircuit[], board: EmptyBoard, gaps: number): number {
  const poles = circuits.flatMap((circuit) =>
    Array.from({ length: polesOf(board, circuit) }, () => circuit.heatW),
  )
  const spare = Array.from({ length: gaps }, () => 0)
  const rising = [...spare, ...poles].sort((a, b) => a - b).slice(0, -1)
  const products = rising.reduce((sum, heat, i) => sum + heat * rising.at(-1 - i)!, 0)
  const squares = poles.reduce((sum, heat) => sum + heat * heat, 0)
  return squares === 0 ? 0 : products / squares
}

/** All leakage shared as evenly as can be. */
function leakageLeft(circuits: readonly SeatedCircuit[], { sections }: EmptyBoard): number {
  if (sections === 0) return 0
  const all = circuits.reduce((sum, { isShared, leakageMA }) => sum + (isShared ? leakageMA : 0), 0)
  return Math.max(0, all / LEAKAGE_LIMIT_MA - sections)
}

/** The least unbalance of any sharing among the lines. */
export function leastUnbalance(circuits: readonly SeatedCircuit[], { phases }: EmptyBoard): number {
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
