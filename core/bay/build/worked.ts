import type { Circuit } from '../../installation/installation'
import type { CableSize } from '../../regulations/cables/sizes'
import type { Colour, Pole } from '../model/rig'

/** A circuit with what was chosen for it. */
export interface WorkedCircuit {
  readonly circuit: Circuit
  readonly ratingA: number
  readonly lineMm2: number
  /** The cable as the book has it. */
  readonly size: CableSize
  readonly residualA: number | null
}

/** Where a final circuit starts. */
export interface Origin {
  /** How its points are numbered: the way, with its line on a three-phase board. */
  readonly number: string
  readonly lines: readonly { readonly pole: Pole; readonly from: string; readonly colour: Colour }[]
  /** A fresh terminal for each neutral. */
  readonly neutral: () => string
  readonly earth: () => string
}
