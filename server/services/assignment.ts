import { assignmentOf, type Assignment } from '#core/exercise/assignment'
import type { Attempt } from '../repos/attempts'
import type { Context } from './context'

/** The attempt as it is asked and judged. */
export function assignmentFor({ repos }: Pick<Context, 'repos'>, attempt: Attempt): Assignment {
  return assignmentOf(repos.exercises.byId(attempt.exerciseId)!.exercise, attempt.installation)
}
