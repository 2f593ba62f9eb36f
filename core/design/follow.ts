import type { BoardTask } from './board/board-task'
import type { Task } from './model/task'
import type { Installation } from '../installation/installation'
import type { Step, StepValues } from './model/step'
import { nodeKey, type NodeKey, type StepKey } from './model/step-keys'
import { walkInstallation, type DesignRules } from './walk'

/**
 * The design of somebody who goes on correctly from the values in `given`, over the whole installation: each step is either
 * given or follows from the ones before. A step that cannot be worked is left out.
 */
export function followFrom(
  installation: Installation,
  rules: DesignRules,
  given: Readonly<Partial<Record<NodeKey, number>>>,
): Partial<Record<NodeKey, number>> {
  const all: Partial<Record<NodeKey, number>> = {}
  function go<T extends Task | BoardTask>(
    scope: string,
    task: T,
    steps: readonly Step<T>[],
    before: StepValues,
  ): StepValues {
    const values: Partial<Record<StepKey, number>> = { ...before }
    for (const step of steps) {
      if (step.appliesTo && !step.appliesTo(task)) continue
      const node = nodeKey(scope, step.key)
      const derived = given[node] === undefined ? step.derive(task, values) : undefined
      const value = derived?.ok ? derived.value : given[node]
      if (value === undefined) break
      values[step.key] = value
      all[node] = value
    }
    return values
  }
  walkInstallation(installation, rules, {
    circuit: ({ id }, task, steps, before) => go(id, task, steps, before),
    board: ({ id }, task, steps, before) => go(id, task, steps, before),
  })
  return all
}
