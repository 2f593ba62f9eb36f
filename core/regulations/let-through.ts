/**
 * Let-through energy of energy limiting class 3, A²s, by rating up to 16, 32 and 63 A, at 3, 6 and 10 kA; BS
 * EN 60898-1 Annex ZA, from memory.
 */
export const CLASS_3: Readonly<
  Record<'B' | 'C', readonly (readonly [ratingA: number, atFault: Readonly<Record<number, number>>])[]>
> = {
  B: [
    [16, { 3000: 15_000, 6000: 35_000, 10_000: 70_000 }],
    [32, { 3000: 18_000, 6000: 45_000, 10_000: 90_000 }],
    [63, { 3000: 21_600, 6000: 54_000, 10_000: 108_000 }],
  ],
  C: [
    [16, { 3000: 17_000, 6000: 42_000, 10_000: 84_000 }],
    [32, { 3000: 20_000, 6000: 55_000, 10_000: 110_000 }],
    [63, { 3000: 24_000, 6000: 66_000, 10_000: 132_000 }],
  ],
}

export const FAULT_LEVELS_A = [3000, 6000, 10_000]
