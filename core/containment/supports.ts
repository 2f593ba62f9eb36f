import { tangentMm } from './bending'
import { cornersOf, lengthOf, plus } from './geometry'
import type { ContainmentRun, Former, RunMaterial } from './containment-run'

/**
 * Most between two saddles, mm, horizontal and vertical, by outside diameter up to; On-Site Guide Appendix D,
 * Table D3, from memory.
 */
const SPACING: Readonly<
  Record<RunMaterial, readonly (readonly [uptoMm: number, horizontal: number, vertical: number])[]>
> = {
  steel: [
    [16, 750, 1000],
    [25, 1750, 2000],
    [40, 2000, 2250],
  ],
  pvc: [
    [16, 750, 1000],
    [25, 1500, 1750],
    [40, 1750, 2000],
  ],
}
/** Trunking and tray, mm; On-Site Guide Table D3 for trunking of small area, from memory. */
const WIDE_MM = [1250, 1500] as const
/** Up to this long the parts of a detour need no saddle of their own, mm; common practice, no source. */
const DETOUR_MM = 300
/** From a bend or box to the next saddle, mm at the most; common practice, no source. */
export const NEAR_MM = 150

/** Most between two supports of this run, mm. */
export function spacingMm(
  { made, material, sizeMm }: Pick<ContainmentRun, 'made' | 'material' | 'sizeMm'>,
  isVertical: boolean,
): number {
  if (made !== 'conduit') return WIDE_MM[isVertical ? 1 : 0]
  const row = SPACING[material].find(([upto]) => sizeMm <= upto)!
  return row[isVertical ? 2 : 1]
}

export interface Support {
  readonly straight: number
  /** From the corner or box where that stretch begins, mm. */
  readonly atMm: number
  readonly at: readonly [number, number, number]
}

/** Saddles of a run: one close to every bend and box, none on a bend, the rest spread evenly within the spacing. */
export function supportsOf(run: ContainmentRun, former: Former): Support[] {
  const tangentOf = (angleDeg: number) => (run.made === 'conduit' ? tangentMm(former, angleDeg) : 0)
  const corners = cornersOf(run)
  return corners.slice(1).flatMap((corner, i): Support[] => {
    const before = corners[i]!
    const leg = plus(corner.at, before.at, -1)
    const length = lengthOf(leg)
    const isFormed = ({ joint }: typeof corner) => joint === 'bend' || joint === 'set'
    const [from, to] = [
      isFormed(before) ? tangentOf(before.angleDeg) : 0,
      length - (isFormed(corner) ? tangentOf(corner.angleDeg) : 0),
    ]
    const free = to - from
    if (free <= run.sizeMm) return []
    // The slopes of a detour hang between the saddles on either side.
    if (before.joint === 'set' && corner.joint === 'set' && length < DETOUR_MM) return []
    const isVertical = Math.abs(leg[1]) > 0.7 * length
    const [first, last] =
      free <= 2 * NEAR_MM ? [from + free / 2, from + free / 2] : [from + NEAR_MM, to - NEAR_MM]
    const gaps = Math.max(0, Math.ceil((last - first) / spacingMm(run, isVertical)))
    const places =
      last === first
        ? [first]
        : Array.from({ length: gaps + 1 }, (_, k) => first + ((last - first) * k) / gaps)
    return places.map((atMm) => ({
      straight: corner.straight,
      atMm: Math.round(atMm),
      at: plus(before.at, leg, atMm / length),
    }))
  })
}

/** Lengthening of PVC, mm for each metre and kelvin: about 0.07; makers' data, from memory. */
const PVC_MM_PER_M_K = 0.07

/** What a straight of PVC grows over a span of temperature, mm: the gap to leave. */
export const expansionMm = (lengthMm: number, spanK: number): number =>
  (PVC_MM_PER_M_K * lengthMm * spanK) / 1000
