import type { Fault } from '../../bay/faults/fault'

/** A slip at the bench or on paper: the bay is as it should be, the reading is not. */
export type Slip =
  | { readonly kind: 'leads'; readonly ohm: number }
  | { readonly kind: 'lampsIn' | 'switchOff'; readonly circuit: string }
  | { readonly kind: 'decimal'; readonly test: string; readonly factor: number }
  | { readonly kind: 'digits'; readonly test: string }
  /** Steps 2 or 3 of a ring with each leg joined with itself. */
  | { readonly kind: 'legsJoined'; readonly circuit: string; readonly step: 2 | 3 | 'both' }
  /** What another row of the sheet reads, figure by figure. */
  | { readonly kind: 'copied'; readonly tests: readonly string[]; readonly from: readonly string[] }
  /** What another bay of the same exercise reads. */
  | { readonly kind: 'otherBay'; readonly tests: readonly string[]; readonly bay: string }
  /** Two readings have changed places, or one stands in the box of another. */
  | { readonly kind: 'otherBox'; readonly test: string; readonly other: string; readonly isSwapped: boolean }
  /** Kilohms where megohms are asked. */
  | { readonly kind: 'kilohms'; readonly test: string }
  /** Ze alone is out: every Zs of the sheet contradicts it. */
  | { readonly kind: 'supplyReading'; readonly test: string }
  /** None of those that are known: a reading taken wrongly, or something that the catalogue has not. */
  | { readonly kind: 'unlisted' }

/** Why a sheet reads as it does. */
export interface Hypothesis {
  readonly faults: readonly Fault[]
  readonly slip: Slip | null
  /** Where it is, for the words: parts, terminals, conductors. */
  readonly at: readonly string[]
  /** What it costs before any reading is looked at: rarer causes cost more. */
  readonly priorCost: number
  /** Resistances of the catalogue stand for any of their kind. */
  readonly isScalable: boolean
}

/** Nothing wrong at the bay. */
export const SOUND: Hypothesis = { faults: [], slip: null, at: [], priorCost: 0, isScalable: false }

/** What the sound bay leaves unexplained is told as “none of these”. */
export const UNLISTED: Hypothesis = { ...SOUND, slip: { kind: 'unlisted' } }

/** Every cause costs at least this, so that a sound bay with scatter stays sound. */
export const BASE_COST = 2.5
