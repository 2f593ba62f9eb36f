import type { Occasion } from '#core/assessment/outcomes/coverage'
import { criteriaOf, type Framework } from '#core/assessment/outcomes/framework'
import {
  kindsBrought,
  type EvidenceKind,
  type Kinded,
  type OccasionFrom,
} from '#core/assessment/outcomes/kinds'
import { SHOWN_NOTHING, shownByTask, type Shown } from '#core/assessment/outcomes/shows'
import type { PersonOccasion } from '../repos/decisions'
import type { Context } from './context'
import { Problem } from './problem'

type Repos = Pick<Context, 'repos'>

/** One occasion of somebody, with its kinds and what it shows. */
export type EvidencedOccasion = Occasion & Pick<PersonOccasion, 'personId' | 'attemptId' | 'from'>

export function frameworkInForce({ repos }: Repos): Framework {
  const framework = repos.centre.framework()
  if (!framework) throw new Problem('frameworkMissing')
  return framework
}

/** What somebody may see of their own: of tasks only what has been released to them. */
export const ownOccasions = (context: Repos, personId: number): EvidencedOccasion[] =>
  evidenced(context, [
    ...context.repos.decisions.releasedOccasions(personId),
    ...apartFromTasks(context, personId),
  ])

/** Everything that was decided about one person, as staff see it. */
export const occasionsOf = (context: Repos, personId: number): EvidencedOccasion[] =>
  evidenced(context, [...context.repos.decisions.occasionsOf(personId), ...apartFromTasks(context, personId)])

const apartFromTasks = ({ repos }: Repos, personId: number): PersonOccasion[] => [
  ...repos.observations.occasionsOf(personId),
  ...repos.runs.occasionsOf(personId),
  ...repos.questions.occasionsOf(personId),
  ...repos.accounts.occasionsOf(personId),
  ...repos.surveys.occasionsOf(personId),
]

/** The same for a whole group, by person. */
export function occasionsOfGroup(context: Repos, cohort: string): Map<number, EvidencedOccasion[]> {
  const { repos } = context
  const all = evidenced(context, [
    ...repos.decisions.cohortOccasions(cohort),
    ...repos.observations.occasionsOfCohort(cohort),
    ...repos.runs.occasionsOfCohort(cohort),
    ...repos.questions.occasionsOfCohort(cohort),
    ...repos.accounts.occasionsOfCohort(cohort),
    ...repos.surveys.occasionsOfCohort(cohort),
  ])
  const byPerson = new Map<number, EvidencedOccasion[]>()
  for (const occasion of all) {
    const known = byPerson.get(occasion.personId)
    if (known) known.push(occasion)
    else byPerson.set(occasion.personId, [occasion])
  }
  return byPerson
}

/**
 * Occasions by the codes of the framework in force: what a later version gave another code counts there, what it
 * dropped counts for nothing.
 */
function evidenced(context: Repos, rows: readonly PersonOccasion[]): EvidencedOccasion[] {
  const present = context.repos.centre.presentCriterion()
  const framework = context.repos.centre.framework()
  const criteria = new Map(
    (framework ? criteriaOf(framework) : []).map((criterion) => [criterion.code, criterion]),
  )
  const shownBy = shownByExercise(context)
  const kinds = new Map<string, readonly EvidenceKind[]>()
  const kindsFrom = (from: Exclude<OccasionFrom, Kinded>, code: string): readonly EvidenceKind[] => {
    const key = `${from} ${code}`
    const known = kinds.get(key) ?? kindsBrought(from, criteria.get(code)?.evidence ?? [])
    kinds.set(key, known)
    return known
  }
  return rows.flatMap((row) => {
    const criterion = present(row.criterion)
    if (criterion === null) return []
    const brought =
      row.from === 'claim' || row.from === 'survey' ? kindsOfClaim(row) : kindsFrom(row.from, criterion)
    const shown = row.shown ?? (row.from === 'task' ? shownBy(row.exerciseCode) : SHOWN_NOTHING)
    return [{ ...row, criterion, kinds: brought, shown }]
  })
}

/** A claim brings what it rests on; talked over, it has been questioned too. */
const kindsOfClaim = ({ claimKind = 'written', wasDiscussed }: PersonOccasion): EvidenceKind[] =>
  wasDiscussed && claimKind !== 'questioned' ? [claimKind, 'questioned'] : [claimKind]

/** What a task shows that was decided before this was kept with the decision. */
function shownByExercise({ repos }: Repos): (code: string) => Shown {
  let known: ReadonlyMap<string, Shown> | null = null
  return (code) => {
    known ??= new Map(
      repos.exercises
        .all()
        .map(({ exercise }) => [exercise.code, shownByTask(exercise.installation, exercise.tests)]),
    )
    return known.get(code) ?? SHOWN_NOTHING
  }
}
