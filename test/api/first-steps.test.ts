/* A new centre: what is still to do before the first lesson, and the sample exercises. */
import { expect, test } from 'vitest'
import { FIRST_STEPS, firstSteps, isReady } from '#core/planning/first-steps'
import type { Framework } from '#core/assessment/outcomes/framework'
import framework from '../../frameworks/workshop-unit.json'
import { setAtOnce } from '../../server/services/set-exercise'
import { showFirstSteps } from '../../server/services/first-steps'
import { takeSampleExercises } from '../../server/services/packs'
import { openDatabase } from '../../server/db/open'
import { createRepos } from '../../server/repos'

const NOW = '2026-09-07T08:00:00.000Z'
/** Nobody but an administrator and an instructor. */
function aNewCentre() {
  const repos = createRepos(openDatabase(':memory:'))
  repos.centre.putFramework(framework as Framework)
  const add = (number: string, role: 'administrator' | 'instructor' | 'apprentice', cohort = '') =>
    repos.people.byId(repos.people.insert({ number, name: number, role, cohort }, 'none', false, NOW))!
  return {
    repos,
    context: { repos, now: NOW },
    add,
    admin: add('A-1', 'administrator'),
    desk: add('I-1', 'instructor'),
  }
}
const left = (centre: ReturnType<typeof aNewCentre>) =>
  showFirstSteps(centre.context, centre.desk)
    .steps.filter(({ isDone }) => !isDone)
    .map(({ step }) => step)

test('nothing is done in an empty centre; what may wait does not hold the first lesson up', () => {
  const none = { frameworks: 0, instructors: 0, apprentices: 0, instruments: 0, exercises: 0, given: 0 }
  expect(firstSteps(none).map(({ step }) => step)).toEqual(FIRST_STEPS)
  expect(isReady(firstSteps(none))).toBe(false)
  const needed = { ...none, instructors: 1, apprentices: 1, exercises: 1, given: 1 }
  expect(isReady(firstSteps(needed))).toBe(true)
  for (const missing of ['instructors', 'apprentices', 'exercises', 'given'] as const)
    expect(isReady(firstSteps({ ...needed, [missing]: 0 })), missing).toBe(false)
})

test('each step is done once, by whoever may; an exercise in the drawer is not set yet', () => {
  const centre = aNewCentre()
  expect(left(centre)).toEqual(['framework', 'apprentices', 'instruments', 'exercise', 'set'])
  centre.add('T-1', 'apprentice', 'Friday')
  const [first] = takeSampleExercises(centre.context, centre.desk)
  expect(left(centre)).toEqual(['framework', 'instruments', 'set'])
  setAtOnce(centre.context, centre.desk, { id: first!.id, version: first!.version, cohort: 'Friday' })
  expect(showFirstSteps(centre.context, centre.desk).isReady).toBe(true)
  const own = ({ steps }: ReturnType<typeof showFirstSteps>) =>
    steps.filter(({ isOwn }) => isOwn).map(({ step }) => step)
  expect(own(showFirstSteps(centre.context, centre.admin))).toEqual(['framework', 'staff', 'apprentices'])
  expect(own(showFirstSteps(centre.context, centre.desk))).toEqual(['instruments', 'exercise', 'set'])
})

test('samples come once, leave what is there alone, and ask only what the framework in force has', () => {
  const centre = aNewCentre()
  const units = (framework as Framework).units.slice(0, 1)
  centre.repos.centre.putFramework({ ...(framework as Framework), units })
  const known = new Set(units.flatMap(({ criteria }) => criteria.map(({ code }) => code)))
  const taken = takeSampleExercises(centre.context, centre.desk)
  expect(taken).toHaveLength(5)
  for (const { exercise, state } of taken) {
    expect(state).toBe('draft')
    expect(exercise.criteria.filter((code) => !known.has(code))).toEqual([])
  }
  expect(takeSampleExercises(centre.context, centre.desk)).toEqual([])
  expect(centre.repos.exercises.heads()).toHaveLength(5)
})
