import type { Phases } from '../supply'
import type { Source } from '../source'

export const CABLE_KINDS = [
  'flat-twin-earth',
  'singles-in-conduit',
  'singles-in-trunking',
  'multicore',
  'armoured-70',
  'armoured-90',
  'mineral',
  'fire-resistant',
] as const
export type CableKind = (typeof CABLE_KINDS)[number]

export const METHODS = ['A', 'B', 'C', 'D', 'E', '100', '101', '102', '103'] as const
export type Method = (typeof METHODS)[number]

/** One value for each size, for two loaded conductors (1) and for three (3). */
export type BySize = Readonly<Partial<Record<Phases, readonly number[]>>>

/**
 * The protective conductor: its area and resistance by size, what heat does to it, and how hot a fault may
 * make it.
 */
export interface Protective {
  readonly made: 'copper' | 'armour' | 'sheath'
  /** By number of loaded conductors: three-phase armoured cables have a fourth core and more armour. */
  readonly areaMm2: BySize
  readonly ohmPerM: BySize
  /** From 20 °C to its temperature in service. */
  readonly hotMultiplier: number
  /** BS 7671 Tables 54.3 and 54.4, A·√s/mm². */
  readonly k: number
  readonly source: Source
}

/** One cable kind: the sizes it is made in, what it carries by method, what it drops, its cpc. */
export interface Cable {
  readonly kind: CableKind
  /** Conductor operating temperature, °C. */
  readonly conductorC: 70 | 90
  /** Methods with a rating column, the usual one first. */
  readonly methods: readonly Method[]
  readonly lineMm2: readonly number[]
  /** Tabulated rating It, A. */
  readonly ratingsA: Readonly<Partial<Record<Method, BySize>>>
  /** V/A/m at the operating temperature. */
  readonly voltDropVPerAm: BySize
  readonly cpc: Protective
  readonly ratingSource: Source
  readonly voltDropSource: Source
}

/** Table columns are written in mV/A/m. */
export const milli = (values: readonly number[]): number[] => values.map((value) => value / 1e3)
