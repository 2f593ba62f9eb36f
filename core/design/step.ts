import type { Task } from '../exercise/task'
import type { Source } from '../regulations/source'
import type { StepKey } from './step-keys'
import type { StepKind } from './step-kinds'

export { STEP_KEYS, type StepKey } from './step-keys'

/** Values of steps in SI; `residual` is the rated residual current in A, 0 for none; `csa` is in mm². */
export type StepValues = Readonly<Partial<Record<StepKey, number>>>

/** What stops a design, by name, with the figures that show it. */
export interface Constraint {
  readonly code:
    | 'load' | 'rating' | 'ambient' | 'grouping' | 'method' | 'capacity' | 'voltDrop' | 'loop' | 'breaking' | 'residual' | 'area'
  readonly params: Readonly<Record<string, number | string>>
}

/** One worked step: its value, the rule, the figures put in, and where the rule stands. */
export interface Worked {
  readonly ok: true
  readonly value: number
  readonly formula: string
  readonly working: string
  readonly source: Source
}

export type Derivation = Worked | { readonly ok: false; readonly constraint: Constraint }

/** A value next to the right one in a table: what is read when the finger slips a row or a column. */
export interface Neighbour {
  readonly value: number
  readonly table: string
  readonly entry: string
}

/** How a choice that is not the worked one is judged. */
export type Acceptance = { readonly accepted: true; readonly note?: string } | { readonly accepted: false; readonly why: string; readonly params: Constraint['params'] }

export interface Step extends StepKind {
  readonly key: StepKey
  readonly kind: 'calculated' | 'looked-up' | 'chosen'
  /** Earlier steps whose values this one is worked from. */
  readonly needs: readonly StepKey[]
  /** Works the step from the task and earlier values; every key in `needs` is present. */
  readonly derive: (task: Task, values: StepValues) => Derivation
  readonly neighbours?: (task: Task, values: StepValues) => Neighbour[]
  /** For `chosen` steps: another answer that also satisfies the rules. */
  readonly accept?: (task: Task, values: StepValues, answer: number) => Acceptance
}

/** Short hand for a step's own file. */
export function worked(value: number, formula: string, working: string, source: Source): Worked {
  return { ok: true, value, formula, working, source }
}

export function stopped(code: Constraint['code'], params: Constraint['params'] = {}): Derivation {
  return { ok: false, constraint: { code, params } }
}

export const accepted = (note?: string): Acceptance => ({ accepted: true, note })

export const refused = (why: string, params: Constraint['params']): Acceptance => ({ accepted: false, why, params })
