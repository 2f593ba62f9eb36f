/** Copper sizes made, mm². */
const SIZES_MM2 = [1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95]
const nextSize = (areaMm2: number): number => SIZES_MM2.find((size) => size >= areaMm2) ?? SIZES_MM2.at(-1)!

/**
 * Consumer's tails by main fuse, A → mm²; distributors' common requirement, On-Site Guide Table 4.4, from
 * memory.
 */
export const TAILS_MM2: ReadonlyMap<number, number> = new Map([
  [60, 16],
  [63, 16],
  [80, 25],
  [100, 25],
])

/** Protective conductor beside a line of this area without calculation, mm²; BS 7671 Table 54.7. */
export function tabulatedCpcMm2(lineMm2: number): number {
  if (lineMm2 <= 16) return lineMm2
  return lineMm2 <= 35 ? 16 : nextSize(lineMm2 / 2)
}

/** Main bonding with PME by the supply's neutral, up to this area → mm²; BS 7671 Table 54.8, from memory. */
export const PME_BONDING: readonly (readonly [neutralMm2: number, bondingMm2: number])[] = [
  [35, 10],
  [50, 16],
  [95, 25],
  [150, 35],
]

/**
 * Main protective bonding conductor without PME, mm²: half the earthing conductor between 6 and 25; BS 7671
 * 544.1.1.
 */
export const halfEarthingMm2 = (earthingMm2: number): number =>
  Math.min(25, Math.max(6, nextSize(earthingMm2 / 2)))
