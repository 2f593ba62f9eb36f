import { MEMBERS_OF } from '#core/assessment/outcomes/check-framework'
import { quotaFacts, wantsOf, type ClosingProblem } from '#core/assessment/closing/problem'
import { gapsOf } from '#core/assessment/outcomes/gap'
import { shownByTask } from '#core/assessment/outcomes/shows'
import type { Person } from '../repos/people'
import { allow, seesGroup } from './access'
import type { Context } from './context'
import { frameworkInForce, occasionsOfGroup } from './evidence'
import { Problem } from './problem'

/** What a group lacks and what each exercise gives: the browser plans from it. */
export function closingProblem(context: Context, actor: Person, cohort: string): ClosingProblem {
  allow(actor, 'attempt.mark')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const { repos } = context
  const framework = frameworkInForce(context)
  const facts = quotaFacts(framework)
  const occasions = occasionsOfGroup(context, cohort)
  const had = new Map<number, number[]>()
  for (const { personId, exerciseId } of repos.attempts.ofCohort(cohort))
    had.set(personId, [...(had.get(personId) ?? []), exerciseId])
  const members = (quota: string) => MEMBERS_OF[facts.sorts[quota] ?? 'cable']
  return {
    ...facts,
    people: repos.people.inCohort(cohort).map(({ id, name }) => {
      const gaps = gapsOf(framework, { occasions: occasions.get(id) ?? [], behaviours: new Set() })
      return { id, name, had: had.get(id) ?? [], wants: wantsOf(gaps, members) }
    }),
    exercises: repos.exercises
      .all()
      .map(({ id, exercise }) => ({
        id,
        code: exercise.code,
        title: exercise.title,
        minutes: exercise.minutes,
        criteria: exercise.criteria,
        shown: shownByTask(exercise.installation, exercise.tests),
      })),
  }
}
