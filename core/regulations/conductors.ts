/** Line and cpc areas that a circuit of this cable kind can have, in order, mm². */
export interface ConductorPair {
  readonly lineMm2: number
  readonly cpcMm2: number
}

/** Copper, class 1 and 2, Ω/m at 20 °C; On-Site Guide Appendix I, Table I1 (BS EN 60228), from memory. */
export const COPPER_OHM_PER_M: Readonly<Record<number, number>> = {
  1: 18.1e-3, 1.5: 12.1e-3, 2.5: 7.41e-3, 4: 4.61e-3, 6: 3.08e-3, 10: 1.83e-3, 16: 1.15e-3, 25: 0.727e-3, 35: 0.524e-3,
}

/** From 20 °C to 70 °C for a cpc in the cable or bunched; 1 + 0.004 × 50. On-Site Guide Table I3, from memory. */
export const HOT_MULTIPLIER = 1.2

/** Resistance temperature coefficient of copper used in the trade's tables, per °C from 20 °C. */
export const COPPER_PER_DEGREE = 0.004

/** r1 + r2 of a line/cpc pair at 20 °C, Ω/m. */
export function pairOhmPerM(pair: ConductorPair): number {
  return COPPER_OHM_PER_M[pair.lineMm2]! + COPPER_OHM_PER_M[pair.cpcMm2]!
}
