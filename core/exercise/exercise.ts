import type { StepKey } from '../design/model/step-keys'
import type { Installation } from '../installation/installation'
import type { BookChange } from '../regulations/book/change'
import type { Edition } from '../regulations/editions'
import type { Policy } from '../policies/policy'

/** Every circuit is wired and tested, on one schedule. */
export const WHOLE_BOARD = 'all'

export const TASK_KINDS = ['new-circuit', 'whole-board', 'alteration'] as const
export type TaskKind = (typeof TASK_KINDS)[number]

/** What is written down: these steps of these circuits, and of the boards. */
export interface Asks {
  /** Ids of the circuits that are designed; the others are given. */
  readonly circuits: readonly string[]
  readonly steps: readonly StepKey[]
}

/** A practical exercise as an instructor sets it and as the exchange file carries it. */
export interface Exercise {
  readonly format: 'nakshi.exercise'
  readonly version: 2
  /** Short code of the centre, such as `T-04`. */
  readonly code: string
  readonly title: string
  readonly kind: TaskKind
  /** The story on the task sheet. */
  readonly scenario: string
  /** Time allowed, minutes. */
  readonly minutes: number
  readonly edition: Edition
  readonly installation: Installation
  /**
   * The circuit that is wired and tested at the bay, or `WHOLE_BOARD`; null where the design alone is handed
   * in.
   */
  readonly tests: string | null
  readonly asks: Asks
  /** Marks of a step where they differ from the usual ones, 0 to 10. */
  readonly marks: Readonly<Partial<Record<StepKey, number>>>
  /** Steps that outrank any number of marks when they are wrong. */
  readonly critical: readonly StepKey[]
  readonly policy: Policy
  /** What the centre's book said otherwise when the exercise was set; left out: nothing. */
  readonly book?: readonly BookChange[]
  readonly variants: VariantPlan
  /** Criteria codes of the unit framework that a decision on this exercise can evidence. */
  readonly criteria: readonly string[]
}

export interface VariantPlan {
  /** Same seed, same variants. Whole number, 0 or more. */
  readonly seed: number
  /** Largest departure of the length from the exercise's own, as a fraction, 0 to 0.4. */
  readonly lengthSpread: number
  /** Largest departure of the load, as a fraction, 0 to 0.4. */
  readonly loadSpread: number
}
