import { expose } from 'comlink'
import { arrange, type Arranged, type NotArranged } from '#core/arrangement/arrange'
import type { EmptyBoard, SeatedCircuit } from '#core/arrangement/board'
import { WISHES, type Weights, type Wish } from '#core/arrangement/wishes'

export interface Priced {
  readonly best: Arranged | NotArranged
  /** What comes out where one wish is left aside, by wish. */
  readonly without: Readonly<Partial<Record<Wish, Arranged>>>
}

/** The best arrangement first, then what each wish costs the others. */
function arrangeAll(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  onBest: (best: Arranged | NotArranged) => void,
): Priced {
  const best = arrange(circuits, board, weights)
  onBest(best)
  if ('code' in best) return { best, without: {} }
  const without: Partial<Record<Wish, Arranged>> = {}
  for (const wish of WISHES.filter((one) => weights[one] > 0)) {
    const found = arrange(circuits, board, { ...weights, [wish]: 0 })
    if (!('code' in found)) without[wish] = found
  }
  return { best, without }
}

const offer = { arrangeAll }
export type ArrangeOffer = typeof offer
expose(offer)
