/** Conduit sizes, mm; On-Site Guide Appendix E. */
export const CONDUITS_MM = [16, 20, 25, 32] as const
export type ConduitMm = (typeof CONDUITS_MM)[number]

/**
 * Cable terms of single conductors by area: a short straight run, and any other; stranded from 4 mm². OSG
 * Tables E1 and E3, from memory.
 */
export const SHORT_TERM: Readonly<Record<number, number>> = {
  1: 22,
  1.5: 27,
  2.5: 39,
  4: 58,
  6: 88,
  10: 146,
  16: 202,
  25: 385,
}
export const LONG_TERM: Readonly<Record<number, number>> = {
  1: 16,
  1.5: 22,
  2.5: 30,
  4: 43,
  6: 58,
  10: 105,
  16: 145,
  25: 217,
}
export const SHORT_FACTOR: Readonly<Record<ConduitMm, number>> = { 16: 290, 20: 460, 25: 800, 32: 1400 }
/**
 * 10 000 ÷ factor grows in a straight line with length: intercept and growth per metre, read back from OSG
 * Table E4, from memory.
 */
export const LONG_LINE: Readonly<Record<ConduitMm, readonly [number, number]>> = {
  16: [50, 1.66],
  20: [31, 1],
  25: [17.35, 0.528],
  32: [10, 0.276],
}

/**
 * Trunking sizes by rising factor; OSG Tables E5 (terms, thermoplastic) and E6 (factors at 45 % fill), from
 * memory.
 */
export const TRUNKING: readonly { readonly size: string; readonly factor: number }[] = [
  { size: '50 × 38', factor: 767 },
  { size: '50 × 50', factor: 1037 },
  { size: '75 × 50', factor: 1555 },
  { size: '75 × 75', factor: 2371 },
  { size: '100 × 75', factor: 3189 },
]
export const TRUNKING_TERM: Readonly<Record<number, number>> = {
  1: 6.8,
  1.5: 8,
  2.5: 11.9,
  4: 16.6,
  6: 21.2,
  10: 35.3,
  16: 47.8,
  25: 73.9,
  35: 93.3,
}
