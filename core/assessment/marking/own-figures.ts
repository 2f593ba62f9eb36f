import type { BoardTask } from '../../design/board/board-task'
import type { StepKey } from '../../design/model/step-keys'
import type { Task } from '../../design/model/task'
import type { Assignment } from '../../exercise/assignment'

/**
 * What somebody wrote so far in one circuit or board, SI, and how far rounding may have moved each calculated
 * value.
 */
export interface OwnFigures {
  readonly values: Partial<Record<StepKey, number>>
  readonly halfDigits: Partial<Record<StepKey, number>>
  /** Their figures have left the worked design, here or further up. */
  hasDeparted: boolean
}

/** One circuit's or board's place in the marking: what is given here, worked and by the person's own figures. */
export interface MarkingPlace<T extends Task | BoardTask> {
  readonly scope: string
  readonly assignment: Assignment
  /** With the supply that the person's own upstream figures leave here. */
  readonly task: T
  readonly ownFigures: OwnFigures
}
