import type { RefusalParams } from '../../findings/codes'
import { fault, type Finding, type FindingRest } from '../../findings/finding'
import type { Cell } from '../../regulations/book/change'
import type { Source } from '../../regulations/source'
import type { StepKey } from './step-keys'
import type { StepKind } from './step-kinds'

/** Values of steps in SI; `residual` is in A, 0 for none; areas are in mm²; choices by their number. */
export type StepValues = Readonly<Partial<Record<StepKey, number>>>

/** What stops a design, by name, with the figures that show it. */
export interface Constraint {
  readonly code:
    | 'load'
    | 'rating'
    | 'start'
    | 'ringRating'
    | 'ambient'
    | 'grouping'
    | 'insulation'
    | 'method'
    | 'capacity'
    | 'voltDrop'
    | 'loop'
    | 'adiabatic'
    | 'breaking'
    | 'residual'
    | 'area'
    | 'containment'
    | 'demand'
    | 'mainSwitch'
    | 'bonding'
    | 'existingRating'
    | 'existingCable'
    | 'upstream'
    | 'dropAbove'
  readonly params: Readonly<Record<string, number | string>>
}

/** The limit that a calculated value must keep. */
export interface Check {
  readonly relation: '≤' | '≥'
  readonly limit: number
  readonly isKept: boolean
}

/** One worked step: its value, the rule, the figures put in, its source, and its limit. */
export interface Worked {
  readonly ok: true
  readonly value: number
  readonly formula: string
  readonly working: string
  readonly source: Source
  readonly check?: Check
  /**
   * The value stands, but no task can be set on it; somebody who came here by a slip goes on with it all the
   * same.
   */
  readonly constraint?: Constraint
}

export type Derivation = Worked | { readonly ok: false; readonly constraint: Constraint }

/** A value next to the right one in a table: what is read when the finger slips a row or a column. */
export interface Neighbour {
  readonly value: number
  readonly table: string
  readonly entry: string
}

/** How a choice that is not the worked one is judged. */
export type Acceptance =
  | { readonly accepted: true; readonly note?: AcceptanceNote }
  | { readonly accepted: false; readonly finding: Finding }

/** What is said beside an accepted answer. */
export type AcceptanceNote =
  | 'wholeLoadAtFurthest'
  | 'diversityOverAll'
  | 'adiabaticByTime'
  | 'adiabaticByLetThrough'
  | 'adiabaticByMaker'
  | 'makersFigure'
  | 'loopByMaker'
  | 'overloadFactorInside'
  | 'oneSizeUp'
  | 'moreThanAsked'
  | 'soundNotEconomical'

/** One step of a design. `T` is what it is worked from: a circuit's task, or a board's. */
export interface Step<T> extends StepKind {
  readonly key: StepKey
  readonly kind: 'calculated' | 'looked-up' | 'chosen'
  /** Earlier steps whose values this one is worked from. */
  readonly needs: readonly StepKey[]
  /**
   * Absent: the step is always there. Looks at what is given alone, so that a sheet shows the same boxes to
   * everybody.
   */
  readonly appliesTo?: (task: T) => boolean
  /** Works the step from the task and earlier values; every key in `needs` that applies to the task is present. */
  readonly derive: (task: T, values: StepValues) => Derivation
  /** The value of the book that this step looks up, or the values; absent where it is none. */
  readonly cell?: (task: T, values: StepValues) => Cell | readonly Cell[] | undefined
  readonly neighbours?: (task: T, values: StepValues) => Neighbour[]
  /**
   * Another answer that also satisfies the rules, or is right for another premise; undefined where it has
   * nothing to say.
   */
  readonly accept?: (task: T, values: StepValues, answer: number) => Acceptance | undefined
  /** Accepted relative departure where the usual one does not fit, such as a time read off a curve. */
  readonly tolerance?: number
}

/** Short hand for a step's own file. */
export function worked(
  value: number,
  formula: string,
  working: string,
  source: Source,
  check?: Check,
): Worked {
  return check
    ? { ok: true, value, formula, working, source, check }
    : { ok: true, value, formula, working, source }
}

export const atMost = (value: number, limit: number): Check => ({
  relation: '≤',
  limit,
  isKept: value <= limit * (1 + 1e-9),
})
export const atLeast = (value: number, limit: number): Check => ({
  relation: '≥',
  limit,
  isKept: value >= limit * (1 - 1e-9),
})

export function stopped(code: Constraint['code'], params: Constraint['params'] = {}): Derivation {
  return { ok: false, constraint: { code, params } }
}

export const accepted = (note?: AcceptanceNote): Acceptance => ({ accepted: true, note })

/** Another choice that does not hold, with the figures that show it. */
export const refused = <C extends keyof RefusalParams>(why: C, ...rest: FindingRest<C>): Acceptance => ({
  accepted: false,
  finding: fault(why, ...rest),
})
