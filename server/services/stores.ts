import { referenceDesign } from '#core/design/reference'
import { sizeOf } from '#core/regulations/cables'
import type { StoresExercise } from '#schemas/views'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'

/** What each bay of an exercise needs laid out, with the totals. Worked from each variant. */
export function showStores({ repos }: Context, actor: Person): StoresExercise[] {
  allow(actor, 'stores.see')
  return repos.exercises.all().filter((stored) => stored.state === 'set').map(({ id, exercise }) => ({
    id, code: exercise.code, title: exercise.title,
    bays: repos.attempts.byExercise(id).flatMap((attempt) => {
      const design = referenceDesign(attempt.task)
      if (!design.ok) return []
      const size = sizeOf(attempt.task.cable.kind, attempt.task.cable.method, design.values.csa)!
      return [{
        bay: attempt.bay, name: attempt.personName, cable: attempt.task.cable.kind, lineMm2: size.lineMm2, cpcMm2: size.cpcMm2,
        lengthM: attempt.task.lengthM, family: attempt.task.device.family, curve: attempt.task.device.curve, ratingA: design.values.in,
        residualMA: attempt.task.residualA === null ? null : attempt.task.residualA * 1e3, capacityA: design.values.breaking, isDone: attempt.stage === 'released',
      }]
    }),
  }))
}
