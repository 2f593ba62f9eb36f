import type { Task } from '../exercise/task'
import { CHAIN } from './chain'
import type { StepKey, StepValues } from './step'

/**
 * The design of somebody who goes on correctly from the values in `given`: each step is either given or follows from
 * the ones before. Stops at the first step that cannot be worked.
 */
export function followFrom(task: Task, given: StepValues): StepValues {
  const values: Partial<Record<StepKey, number>> = {}
  for (const step of CHAIN) {
    const value = given[step.key]
    if (value !== undefined) {
      values[step.key] = value
      continue
    }
    const derivation = step.derive(task, values)
    if (!derivation.ok) return values
    values[step.key] = derivation.value
  }
  return values
}
