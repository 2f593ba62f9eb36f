/** Cables on surfaces and in the structure: clips, zones, holes. */

/**
 * Most between two clips, mm, horizontal and vertical, by overall diameter up to; On-Site Guide Appendix D,
 * Table D1, from memory.
 */
const CLIPS: readonly (readonly [uptoMm: number, horizontal: number, vertical: number])[] = [
  [9, 250, 400],
  [15, 300, 400],
  [20, 350, 450],
  [40, 400, 550],
]

export const clipSpacingMm = (overallMm: number, isVertical: boolean): number | undefined =>
  CLIPS.find(([upto]) => overallMm <= upto)?.[isVertical ? 2 : 1]

/** Where a concealed cable may run without more ado; BS 7671 522.6.202, from memory. */
export const ZONE_MM = 150
export interface Place {
  /** From the left edge and the top of the wall, and to the nearest corner of two walls, mm. */
  readonly fromTopMm: number
  readonly fromCornerMm: number
  /** Straight above, below or beside an accessory. */
  readonly inLineWithAccessory: boolean
}
export const isInZone = ({ fromTopMm, fromCornerMm, inLineWithAccessory }: Place): boolean =>
  fromTopMm <= ZONE_MM || fromCornerMm <= ZONE_MM || inLineWithAccessory

export interface Joist {
  readonly spanMm: number
  readonly depthMm: number
}
export type JoistProblem = 'holePlace' | 'holeSize' | 'notchPlace' | 'notchDepth' | 'tooClose' | 'shallow'

/**
 * A hole on the centre line of a joist: between a quarter and two fifths of the span from its support, up to
 * a quarter of the depth; three diameters apart; 50 mm of wood above. On-Site Guide 7.3.1 and building
 * regulations guidance, from memory.
 */
export function holeProblems(
  { spanMm, depthMm }: Joist,
  hole: { readonly fromSupportMm: number; readonly diameterMm: number; readonly toNextMm: number | null },
): JoistProblem[] {
  const near = Math.min(hole.fromSupportMm, spanMm - hole.fromSupportMm)
  return [
    ...(near < 0.25 * spanMm - 1e-9 || near > 0.4 * spanMm + 1e-9 ? ['holePlace' as const] : []),
    ...(hole.diameterMm > 0.25 * depthMm + 1e-9 ? ['holeSize' as const] : []),
    ...(hole.toNextMm !== null && hole.toNextMm < 3 * hole.diameterMm - 1e-9 ? ['tooClose' as const] : []),
    ...((depthMm - hole.diameterMm) / 2 < 50 ? ['shallow' as const] : []),
  ]
}

/** A notch on top: between 0.07 and a quarter of the span, up to an eighth of the depth; the same source. */
export function notchProblems(
  { spanMm, depthMm }: Joist,
  notch: { readonly fromSupportMm: number; readonly depthMm: number },
): JoistProblem[] {
  const near = Math.min(notch.fromSupportMm, spanMm - notch.fromSupportMm)
  return [
    ...(near < 0.07 * spanMm - 1e-9 || near > 0.25 * spanMm + 1e-9 ? ['notchPlace' as const] : []),
    ...(notch.depthMm > 0.125 * depthMm + 1e-9 ? ['notchDepth' as const] : []),
  ]
}
