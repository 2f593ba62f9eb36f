import type { Task } from '../model/task'
import type { Step } from '../model/step'

/** A step of a circuit's design. */
export type CircuitStep = Step<Task>
