import { publicInstallation } from '#core/exercise/assignment'
import { WHOLE_BOARD, type Exercise } from '#core/exercise/exercise'
import { upgradeExercise } from '#core/exercise/upgrade'
import { structureProblems } from '#core/installation/check'
import { criteriaOf } from '#core/assessment/outcomes/framework'
import { structureSentence } from '#words/structure'
import { ExerciseSchema } from '#schemas/exercise'
import { validate } from '#schemas/validate'
import type { GroupShown } from '#schemas/group-shown'
import type { ExerciseListItem, StoredExercise, TaskSheets } from '#schemas/views'
import type { Person } from '../repos/people'
import { allow, found, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { saveIfCurrent } from './save-current'

export function listExercises({ repos }: Context, actor: Person): ExerciseListItem[] {
  allow(actor, 'exercise.see')
  const counts = repos.attempts.counts()
  return repos.exercises
    .all()
    .map(({ exercise, ...stored }) => ({
      ...stored,
      code: exercise.code,
      title: exercise.title,
      kind: exercise.kind,
      edition: exercise.edition,
      circuits: exercise.installation.circuits,
      attempts: counts.get(stored.id) ?? 0,
    }))
}

export function showExercise({ repos }: Context, actor: Person, id: number): StoredExercise {
  allow(actor, 'exercise.see')
  return found(repos.exercises.byId(id))
}

export function createExercise({ repos, now }: Context, actor: Person, exercise: Exercise): StoredExercise {
  allow(actor, 'exercise.change')
  return repos.transaction(() => {
    check(repos, exercise)
    refuseTakenCode({ repos }, exercise.code)
    const id = repos.exercises.insert(exercise, actor.id, now)
    repos.audit.add(now, actor.id, 'exerciseCreated', `exercise ${exercise.code}`)
    return repos.exercises.byId(id)!
  })
}

/** Saves a draft. When somebody else saved in between, refuses and hands over what they saved. */
export function saveExercise(
  context: Context,
  actor: Person,
  id: number,
  version: number,
  exercise: Exercise,
): StoredExercise {
  allow(actor, 'exercise.change')
  const { repos, now } = context
  saveIfCurrent(context, {
    sent: version,
    read: () => repos.exercises.byId(id),
    check: (stored) => {
      if (stored.state === 'set') throw new Problem('exerciseIsSet')
      check(repos, exercise)
      refuseTakenCode(context, exercise.code, id)
    },
    write: () => repos.exercises.update(id, version, exercise, actor.id, now),
    theirs: (stored) => stored,
  })
  return repos.exercises.byId(id)!
}

function refuseTakenCode({ repos }: Pick<Context, 'repos'>, code: string, exceptId?: number): void {
  const other = repos.exercises.byCode(code)
  if (other && other.id !== exceptId)
    throw new Problem('exerciseCodeTaken', { fields: [{ field: 'code', message: 'is taken.' }] })
}

/** Reads an exchange file; refuses it whole, naming every part that cannot be taken. */
export function importExercise(context: Context, actor: Person, text: string): StoredExercise {
  allow(actor, 'exercise.change')
  let document: unknown
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    throw new Problem('exerciseNotJson')
  }
  const checked = validate(ExerciseSchema, upgradeExercise(document))
  if (!checked.ok) throw new Problem('exerciseNotRight', { fields: checked.problems })
  return createExercise(context, actor, checked.value)
}

/** Task sheets of one group who have the exercise, for printing; without a group named, of those who had it last. */
export function taskSheets(
  { repos }: Context,
  actor: Person,
  id: number,
  wanted: string | null = null,
): TaskSheets {
  allow(actor, 'exercise.see')
  found(repos.exercises.byId(id))
  const { cohorts, cohort } = groupShown({ repos }, actor, id, wanted)
  return {
    cohorts,
    cohort,
    sheets: repos.attempts
      .ofGroup(id, cohort)
      .map((attempt) => ({
        number: attempt.personNumber,
        name: attempt.personName,
        bay: attempt.bay,
        installation: publicInstallation(attempt.installation),
      })),
  }
}

/** Of the groups that have an exercise the one that is asked for, or the one that had it last. */
export function groupShown(
  { repos }: Pick<Context, 'repos'>,
  actor: Person,
  id: number,
  wanted: string | null,
): GroupShown {
  const groups = repos.attempts.groupsOf(id).filter(({ cohort }) => seesGroup(actor, cohort))
  const latest = groups.reduce<(typeof groups)[number] | null>(
    (a, b) => (a === null || b.last > a.last ? b : a),
    null,
  )
  const cohorts = groups.map(({ cohort }) => cohort)
  return { cohorts, cohort: wanted !== null && cohorts.includes(wanted) ? wanted : (latest?.cohort ?? '') }
}

function check(repos: Context['repos'], exercise: Exercise): void {
  const framework = repos.centre.framework()
  if (!framework) throw new Problem('frameworkMissing')
  const known = new Set(criteriaOf(framework).map((criterion) => criterion.code))
  const unknown = exercise.criteria.filter((code) => !known.has(code))
  if (unknown.length > 0)
    throw new Problem('criteriaUnknown', {
      fields: [{ field: 'criteria', message: `not in the framework: ${unknown.join(', ')}` }],
    })
  const structure = structureProblems(exercise.installation)
  if (structure.length > 0)
    throw new Problem('structure', {
      fields: structure.map((problem) => ({
        field: `${problem.scope}.${problem.field}`,
        message: structureSentence(problem),
      })),
    })
  const ids = exercise.installation.circuits.map(({ id }) => id)
  const strangers = [
    ...exercise.asks.circuits,
    ...(exercise.tests === null || exercise.tests === WHOLE_BOARD ? [] : [exercise.tests]),
  ].filter((id) => !ids.includes(id))
  if (strangers.length > 0)
    throw new Problem('circuitUnknown', {
      fields: [{ field: 'asks.circuits', message: `not among the circuits: ${strangers.join(', ')}` }],
    })
}
