import type { BoardTask } from '../../../design/board/board-task'
import type { Step, StepValues } from '../../../design/model/step'
import type { Task } from '../../../design/model/task'
import type { Finding } from '../../../findings/finding'

/** What a slip rule looks at: the step, what it should be from the person's own figures, and those figures. */
export interface SlipContext<T = Task | BoardTask> {
  readonly step: Step<T>
  readonly task: T
  readonly expected: number
  /** The person's own earlier values, the worked ones where theirs are missing. */
  readonly values: StepValues
}

/** The answer that a way of going wrong would give, and what to say about it. */
export interface Slip {
  readonly value: number
  readonly finding: Finding
}

/** One way of going wrong: every answer that it would lead to at this step. */
export type SlipRule = (context: SlipContext) => readonly Slip[]

/** A rule that only concerns circuits. */
export const forCircuits =
  (rule: (context: SlipContext<Task>) => readonly Slip[]): SlipRule =>
  (context) =>
    'contributions' in context.task ? [] : rule(context as unknown as SlipContext<Task>)
