import type { StructureProblem } from '../../installation/check'
import type { QuantityKey } from '../../units/quantity'

/** Why a box of the exercise form cannot be taken. Its sentence stands in words/form.ts. */
export type FormProblem =
  | { readonly code: 'choose' | 'fill' | 'notWhole' | 'negative' | 'lamps' | 'bothOrNeither' | 'surgeHalf' }
  | {
      readonly code: 'noCircuit' | 'noneDesigned' | 'noStep' | 'noCriterion' | 'codeLetters' | 'noSuchCircuit'
    }
  | { readonly code: 'tooLong'; readonly longest: number }
  | { readonly code: 'otherUnit' | 'notANumber'; readonly quantity: QuantityKey }
  /** Outside its range; a share is shown in percent. */
  | {
      readonly code: 'notAbove' | 'below' | 'above'
      readonly limit: number
      readonly quantity: QuantityKey
      readonly isShare: boolean
    }
  | { readonly code: 'marks'; readonly least: number; readonly most: number }
  | { readonly code: 'makerRow'; readonly row: number; readonly column: string }
  | { readonly code: 'makerTooMany'; readonly most: number }
  | { readonly code: 'structure'; readonly problem: StructureProblem }

/** Notes a problem at the box that has it. */
export type NoteProblem<F extends string = string> = (field: F, problem: FormProblem) => void
