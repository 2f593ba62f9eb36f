/**
 * Most power that a pole of a circuit-breaker may turn into heat at its rated current, W, by the rating up to which it
 * holds, A; BS EN 60898-1, table of power losses, from memory.
 */
const LOSS_W: readonly (readonly [uptoA: number, watt: number])[] = [
  [10, 3],
  [16, 3.5],
  [25, 4.5],
  [32, 6],
  [40, 7.5],
  [50, 9],
  [63, 13],
  [100, 15],
  [125, 20],
]

/** Loss of one pole at a current: with its square, as in any resistance. */
export function lossW(ratingA: number, currentA: number): number {
  const [, rated] = LOSS_W.find(([upto]) => ratingA <= upto) ?? LOSS_W.at(-1)!
  return rated * (currentA / ratingA) ** 2
}

/**
 * What each of so many circuits beside each other may carry of its rating for hours, where the maker says nothing else;
 * BS EN 61439-3, rated diversity factor, from memory.
 */
export function ratedDiversity(circuits: number): number {
  if (circuits <= 1) return 1
  if (circuits <= 3) return 0.8
  if (circuits <= 5) return 0.7
  return circuits <= 9 ? 0.6 : 0.5
}
