import { coverage } from '#core/assessment/outcomes/coverage'
import { criteriaOf, type Framework } from '#core/assessment/outcomes/framework'
import { writeResults, type ResultRow } from '#schemas/results-csv'
import type { GroupRecord, OwnRecordUnit } from '#schemas/marking-views'
import type { Person } from '../repos/people'
import { allow, found, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** The apprentice's own record, by unit; only what has been released to them. */
export function ownRecord({ repos }: Context, actor: Person): OwnRecordUnit[] {
  allow(actor, 'work.own')
  const framework = need(repos.centre.framework())
  const occasions = [
    ...repos.decisions.releasedOccasions(actor.id),
    ...repos.observations.occasionsOf(actor.id),
    ...repos.runs.occasionsOf(actor.id),
    ...repos.questions.occasionsOf(actor.id),
  ]
  return framework.units.map((unit) => ({
    code: unit.code,
    title: unit.title,
    coverage: coverage(unit.criteria, occasions),
  }))
}

/** The record of a group: every apprentice against every criterion. */
export function groupRecord({ repos }: Context, actor: Person, cohort: string): GroupRecord {
  allow(actor, 'records.see')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const framework = need(repos.centre.framework())
  const criteria = criteriaOf(framework)
  const occasions = [
    ...repos.decisions.cohortOccasions(cohort),
    ...repos.observations.occasionsOfCohort(cohort),
    ...repos.runs.occasionsOfCohort(cohort),
    ...repos.questions.occasionsOfCohort(cohort),
  ]
  const people = repos.people.inCohort(cohort).map((person) => ({
    id: person.id,
    number: person.number,
    name: person.name,
    coverage: coverage(
      criteria,
      occasions.filter((occasion) => occasion.personId === person.id),
    ),
  }))
  return { units: framework.units, people }
}

export function listCohorts({ repos }: Context, actor: Person): string[] {
  allow(actor, 'cohorts.see')
  return [
    ...new Set(
      repos.people
        .all()
        .map((person) => person.cohort)
        .filter((cohort) => cohort !== '' && seesGroup(actor, cohort)),
    ),
  ].sort()
}

/** The results of one exercise as CSV. */
export function exportResults(
  { repos }: Context,
  actor: Person,
  exerciseId: number,
): { readonly name: string; readonly csv: string } {
  allow(actor, 'results.export')
  const { exercise } = found(repos.exercises.byId(exerciseId))
  const rows = repos.attempts
    .byExercise(exerciseId)
    .filter(({ cohort }) => seesGroup(actor, cohort))
    .map((attempt): ResultRow => {
      const decision = repos.decisions.latest(attempt.id)
      const criteria = decision?.evidence.proposal.criteria ?? []
      return {
        exercise: exercise.code,
        number: attempt.personNumber,
        name: attempt.personName,
        group: attempt.cohort,
        bay: attempt.bay,
        stage: attempt.stage,
        mark: decision?.mark,
        outOf: decision?.outOf,
        met: decision?.met,
        criteriaMet: criteria.filter((criterion) => criterion.met).map((criterion) => criterion.code),
        criteriaOpen: criteria.filter((criterion) => !criterion.met).map((criterion) => criterion.code),
        decidedBy: decision?.by ?? '',
        decidedAt: decision?.at ?? '',
      }
    })
  return { name: `${exercise.code}-results.csv`, csv: writeResults(rows) }
}

function need(framework: Framework | undefined): Framework {
  if (!framework) throw new Problem('frameworkMissing')
  return framework
}
