import type { CircuitFacts } from '../../installation/installation'
import type { Device } from '../../regulations/devices'
import type { Infeed } from '../../regulations/infeed'
import type { Premises } from '../../regulations/diversity'
import type { Book } from '../../regulations/book/book'
import type { Edition } from '../../regulations/editions'
import type { MeasuredZsPolicy, WarmDropPolicy } from '../../policies/policy'
import type { Arrangement } from '../../regulations/supply'

/** The supply as it is at the circuit's board. */
export interface SupplyHere {
  readonly arrangement: Arrangement
  /** Earth fault loop impedance at the board, Ω, > 0. */
  readonly zeOhm: number
  /** Prospective fault current at the board, A, > 0. */
  readonly ipfA: number
}

/** The device in front of a board. */
export interface DeviceAbove extends Device {
  readonly ratingA: number
}

/** One circuit with all that an answer may depend on, nothing else. */
export interface Task extends CircuitFacts {
  readonly edition: Edition
  /** The regulations as the centre reads them in this edition. */
  readonly book: Book
  readonly premises: Premises
  readonly supply: SupplyHere
  /** Share of the nominal voltage already lost between the origin and the board, 0 to 1. */
  readonly dropAbove: number
  readonly above: DeviceAbove | null
  /** Demand of the board that a distribution circuit feeds, A; null for a final circuit. */
  readonly demandA: number | null
  /** Sources behind its device; null where the installation has no second source at all. */
  readonly feedsBack: readonly Infeed[] | null
  readonly measuredZs: MeasuredZsPolicy
  readonly warmDrop: WarmDropPolicy
}
