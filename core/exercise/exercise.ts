import type { Task } from './task'

/** A practical exercise as an instructor sets it and as the exchange file carries it. */
export interface Exercise {
  readonly format: 'nakshi.exercise'
  readonly version: 1
  /** Short code of the centre, such as `T-04`. */
  readonly code: string
  readonly title: string
  /** The story on the task sheet. */
  readonly scenario: string
  /** What the circuit is called on the board's chart. */
  readonly circuitName: string
  readonly edition: '18-A2'
  readonly task: Task
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
