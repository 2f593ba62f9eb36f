import type { Assignment } from '../../exercise/assignment'
import type { StepKey } from '../../design/model/step-keys'

/** Choices that rest on several considerations count double. */
const DOUBLE: ReadonlySet<StepKey> = new Set<StepKey>(['csa', 'zs', 'residual'])

/** Marks that a design step earns unless the exercise says otherwise. */
export const usualMark = (step: StepKey): number => (DOUBLE.has(step) ? 2 : 1)

/** Marks that a design step can earn in this exercise. */
export const maximumMark = (step: StepKey, { marks }: Pick<Assignment, 'marks'>): number =>
  marks[step] ?? usualMark(step)
