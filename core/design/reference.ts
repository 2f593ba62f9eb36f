import type { Task } from '../exercise/task'
import { CHAIN } from './chain'
import { hotZsOhm, maximumZsOhm, neededResidualA, smallestSize, voltDropLimitV, voltDropV } from './limits'
import type { Constraint, StepKey, StepValues, Worked } from './step'

export interface WorkedStep extends Worked {
  readonly key: StepKey
}

/** The worked design, or how far it came and the constraint that stops it. */
export type ReferenceDesign =
  | { readonly ok: true; readonly steps: readonly WorkedStep[]; readonly values: Readonly<Record<StepKey, number>>; readonly governs: Governs }
  | { readonly ok: false; readonly steps: readonly WorkedStep[]; readonly at: StepKey; readonly constraint: Constraint }

/** What decided the conductor: the smallest made, its current, its voltage drop or the fault loop. */
export type Governs = 'area' | 'capacity' | 'voltDrop' | 'loop'

/** Works the whole chain for a task, each step from the values of those before it. Pure; well under a millisecond. */
export function referenceDesign(task: Task): ReferenceDesign {
  const steps: WorkedStep[] = []
  const values: Partial<Record<StepKey, number>> = {}
  for (const step of CHAIN) {
    const derivation = step.derive(task, values)
    if (!derivation.ok) return { ok: false, steps, at: step.key, constraint: derivation.constraint }
    steps.push({ key: step.key, ...derivation })
    values[step.key] = derivation.value
  }
  const complete = values as Record<StepKey, number>
  return { ok: true, steps, values: complete, governs: governing(task, complete) }
}

function governing(task: Task, values: StepValues): Governs {
  return smallestSize(task, { itMin: values.itMin!, ib: values.ib!, in: values.in! }).ruledOutBy ?? 'area'
}

/** How much of each limit the design uses, 0 to 1; what makes a task tight or ambiguous. */
export function limitUse(task: Task, values: Readonly<Record<StepKey, number>>): Readonly<Record<'rating' | 'capacity' | 'voltDrop' | 'loop', number>> {
  const { size } = smallestSize(task, { itMin: values.itMin, ib: values.ib, in: values.in })
  if (!size) return { rating: 1, capacity: 1, voltDrop: 1, loop: 1 }
  return {
    rating: values.ib / values.in,
    capacity: values.itMin / size.ratingA,
    voltDrop: voltDropV(task, size, values.ib) / voltDropLimitV(task),
    loop: hotZsOhm(task, size) / maximumZsOhm(task, values.in, neededResidualA(task, values.in)),
  }
}
