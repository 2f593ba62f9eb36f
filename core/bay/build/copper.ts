import { COPPER_OHM_PER_M } from '../../regulations/conductors'

/** What a conductor is made of: its area, and its resistance where the book has another one for it than is shipped. */
export interface Copper {
  readonly areaMm2: number
  readonly ohmPerM?: number
}

/** Copper of this area with the resistance at 20 °C that the book gives it, Ω/m. */
export const copperOf = (areaMm2: number, ohmPerM: number): Copper =>
  COPPER_OHM_PER_M[areaMm2] === ohmPerM ? { areaMm2 } : { areaMm2, ohmPerM }
