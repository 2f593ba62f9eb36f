import type { FuseFamily } from './fuses'

export const CURVES = ['B', 'C', 'D'] as const
export type Curve = (typeof CURVES)[number]

export const DEVICE_FAMILIES = [
  'breaker',
  'rcbo',
  'afdd',
  'fuse-gg',
  'fuse-cartridge',
  'fuse-rewirable',
] as const
export type DeviceFamily = (typeof DEVICE_FAMILIES)[number]

/** An overcurrent device as a task gives it; its rating is chosen. The curve is null for fuses. */
export interface Device {
  readonly family: DeviceFamily
  readonly curve: Curve | null
}

interface FamilyFacts {
  readonly standard: string
  /** Standard ratings on the shelf, A. */
  readonly ratingsA: readonly number[]
  /** Rated short-circuit capacities on the shelf, A. */
  readonly capacitiesA: readonly number[]
  readonly fuse: FuseFamily | null
}

const BREAKER_RATINGS = [6, 10, 16, 20, 25, 32, 40, 50, 63]

/** Product standards, ratings and capacities, all from memory of the standards named. */
export const DEVICES: Readonly<Record<DeviceFamily, FamilyFacts>> = {
  breaker: {
    standard: 'BS EN 60898',
    ratingsA: [...BREAKER_RATINGS, 80, 100, 125],
    capacitiesA: [6000, 10_000],
    fuse: null,
  },
  rcbo: { standard: 'BS EN 61009', ratingsA: BREAKER_RATINGS, capacitiesA: [6000, 10_000], fuse: null },
  afdd: {
    standard: 'BS EN 62606 with BS EN 61009',
    ratingsA: BREAKER_RATINGS.slice(0, 7),
    capacitiesA: [6000, 10_000],
    fuse: null,
  },
  'fuse-gg': {
    standard: 'BS 88-2',
    ratingsA: [6, 10, 16, 20, 25, 32, 40, 50, 63, 80, 100],
    capacitiesA: [80_000],
    fuse: 'gg',
  },
  'fuse-cartridge': {
    standard: 'BS 88-3',
    ratingsA: [5, 16, 20, 32, 45, 63, 80, 100],
    capacitiesA: [16_500, 33_000],
    fuse: 'cartridge',
  },
  'fuse-rewirable': {
    standard: 'BS 3036',
    ratingsA: [5, 15, 20, 30, 45, 60],
    capacitiesA: [1000, 2000, 4000],
    fuse: 'rewirable',
  },
}

/** Does the device have a RCD of its own? */
export const hasRcd = (family: DeviceFamily): boolean => family === 'rcbo' || family === 'afdd'

/**
 * Magnetic trip band as multiples of In: never below the first, always at the second; BS EN 60898-1 Table 7,
 * from memory.
 */
export const MAGNETIC_BAND: Readonly<Record<Curve, readonly [number, number]>> = {
  B: [3, 5],
  C: [5, 10],
  D: [10, 20],
}

/** Current that is sure to trip a breaker at once, A. */
export const magneticA = (curve: Curve, ratingA: number): number => MAGNETIC_BAND[curve][1] * ratingA
