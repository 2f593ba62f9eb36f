/** What the readings round a ring, cross-connected, look like by themselves. */
export type RingPattern =
  /** Too few readings, or none end to end. */
  | { readonly is: 'unknown' }
  /** About a quarter of both ends everywhere. */
  | { readonly is: 'level' }
  /** Level, at another height than the ends give: one conductor has a joint, or its leg is not of this ring. */
  | { readonly is: 'offset'; readonly share: number }
  /** Low beside the board, highest half way round: each leg joined with itself. */
  | { readonly is: 'legsJoined' }
  /** Above the level from one socket to another, places from 0: by-passed by a bridge, or a spur. */
  | { readonly is: 'hump'; readonly first: number; readonly last: number }
  /** None of these. */
  | { readonly is: 'uneven' }

/** Fewer sockets than this show no pattern. */
const LEAST_SOCKETS = 4
/** Ohmmeter and lengths: as a share, and Ω. */
const LEVEL = { relative: 0.07, ohm: 0.015 } as const
/** With the legs joined to themselves the sockets beside the board read less than this share of the highest. */
const LOW_SHARE = 0.75

/**
 * Pattern of steps 2 or 3 of a ring final circuit: readings in the order of the sockets, Ω, and the two
 * conductors end to end, Ω. Guidance Note 3, from memory: about (r1 + rn) / 4 everywhere; more on a spur; a
 * rise towards the middle where the wrong ends are joined. A bridge lets the ends read low and the sockets that it
 * by-passes high.
 */
export function ringPattern(
  readings: readonly (number | undefined)[],
  ends: readonly [number | undefined, number | undefined],
): RingPattern {
  const taken = readings.flatMap((ohm, at) => (ohm === undefined ? [] : [{ at, ohm }]))
  if (taken.length < LEAST_SOCKETS) return { is: 'unknown' }
  const quarter = ends[0] !== undefined && ends[1] !== undefined ? (ends[0] + ends[1]) / 4 : undefined
  const sorted = taken.map(({ ohm }) => ohm).sort((a, b) => a - b)
  const [lowest, highest] = [sorted[0]!, sorted.at(-1)!]
  const isSame = (a: number, b: number) => Math.abs(a - b) <= LEVEL.ohm + LEVEL.relative * Math.max(a, b)
  if (isSame(lowest, highest)) {
    const middle = sorted[Math.floor(sorted.length / 2)]!
    if (quarter === undefined || isSame(middle, quarter)) return { is: 'level' }
    return { is: 'offset', share: middle / quarter }
  }
  if (risesToTheMiddle(taken.map(({ ohm }) => ohm)) && (quarter === undefined || !isAbove(highest, quarter)))
    return { is: 'legsJoined' }
  const level = quarter ?? lowest
  const high = taken.filter(({ ohm }) => isAbove(ohm, level))
  const low = taken.filter(({ ohm }) => !isAbove(ohm, level))
  const isOneStretch = high.length > 0 && high.at(-1)!.at - high[0]!.at === high.length - 1
  return isOneStretch && low.every(({ ohm }) => isSame(ohm, level))
    ? { is: 'hump', first: high[0]!.at, last: high.at(-1)!.at }
    : { is: 'uneven' }
}

const isAbove = (ohm: number, level: number): boolean => ohm > level * (1 + LEVEL.relative) + LEVEL.ohm

/** Both ends well below the highest, and no step back on the way to it. */
function risesToTheMiddle(ohms: readonly number[]): boolean {
  const top = ohms.indexOf(Math.max(...ohms))
  const isLow = (ohm: number) => ohm < ohms[top]! * LOW_SHARE
  const grows = (way: readonly number[]) =>
    way.every((ohm, i) => i === 0 || ohm >= way[i - 1]! * (1 - LEVEL.relative) - LEVEL.ohm)
  const [left, right] = [ohms.slice(0, top + 1), ohms.slice(top).reverse()]
  return isLow(ohms[0]!) && isLow(ohms.at(-1)!) && grows(left) && grows(right)
}
