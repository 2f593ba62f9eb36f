import { lineOfSeat, seatsNeeded, seatsOf, type EmptyBoard, type SeatedCircuit, type Seating } from './board'
import { swapped } from './swap'
import { quickTotal } from './quick-total'
import { WISHES, costsOf, type Weights, type Wish } from './wishes'

/** A board that is arranged as an exercise. */
export interface LayoutTask {
  readonly circuits: readonly SeatedCircuit[]
  readonly board: EmptyBoard
  readonly weights: Weights
  /** The best that was found when it was set. */
  readonly best: Seating
}

/** What somebody's arrangement is worth beside the best one, and why. */
export interface LayoutMark {
  /** 100: as good as the best; 0: no better than the circuits put on as they come. */
  readonly percent: number
  /** Wishes that are met less well than in the best, the dearest first; of the total. */
  readonly lost: readonly { readonly wish: Wish; readonly by: number }[]
  /** The one swap that helps most; null where none does. */
  readonly better: { readonly seats: readonly [number, number]; readonly by: number } | null
}

const NOTICEABLE = 1e-6

/** The circuits as they come: three-phase ones each in a way of their own, the others in the seats that are left. */
export function asTheyCome(circuits: readonly SeatedCircuit[], board: EmptyBoard): Seating {
  const seating: (number | null)[] = Array.from({ length: seatsOf(board) }, () => null)
  const isWide = ({ phases }: SeatedCircuit) => board.phases === 3 && phases === 3
  let way = 0
  circuits.forEach((circuit, place) => {
    if (isWide(circuit)) for (const line of [0, 1, 2]) seating[way * 3 + line] = place
    if (isWide(circuit)) way += 1
  })
  circuits.forEach((circuit, place) => {
    if (!isWide(circuit)) seating[seating.indexOf(null)] = place
  })
  return seating
}

/** Is each circuit on the board once, a three-phase one with its poles in one way? */
export function isSeating(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  seating: readonly (number | null)[],
): boolean {
  if (seating.length !== seatsOf(board)) return false
  const seats = circuits.map((_, place) => seating.flatMap((one, seat) => (one === place ? [seat] : [])))
  const taken = seating.filter((place) => place !== null).length
  return (
    taken === seatsNeeded(circuits, board) &&
    circuits.every(({ phases }, place) => {
      const own = seats[place]!
      if (board.phases === 1 || phases === 1) return own.length === 1
      return own.length === 3 && lineOfSeat(board, own[0]!) === 0 && own[2] === own[0]! + 2
    })
  )
}

/** Marks an arrangement against the best that was found. */
export function markLayout({ circuits, board, weights, best }: LayoutTask, seating: Seating): LayoutMark {
  const cost = quickTotal(circuits, board, weights)
  const [mine, least, first] = [cost(seating), cost(best), cost(asTheyCome(circuits, board))]
  const [own, wished] = [costsOf(circuits, board, seating), costsOf(circuits, board, best)]
  const lost = WISHES.map((wish) => ({ wish, by: weights[wish] * (own[wish] - wished[wish]) }))
    .filter(({ by }) => by > NOTICEABLE)
    .sort((a, b) => b.by - a.by)
  return {
    percent: percentOf(mine, least, first),
    lost,
    better: bestSwap({ circuits, board }, seating, cost),
  }
}

/** Between what the circuits come to as they come, and the best. */
function percentOf(mine: number, least: number, first: number): number {
  if (mine <= least + NOTICEABLE) return 100
  if (first - least < NOTICEABLE) return 0
  // Only what is as good as the best has all.
  return Math.min(99, Math.max(0, Math.round((100 * (first - mine)) / (first - least))))
}

function bestSwap(
  { circuits, board }: Pick<LayoutTask, 'circuits' | 'board'>,
  seating: Seating,
  cost: (seating: Seating) => number,
): LayoutMark['better'] {
  const now = cost(seating)
  let better: LayoutMark['better'] = null
  for (let a = 0; a < seating.length; a++)
    for (let b = a + 1; b < seating.length; b++) {
      if (seating[a] === seating[b]) continue
      const by = now - cost(swapped(circuits, board, seating, [a, b]))
      if (by > (better?.by ?? NOTICEABLE)) better = { seats: [a, b], by }
    }
  return better
}
