import { C_MIN, U0_V } from './supply'

export type FuseFamily = 'gg' | 'cartridge' | 'rewirable' | 'plug'

/** Largest Zs by rating for 0.4 s and for 5 s, Ω; BS 7671 Tables 41.2 and 41.4, from memory. */
export const FUSE_LOOP_OHM: Readonly<
  Record<
    FuseFamily,
    { readonly fast: Readonly<Record<number, number>>; readonly slow: Readonly<Record<number, number>> }
  >
> = {
  gg: {
    fast: { 6: 7.8, 10: 4.65, 16: 2.43, 20: 1.68, 25: 1.29, 32: 0.99 },
    slow: {
      6: 12,
      10: 6.8,
      16: 4,
      20: 2.8,
      25: 2.2,
      32: 1.7,
      40: 1.3,
      50: 0.99,
      63: 0.78,
      80: 0.55,
      100: 0.42,
    },
  },
  cartridge: {
    fast: { 5: 9.93, 16: 2.3, 20: 1.93, 32: 0.91 },
    slow: { 5: 14.6, 16: 3.9, 20: 3.2, 32: 1.6, 45: 1, 63: 0.68, 80: 0.51, 100: 0.38 },
  },
  rewirable: {
    fast: { 5: 9.1, 15: 2.43, 20: 1.68, 30: 1.04 },
    slow: { 5: 16.8, 15: 5.08, 20: 3.64, 30: 2.51, 45: 1.51, 60: 1.07 },
  },
  plug: { fast: { 3: 15.6, 13: 2.3 }, slow: { 3: 22, 13: 3.64 } },
}

const FAST_S = 0.4
const SLOW_S = 5
/** Large ratings have no 0.4 s row: their line is taken as steep as the largest that has. */
const MINIMUM_TIME_S = 0.01

interface Line {
  /** Current that melts the fuse in 5 s, A. */
  readonly slowA: number
  /** −d log t ÷ d log I. */
  readonly slope: number
}

/** The fuse's melting line through its two printed points, straight on logarithmic paper. */
function drawLine(family: FuseFamily, ratingA: number): Line | undefined {
  const { fast, slow } = FUSE_LOOP_OHM[family]
  const slowOhm = slow[ratingA]
  if (slowOhm === undefined) return undefined
  const steepest = Math.max(...Object.keys(fast).map(Number))
  const ratio = fast[ratingA] === undefined ? slow[steepest]! / fast[steepest]! : slowOhm / fast[ratingA]
  return { slowA: (U0_V * C_MIN) / slowOhm, slope: Math.log(SLOW_S / FAST_S) / Math.log(ratio) }
}

const LINES = new Map(
  Object.entries(FUSE_LOOP_OHM).map(([family, { slow }]) => [
    family,
    new Map(
      Object.keys(slow)
        .map(Number)
        .map((ratingA) => [ratingA, drawLine(family as FuseFamily, ratingA)]),
    ),
  ]),
)
const lineOf = (family: FuseFamily, ratingA: number): Line | undefined => LINES.get(family)!.get(ratingA)

/**
 * Current that melts the fuse within `timeS`, A; undefined for a rating that does not exist. Between and
 * beyond the printed times by its line.
 */
export function fuseCurrentA(family: FuseFamily, ratingA: number, timeS: number): number | undefined {
  const line = lineOf(family, ratingA)
  return line && line.slowA * (SLOW_S / timeS) ** (1 / line.slope)
}

/** Time in which a current melts the fuse, s, never below 0.01; undefined for a rating that does not exist. */
export function fuseTimeS(family: FuseFamily, ratingA: number, currentA: number): number | undefined {
  const line = lineOf(family, ratingA)
  return line && Math.max(MINIMUM_TIME_S, SLOW_S * (currentA / line.slowA) ** -line.slope)
}
