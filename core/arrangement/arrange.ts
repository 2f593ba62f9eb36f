import { randomLcg } from 'd3-random'
import { anneal } from './anneal'
import { lowerBound } from './bound'
import { exactRow } from './exact-row'
import { seatsNeeded, seatsOf, type EmptyBoard, type SeatedCircuit, type Seating } from './board'
import { quickTotal } from './quick-total'
import { PROVED_WITHIN, costsOf, totalOf, type Costs, type Weights } from './wishes'

export interface Arranged {
  readonly seating: Seating
  readonly costs: Costs
  readonly total: number
  /** Nothing that can be seated costs less than this. */
  readonly bound: number
  /** Every arrangement was looked at, or none can be better by more than `PROVED_WITHIN`. */
  readonly isProved: boolean
}

/** Why a board cannot be laid out. */
export interface NotArranged {
  readonly code: 'tooMany' | 'threePhaseOnOne'
  readonly needed: number
  readonly seats: number
}

/** Up to so many seats on three lines every order is looked at. */
const EVERY_ORDER = 6
/** How often a new order is begun from, where not every one can be. */
const STARTS = 12
/** Moves that are tried from the best of them. */
const MOVES = 120_000
/** The same board gives the same arrangement. */
const SEED = 0.5

/**
 * The circuits laid on the board so that the wishes, as they are weighed, are met best; fewer moves are
 * quicker, more of them find better ones and how good one can be at best.
 */
export function arrange(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  moves = MOVES,
): Arranged | NotArranged {
  const [needed, seats] = [seatsNeeded(circuits, board), seatsOf(board)]
  if (board.phases === 1 && circuits.some(({ phases }) => phases === 3))
    return { code: 'threePhaseOnOne', needed, seats }
  if (needed > seats) return { code: 'tooMany', needed, seats }
  const cost = quickTotal(circuits, board, weights)
  const outside = lowerBound(circuits, board, weights, moves > MOVES)
  const { seating, bound } =
    board.phases === 1
      ? bestRow(circuits, board, weights, { cost, bound: outside, moves })
      : bestOnThree(circuits, board, { cost, bound: outside, moves })
  const costs = costsOf(circuits, board, seating)
  const total = totalOf(costs, weights)
  return { seating, costs, total, bound, isProved: total <= bound * (1 + PROVED_WITHIN) + 1e-9 }
}

interface Best {
  readonly seating: Seating
  readonly bound: number
}

/** A step along the row takes a small share of the time of a swap; the table of a longer look stays below 200 MB. */
const STEPS_PER_MOVE = 40
const TABLE = { first: 3e7, thorough: 1.5e8 }

/** One row on one line: what a short search finds, then the best of all rows where there are not too many. */
function bestRow(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  { cost, bound, moves }: Search,
): Best {
  const begun = search(circuits, board, { cost, bound, moves: 0 })
  const mostWork = moves > MOVES ? TABLE.thorough : TABLE.first
  const limits = { known: cost(begun), mostWork, mostSteps: moves * STEPS_PER_MOVE }
  const exact = exactRow(circuits, board, weights, limits)
  if (exact) return { seating: exact.seating ?? begun, bound: Math.max(bound, exact.bound) }
  return { seating: search(circuits, board, { cost, bound, moves }), bound }
}

/** Three lines: every order of few seats, or what a search finds. */
function bestOnThree(circuits: readonly SeatedCircuit[], board: EmptyBoard, look: Search): Best {
  const isSmall = seatsOf(board) <= EVERY_ORDER && circuits.every(({ phases }) => phases === 1)
  if (!isSmall) return { seating: search(circuits, board, look), bound: look.bound }
  const seating = bestOfAll(circuits.length, seatsOf(board), look.cost)
  return { seating, bound: look.cost(seating) }
}

