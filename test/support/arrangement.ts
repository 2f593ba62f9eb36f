/* Circuits and boards to be laid out, and every seating of them, worked out apart from the solver. */
import fc from 'fast-check'
import type { EmptyBoard, SeatedCircuit, Seating } from '#core/arrangement/board'
import { costsOf, totalOf, USUAL_WEIGHTS } from '#core/arrangement/wishes'

export const circuit = (parts: Partial<SeatedCircuit> = {}): SeatedCircuit => ({
  id: 'c',
  name: 'Circuit',
  phases: 1,
  currentA: 10,
  thirdShare: 0,
  ratingA: 16,
  heatW: 2,
  area: '',
  hasLead: false,
  isShared: true,
  leakageMA: 1,
  ...parts,
})
export const board = (parts: Partial<EmptyBoard> = {}): EmptyBoard => ({
  phases: 1,
  ways: 6,
  sections: 0,
  reach: 99,
  ...parts,
})
export const THREE = board({ phases: 3, ways: 2 })

/** Every seating of single-phase circuits, worked out apart from the solver. */
export function everySeating(n: number, seats: number): Seating[] {
  if (seats === 0) return n === 0 ? [[]] : []
  const all: Seating[] = []
  const walk = (seating: (number | null)[], left: readonly number[], spare: number) => {
    if (seating.length === seats) return void all.push(seating)
    for (const one of left)
      walk(
        [...seating, one],
        left.filter((other) => other !== one),
        spare,
      )
    if (spare > 0) walk([...seating, null], left, spare - 1)
  }
  walk(
    [],
    Array.from({ length: n }, (_, i) => i),
    seats - n,
  )
  return all
}
export const someCircuit = fc.record({
  id: fc.constant('c'),
  name: fc.constant('Circuit'),
  phases: fc.constant(1 as const),
  currentA: fc.integer({ min: 1, max: 30 }),
  thirdShare: fc.constantFrom(0, 0.25),
  ratingA: fc.constant(32),
  heatW: fc.integer({ min: 0, max: 6 }),
  area: fc.constantFrom('ground', 'first', 'yard'),
  hasLead: fc.boolean(),
  isShared: fc.boolean(),
  leakageMA: fc.integer({ min: 0, max: 5 }),
})
export const alone = (circuits: readonly SeatedCircuit[], { phases }: EmptyBoard) =>
  phases === 1 ? circuits : circuits.filter(({ surge }) => !surge)
/** Some circuits, on some single-phase boards with an SPD and its device beside them. */
export const someCircuits = (most: number) =>
  fc
    .tuple(fc.array(someCircuit, { minLength: 1, maxLength: most }), fc.boolean())
    .map(([circuits, hasSpd]): SeatedCircuit[] => [
      ...circuits.slice(0, hasSpd ? most - 2 : most),
      ...(hasSpd ? (['device', 'spd'] as const) : []).map((surge) =>
        circuit({ currentA: 0, heatW: 0, isShared: false, surge }),
      ),
    ])
const weight = fc.constantFrom(0, 1, 6, 20)
export const someWeights = fc.record({
  balance: weight,
  heat: weight,
  reach: weight,
  blast: weight,
  leakage: weight,
  together: weight,
  spares: weight,
  surge: weight,
})
export const least = (circuits: readonly SeatedCircuit[], at: EmptyBoard, weights = USUAL_WEIGHTS): number =>
  Math.min(
    ...everySeating(circuits.length, at.phases * at.ways).map((seating) =>
      totalOf(costsOf(circuits, at, seating), weights),
    ),
  )
