import { criteriaOf } from '#core/assessment/outcomes/framework'
import { upgradeExercise } from '#core/exercise/upgrade'
import { ExerciseSchema } from '#schemas/exercise'
import { validate } from '#schemas/validate'
import type { StoredExercise } from '#schemas/views'
import heater from '../../packs/workshop/T-01.json'
import sockets from '../../packs/workshop/T-02.json'
import lighting from '../../packs/workshop/T-03.json'
import store from '../../packs/workshop/T-04.json'
import shop from '../../packs/workshop/T-05.json'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { createExercise } from './exercises'

/** From one circuit to a whole board, in the order in which they are taught. */
const WORKSHOP: readonly unknown[] = [heater, sockets, lighting, store, shop]

/**
 * Puts the sample exercises among the centre's own, as drafts. A code that is taken is left alone; criteria that the
 * framework in force does not have are left out.
 */
export function takeSampleExercises(context: Context, actor: Person): StoredExercise[] {
  allow(actor, 'exercise.change')
  const { repos } = context
  const known = new Set(criteriaOf(frameworkInForce(context)).map(({ code }) => code))
  return repos.transaction(() =>
    WORKSHOP.flatMap((sample) => {
      const checked = validate(ExerciseSchema, upgradeExercise(sample))
      if (!checked.ok) throw new Error(`a sample exercise is not right: ${JSON.stringify(checked.problems)}`)
      const exercise = checked.value
      if (repos.exercises.byCode(exercise.code)) return []
      return createExercise(context, actor, {
        ...exercise,
        criteria: exercise.criteria.filter((code) => known.has(code)),
      })
    }),
  )
}