/** Every order of the circuits and the spare seats. */
function bestOfAll(n: number, seats: number, cost: (seating: Seating) => number): Seating {
  let best: Seating = []
  let least = Infinity
  const seating: (number | null)[] = []
  const isLeft = Array.from({ length: n }, () => true)
  const place = (spare: number): void => {
    if (seating.length === seats) {
      const total = cost(seating)
      if (total < least - 1e-12) [least, best] = [total, [...seating]]
      return
    }
    for (let one = 0; one < n; one++) {
      if (!isLeft[one]) continue
      isLeft[one] = false
      seating.push(one)
      place(spare)
      seating.pop()
      isLeft[one] = true
    }
    if (spare > 0) {
      seating.push(null)
      place(spare - 1)
      seating.pop()
    }
  }
  place(seats - n)
  return best
}

interface Search {
  readonly cost: (seating: Seating) => number
  readonly bound: number
  readonly moves: number
}

/**
 * From several beginnings by swaps that help until none does any more; from the best of them by chance and
 * ever less of it.
 */
function search(circuits: readonly SeatedCircuit[], board: EmptyBoard, { cost, bound, moves }: Search) {
  const random = randomLcg(SEED)
  let best: Seating = firstSeating(circuits, board, null)
  let least = cost(best)
  for (let start = 0; start < STARTS && least > bound + 1e-9; start++) {
    const begun = firstSeating(circuits, board, start === 0 ? null : random)
    const climbed = climb(begun, board, cost, circuits)
    if (climbed.total < least - 1e-12) [least, best] = [climbed.total, climbed.seating]
  }
  if (least <= bound + 1e-9) return best
  const cooled = anneal(best, { circuits, board, cost, random, moves })
  return climb([...cooled], board, cost, circuits).seating
}

/**
 * Three-phase circuits in the first ways, the others largest first onto the line that carries least; or by
 * chance.
 */
function firstSeating(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  random: (() => number) | null,
): (number | null)[] {
  const seating: (number | null)[] = Array.from({ length: seatsOf(board) }, () => null)
  const threePhase = circuits.flatMap(({ phases }, i) => (phases === 3 ? [i] : []))
  threePhase.forEach((one, way) => [0, 1, 2].forEach((line) => (seating[way * 3 + line] = one)))
  const lines = Array.from({ length: board.phases }, () => 0)
  const single = circuits.flatMap((circuit, i) =>
    circuit.phases === 1 ? [{ i, key: random ? random() : -circuit.currentA }] : [],
  )
  for (const { i } of single.sort((a, b) => a.key - b.key)) {
    const free = seating.flatMap((place, seat) => (place === null ? [seat] : []))
    const seat = free.reduce((least, one) =>
      lines[one % board.phases]! < lines[least % board.phases]! - 1e-12 ? one : least,
    )
    seating[seat] = i
    lines[seat % board.phases]! += circuits[i]!.currentA
  }
  return seating
}

/** Swaps seats as long as one swap makes it better. */
function climb(
  seating: (number | null)[],
  board: EmptyBoard,
  cost: (seating: Seating) => number,
  circuits: readonly SeatedCircuit[],
): { readonly seating: Seating; readonly total: number } {
  let total = cost(seating)
  const isWhole = (seat: number) => {
    const place = seating[seat]
    return place !== null && place !== undefined && circuits[place]!.phases === 3
  }
  const swap = (a: number, b: number): void => {
    ;[seating[a], seating[b]] = [seating[b]!, seating[a]!]
  }
  const swapWays = (a: number, b: number): void => {
    for (let line = 0; line < board.phases; line++) swap(a * board.phases + line, b * board.phases + line)
  }
  const tryOne = (act: () => void): boolean => {
    act()
    const next = cost(seating)
    if (next < total - 1e-12) {
      total = next
      return true
    }
    act()
    return false
  }
  for (let isBetter = true; isBetter;) {
    isBetter = false
    for (let a = 0; a < seating.length; a++)
      for (let b = a + 1; b < seating.length; b++) {
        if (seating[a] === seating[b] || isWhole(a) || isWhole(b)) continue
        if (tryOne(() => swap(a, b))) isBetter = true
      }
    if (board.phases === 3)
      for (let a = 0; a < board.ways; a++)
        for (let b = a + 1; b < board.ways; b++) if (tryOne(() => swapWays(a, b))) isBetter = true
  }
  return { seating, total }
}
