import { expose } from 'comlink'
import { arrange, type Arranged, type NotArranged } from '#core/arrangement/arrange'
import type { EmptyBoard, SeatedCircuit } from '#core/arrangement/board'
import { WISHES, type Weights, type Wish } from '#core/arrangement/wishes'

export interface Priced {
  readonly best: Arranged | NotArranged
  /** What comes out where one wish is left aside, by wish. */
  readonly without: Readonly<Partial<Record<Wish, Arranged>>>
}

/** Moves of the second, longer look, and of each look without a wish. */
const LONG_LOOK = 2_000_000
const SHORT_LOOK = 120_000

/** A good arrangement first, then the best that a longer look finds, then what each wish costs the others. */
function arrangeAll(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  onBest: (best: Arranged | NotArranged) => void,
): Priced {
  const first = arrange(circuits, board, weights)
  onBest(first)
  if ('code' in first) return { best: first, without: {} }
  const longer = first.isProved ? first : (arrange(circuits, board, weights, LONG_LOOK) as Arranged)
  const best = longer.total < first.total ? longer : first
  onBest(best)
  const without: Partial<Record<Wish, Arranged>> = {}
  for (const wish of WISHES.filter((one) => weights[one] > 0)) {
    const found = arrange(circuits, board, { ...weights, [wish]: 0 }, SHORT_LOOK)
    if (!('code' in found)) without[wish] = found
  }
  return { best, without }
}

const offer = { arrangeAll }
export type ArrangeOffer = typeof offer
expose(offer)
