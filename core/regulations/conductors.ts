/** Copper, class 1 and 2, Ω/m at 20 °C; On-Site Guide Appendix I, Table I1 (BS EN 60228), from memory. */
export const COPPER_OHM_PER_M: Readonly<Record<number, number>> = {
  1: 18.1e-3,
  1.5: 12.1e-3,
  2.5: 7.41e-3,
  4: 4.61e-3,
  6: 3.08e-3,
  10: 1.83e-3,
  16: 1.15e-3,
  25: 0.727e-3,
  35: 0.524e-3,
}

/** Resistivity that the conductor tables rest on, Ω·mm²/m at 20 °C. */
export const COPPER_OHM_MM2_PER_M = 18.1e-3

/** Resistance temperature coefficient of copper used in the trade's tables, per °C from 20 °C. */
export const COPPER_PER_DEGREE = 0.004
/** The same of galvanised steel wire. */
const STEEL_PER_DEGREE = 0.0045

/**
 * From 20 °C to the given conductor temperature; 1.20 at 70 °C, 1.28 at 90 °C. On-Site Guide Table I3, from
 * memory.
 */
export const copperMultiplier = (conductorC: number): number => 1 + COPPER_PER_DEGREE * (conductorC - 20)

/** Armour runs about 10 °C below the conductors; guidance, from memory. */
export const armourMultiplier = (conductorC: number): number => 1 + STEEL_PER_DEGREE * (conductorC - 10 - 20)
