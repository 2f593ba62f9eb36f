import { assignmentOf, designOf, publicInstallation } from '#core/exercise/assignment'
import { WHOLE_BOARD, type Exercise } from '#core/exercise/exercise'
import { upgradeExercise } from '#core/exercise/upgrade'
import { structureProblems } from '#core/installation/check'
import { criteriaOf } from '#core/assessment/outcomes/framework'
import { constraintSentence } from '#words/constraints'
import { structureSentence } from '#words/structure'
import { makeVariants } from '#core/exercise/variants'
import { ExerciseSchema } from '#schemas/exercise'
import { validate } from '#schemas/validate'
import type { ExerciseListItem, StoredExercise, TaskSheet } from '#schemas/views'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { Problem } from './problem'

export function listExercises({ repos }: Context, actor: Person): ExerciseListItem[] {
  allow(actor, 'exercise.see')
  return repos.exercises
    .all()
    .map(({ exercise, ...stored }) => ({
      ...stored,
      code: exercise.code,
      title: exercise.title,
      kind: exercise.kind,
      edition: exercise.edition,
      circuits: exercise.installation.circuits,
      attempts: repos.attempts.byExercise(stored.id).length,
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
    if (repos.exercises.byCode(exercise.code))
      throw new Problem('exerciseCodeTaken', { fields: [{ field: 'code', message: 'is taken.' }] })
    const id = repos.exercises.insert(exercise, actor.id, now)
    repos.audit.add(now, actor.id, 'exerciseCreated', `exercise ${exercise.code}`)
    return repos.exercises.byId(id)!
  })
}

/** Saves a draft. When somebody else saved in between, refuses and hands over what they saved. */
export function saveExercise(
  { repos, now }: Context,
  actor: Person,
  id: number,
  version: number,
  exercise: Exercise,
): StoredExercise {
  allow(actor, 'exercise.change')
  return repos.transaction(() => {
    const stored = found(repos.exercises.byId(id))
    if (stored.state === 'set') throw new Problem('exerciseIsSet')
    check(repos, exercise)
    const sameCode = repos.exercises.byCode(exercise.code)
    if (sameCode && sameCode.id !== id)
      throw new Problem('exerciseCodeTaken', { fields: [{ field: 'code', message: 'is taken.' }] })
    if (!repos.exercises.update(id, version, exercise, actor.id, now))
      throw new Problem('stale', { extra: { theirs: repos.exercises.byId(id) } })
    return repos.exercises.byId(id)!
  })
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

/** Gives everybody in a group who does not have it yet their own variant of the exercise. */
export function setExercise(
  { repos, now }: Context,
  actor: Person,
  id: number,
  version: number,
  cohort: string,
): { readonly given: number } {
  allow(actor, 'exercise.change')
  return repos.transaction(() => {
    const stored = found(repos.exercises.byId(id))
    if (stored.version !== version) throw new Problem('stale', { extra: { theirs: stored } })
    // The policy in force is written into the exercise when it is first set, and holds for it from then on.
    const exercise: Exercise =
      stored.state === 'set' ? stored.exercise : { ...stored.exercise, policy: repos.centre.policies() }
    const design = designOf(assignmentOf(exercise))
    const stopped = [...design.circuits, ...design.boards].find((part) => part.stopped)
    if (stopped)
      throw new Problem('unsolvable', { sentence: constraintSentence(stopped.stopped!.constraint) })
    const people = repos.people.inCohort(cohort)
    if (people.length === 0) throw new Problem('cohortEmpty')
    const given = repos.attempts.byExercise(id)
    const missing = people.filter((person) => !given.some((attempt) => attempt.personId === person.id))
    if (missing.length === 0) throw new Problem('cohortDone')
    const made = makeVariants(exercise, given.length + missing.length)
    if (!made.ok) throw new Problem('variantsTooFew', { extra: { found: made.found, wanted: made.wanted } })
    missing.forEach((person, i) => {
      const variant = made.variants[given.length + i]!
      repos.attempts.insert(id, person.id, variant.index, variant.index, variant.installation)
    })
    repos.exercises.markSet(id, exercise)
    repos.audit.add(
      now,
      actor.id,
      'exerciseSet',
      `exercise ${exercise.code} for ${missing.length} in ${cohort}`,
    )
    return { given: missing.length }
  })
}

/** Task sheets of everybody who has the exercise, for printing. */
export function taskSheets({ repos }: Context, actor: Person, id: number): TaskSheet[] {
  allow(actor, 'exercise.see')
  found(repos.exercises.byId(id))
  return repos.attempts.byExercise(id).map((attempt) => {
    return {
      number: attempt.personNumber,
      name: attempt.personName,
      bay: attempt.bay,
      installation: publicInstallation(attempt.installation),
    }
  })
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
