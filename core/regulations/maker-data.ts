/**
 * One point of a maker's sheet: at this current a device of this rating opens in so long, and lets so much
 * through.
 */
export interface MakerPoint {
  readonly ratingA: number
  readonly currentA: number
  /** Null where the sheet gives none. */
  readonly timeS: number | null
  readonly energyA2s: number | null
}

type Quantity = 'timeS' | 'energyA2s'

/** The points of one rating that give this quantity, by rising current. */
const pointsOf = (points: readonly MakerPoint[], ratingA: number, quantity: Quantity) =>
  points
    .filter((point) => point.ratingA === ratingA && point[quantity] !== null)
    .map((point) => [point.currentA, point[quantity]!] as const)
    .sort(([a], [b]) => a - b)

/**
 * On straight lines between the points, both axes logarithmic, as makers print them; undefined beyond their
 * ends.
 */
function between(points: readonly (readonly [number, number])[], currentA: number): number | undefined {
  const after = points.findIndex(([current]) => current >= currentA)
  if (after === -1) return undefined
  const [toA, to] = points[after]!
  if (toA === currentA) return to
  if (after === 0) return undefined
  const [fromA, from] = points[after - 1]!
  const share = Math.log(currentA / fromA) / Math.log(toA / fromA)
  return from * (to / from) ** share
}

/** Time in which the maker's device opens at this current, s. */
export const makerTimeS = (points: readonly MakerPoint[], ratingA: number, currentA: number) =>
  between(pointsOf(points, ratingA, 'timeS'), currentA)

/** Energy that the maker's device lets through at this current, A²s. */
export const makerEnergyA2s = (points: readonly MakerPoint[], ratingA: number, currentA: number) =>
  between(pointsOf(points, ratingA, 'energyA2s'), currentA)

/** The current that opens the maker's device within this time, A; undefined where no point shows it. */
export function makerCurrentA(
  points: readonly MakerPoint[],
  ratingA: number,
  timeS: number,
): number | undefined {
  const line = pointsOf(points, ratingA, 'timeS')
  const after = line.findIndex(([, time]) => time <= timeS)
  if (after === -1) return undefined
  const [toA, to] = line[after]!
  // A point at the very time, or the first of all: nothing slower is known to open in time.
  if (after === 0 || to === timeS) return toA
  const [fromA, from] = line[after - 1]!
  return fromA * (toA / fromA) ** (Math.log(timeS / from) / Math.log(to / from))
}
