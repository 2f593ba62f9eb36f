import type { EmptyBoard, SeatedCircuit, Seating } from './board'

/** Two seats swapped; a device with three poles moves with its whole way. */
export function swapped(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  seating: Seating,
  [a, b]: readonly [number, number],
): Seating {
  const next = [...seating]
  const isWide = [a, b].some((seat) => {
    const place = next[seat]
    return place !== null && place !== undefined && board.phases === 3 && circuits[place]!.phases === 3
  })
  const [from, to, width] = isWide
    ? [a - (a % board.phases), b - (b % board.phases), board.phases]
    : [a, b, 1]
  for (let i = 0; i < width; i++) [next[from + i], next[to + i]] = [next[to + i]!, next[from + i]!]
  return next
}
