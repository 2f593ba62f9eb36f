import { CONDUITS_MM, TRUNKING } from '../regulations/containment'

/** Axes of a wall as somebody stands before it; `out` comes off the wall, towards them. */
export const DIRECTIONS = ['right', 'left', 'up', 'down', 'out', 'back'] as const
export type Direction = (typeof DIRECTIONS)[number]

/**
 * How a straight ends: a bend formed in the tube, a factory inspection elbow, a box to draw through, a
 * coupler straight on, or the last box.
 */
export const JOINTS = ['bend', 'inspection', 'box', 'coupler', 'end'] as const
export type Joint = (typeof JOINTS)[number]

/** A double set that shifts what follows, or a bridge over something, on the way of a straight. */
export interface Detour {
  readonly kind: 'offset' | 'bridge'
  /** From the beginning of the straight to the first corner, mm. */
  readonly atMm: number
  readonly heightMm: number
  /** Of each set, 10 to 60°. */
  readonly angleDeg: number
  readonly towards: Direction
  /** Length on top of a bridge, mm; of an offset nothing. */
  readonly flatMm: number
}

/** One straight, corner to corner along centre lines; from the face of a box where it begins or ends there. */
export interface Straight {
  readonly to: Direction
  /** Angle of the set that leads into it, 10 to 90°; of the first straight nothing. */
  readonly setDeg: number
  /** mm, > 0. */
  readonly lengthMm: number
  readonly then: Joint
  readonly detour: Detour | null
}

export const MADE = ['conduit', 'trunking', 'tray'] as const
export const MATERIALS = ['pvc', 'steel'] as const
export type RunMaterial = (typeof MATERIALS)[number]

/** Containment from one box to another along the walls of a bay. */
export interface ContainmentRun {
  readonly name: string
  readonly made: (typeof MADE)[number]
  readonly material: RunMaterial
  /** Across, as it lies on the wall, mm; of conduit its outside diameter. */
  readonly sizeMm: number
  /** Off the wall, mm; of conduit the same. */
  readonly depthMm: number
  readonly straights: readonly Straight[]
}

/** What a bench's former does to a tube of one size. */
export interface Former {
  /** Centre-line radius, mm. */
  readonly radiusMm: number
  /** From the mark, held at the former's own line, to where the bend begins, mm; negative before the mark. */
  readonly startMm: number
  /** Bent so much further, because the tube springs back, °. */
  readonly springDeg: number
}

/** A size as it is chosen and called. */
export interface RunSize {
  readonly code: string
  readonly words: string
  readonly sizeMm: number
  readonly depthMm: number
}

/** Trays by their width, their sides 25 mm high; common practice, no source. */
const TRAYS_MM = [75, 100, 150, 225, 300] as const
const TRAY_SIDE_MM = 25

/** Sizes on offer; the second one is the usual one. */
export const SIZES: Readonly<Record<ContainmentRun['made'], readonly RunSize[]>> = {
  conduit: CONDUITS_MM.map((mm) => ({ code: String(mm), words: `${mm} mm`, sizeMm: mm, depthMm: mm })),
  trunking: TRUNKING.map(({ size }) => {
    const [sizeMm, depthMm] = size.split(' × ').map(Number) as [number, number]
    return { code: `${sizeMm}x${depthMm}`, words: `${size} mm`, sizeMm, depthMm }
  }),
  tray: TRAYS_MM.map((mm) => ({ code: String(mm), words: `${mm} mm`, sizeMm: mm, depthMm: TRAY_SIDE_MM })),
}

export const sizeOf = ({
  made,
  sizeMm,
  depthMm,
}: Pick<ContainmentRun, 'made' | 'sizeMm' | 'depthMm'>): RunSize =>
  SIZES[made].find((runSize) => runSize.sizeMm === sizeMm && runSize.depthMm === depthMm) ?? SIZES[made][1]!

/** Lengths that tubes are sold in, mm; trunking and tray alike in both materials. Common practice, no source. */
const CONDUIT_STOCK_MM: Readonly<Record<RunMaterial, number>> = { pvc: 3000, steel: 3750 }
const WIDE_STOCK_MM = 3000
export const stockMm = ({ made, material }: Pick<ContainmentRun, 'made' | 'material'>): number =>
  made === 'conduit' ? CONDUIT_STOCK_MM[material] : WIDE_STOCK_MM
/**
 * What a tube goes into a box spout or coupler at each end, mm: a thread of steel, a socket of PVC; common
 * practice, no source.
 */
export const ENTRY_MM: Readonly<Record<RunMaterial, number>> = { pvc: 16, steel: 14 }
/** Usual centre-line radii of springs and formers, in outside diameters; common practice, no source. */
const USUAL_RADIUS: Readonly<Record<RunMaterial, number>> = { pvc: 3, steel: 4 }
/** A spring is let go about so much too far; common practice, no source. */
const USUAL_SPRING: Readonly<Record<RunMaterial, number>> = { pvc: 6, steel: 2 }

export const usualFormer = ({ material, sizeMm }: Pick<ContainmentRun, 'material' | 'sizeMm'>): Former => ({
  radiusMm: USUAL_RADIUS[material] * sizeMm,
  startMm: 0,
  springDeg: USUAL_SPRING[material],
})
