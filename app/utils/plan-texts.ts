import type { Spot } from '#core/survey/plan/geometry'

/** Corners as somebody types them: `40,40 680,40`. */
export const cornersText = (corners: readonly Spot[]): string =>
  corners.map(({ x, y }) => `${Math.round(x * 10) / 10},${Math.round(y * 10) / 10}`).join(' ')

/** Read back; null where it is no list of places. */
export function cornersOf(text: string): Spot[] | null {
  const spots = text
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map((pair) => pair.split(',').map(Number))
  const isRight = spots.every(
    ([x, y, more]) => Number.isFinite(x) && Number.isFinite(y) && more === undefined,
  )
  return isRight ? spots.map(([x, y]) => ({ x: x!, y: y! })) : null
}
