import type { Task } from '../task'
import type { Step } from '../step'

/** A step of a circuit's design. */
export type CircuitStep = Step<Task>
