import type { Complex } from './complex'

/** The node that every voltage is told against: the mass of earth. */
export const EARTH = 'earth'

/** How an element's impedance follows the voltage across it; see laws.ts. */
export type Law =
  /** Filament lamp: hot at its rated voltage, about a tenth of that resistance cold. */
  | { readonly kind: 'filament'; readonly ratedW: number; readonly ratedV: number }
  /** Electronic load: takes its power at any voltage of its range, next to nothing below. */
  | {
      readonly kind: 'driver'
      readonly ratedW: number
      readonly ratedV: number
      readonly powerFactor: number
    }
  /** Surge arrester or electronics that conduct above this peak voltage. */
  | { readonly kind: 'varistor'; readonly clampV: number }

interface Between {
  /** Own name, told when something is wrong with it and asked for its current. */
  readonly name: string
  readonly from: string
  readonly to: string
}

/** Resistance and reactance in series, Ω; resistance ≥ 0 unless it gives, not both zero. */
export interface Impedance extends Between {
  readonly kind: 'impedance'
  readonly ohm: Complex
  /** An open contact stays in the list, so that the order of elimination can be kept. */
  readonly isOpen?: boolean
  /** It gives power at the voltage that it finds: a resistance below zero is meant. */
  readonly gives?: boolean
  /** Overrides `ohm`, which is then where the search starts. */
  readonly law?: Law
}

/** An electromotive force that lifts `to` over `from`, V, with its inner impedance, Ω. */
export interface Source extends Between {
  readonly kind: 'source'
  readonly volt: Complex
  readonly ohm: Complex
  readonly isOpen?: boolean
}

/** A current driven from `from` to `to`, A, whatever the voltage. */
export interface Injection extends Between {
  readonly kind: 'injection'
  readonly ampere: Complex
}

export type Element = Impedance | Source | Injection

/** An electrical network at one frequency. */
export interface Network {
  /** Hz; 0 for direct current. */
  readonly hertz: number
  readonly elements: readonly Element[]
}
