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
  const { seating, bound } = best(circuits, board, weights, { cost, bound: outside, moves })
  const costs = costsOf(circuits, board, seating)
  const total = totalOf(costs, weights)
  return { seating, costs, total, bound, isProved: isProved(total, bound) }
}

const isProved = (total: number, bound: number): boolean => total <= bound * (1 + PROVED_WITHIN) + 1e-9

/** A step along the row takes a small share of the time of a swap; the table of a longer look stays below 200 MB. */
const STEPS_PER_MOVE = 40
const TABLE = { first: 2e7, thorough: 1.5e8 }

/** What a short search finds, then the best of all rows where there are not too many, or a longer search. */
function best(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  look: Search,
): { readonly seating: Seating; readonly bound: number } {
  const { cost, moves } = look
  const isFirst = moves <= MOVES
  let seating = search(circuits, board, isFirst ? look : { ...look, moves: MOVES })
  const exact = exactRow(circuits, board, weights, {
    known: cost(seating),
    mostWork: isFirst ? TABLE.first : TABLE.thorough,
    mostSteps: moves * STEPS_PER_MOVE,
  })
  seating = exact?.seating ?? seating
  const bound = Math.max(look.bound, exact?.bound ?? 0)
  if (isFirst || isProved(cost(seating), bound)) return { seating, bound }
  const searched = search(circuits, board, look)
  return { seating: cost(searched) < cost(seating) ? searched : seating, bound }
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
