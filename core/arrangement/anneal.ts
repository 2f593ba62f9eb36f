import { swapped } from './swap'
import type { EmptyBoard, SeatedCircuit, Seating } from './board'

interface Annealing {
  readonly circuits: readonly SeatedCircuit[]
  readonly board: EmptyBoard
  readonly cost: (seating: Seating) => number
  /** 0 ≤ value < 1. */
  readonly random: () => number
  readonly moves: number
}

/** A move that makes it this much dearer is still taken now and then at the beginning, in shares of the total. */
const WARM = 0.012
const COLD = 3e-6

/**
 * From a good seating to a better one: two seats swapped, a stretch turned round, or one circuit moved
 * along, dearer ones too at first and ever fewer of them. S. Kirkpatrick, C. D. Gelatt, M. P. Vecchi,
 * Optimization by simulated annealing, Science 220 (1983), from memory.
 */
export function anneal(begun: Seating, { circuits, board, cost, random, moves }: Annealing): Seating {
  let [seating, total] = [begun, cost(begun)]
  let [best, least] = [seating, total]
  const seats = seating.length
  const isWide = seating.map(() => false)
  const markWide = (of: Seating) =>
    of.forEach(
      (place, seat) => (isWide[seat] = place !== null && board.phases === 3 && circuits[place]!.phases === 3),
    )
  markWide(seating)
  const hasWide = isWide.includes(true)
  for (let move = 0; move < moves; move++) {
    const heat = least * (WARM * (1 - move / moves) + COLD)
    const [a, b] = [Math.floor(random() * seats), Math.floor(random() * seats)]
    const kind = random()
    const next = moved(seating, [Math.min(a, b), Math.max(a, b)], kind, isWide, (pair) =>
      swapped(circuits, board, seating, pair),
    )
    if (!next) continue
    const dearer = cost(next) - total
    if (dearer > 0 && random() >= Math.exp(-dearer / heat)) continue
    seating = next
    total += dearer
    if (hasWide) markWide(seating)
    if (total < least - 1e-12) [best, least] = [seating, total]
  }
  return best
}

const SWAPS = 0.6
const TURNS = 0.8

/** The seating after one move; none where it would tear a device with three poles apart. */
function moved(
  seating: Seating,
  [from, to]: readonly [number, number],
  kind: number,
  isWide: readonly boolean[],
  swap: (pair: readonly [number, number]) => Seating,
): Seating | undefined {
  if (seating[from] === seating[to]) return undefined
  if (kind < SWAPS) return swap([from, to])
  for (let seat = from; seat <= to; seat++) if (isWide[seat]) return undefined
  const stretch = seating.slice(from, to + 1)
  const turned = kind < TURNS ? stretch.reverse() : [...stretch.slice(1), stretch[0]!]
  return [...seating.slice(0, from), ...turned, ...seating.slice(to + 1)]
}
