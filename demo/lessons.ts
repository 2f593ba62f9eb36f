import { askedNodes, assignmentOf, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import type { NodeKey } from '#core/design/model/step-keys'
import type { Repos } from '../server/repos'
import type { Person } from '../server/repos/people'
import type { Context } from '../server/services/context'
import { createExercise } from '../server/services/exercises'
import { setAtOnce } from '../server/services/set-exercise'
import { handInDesign } from '../server/services/hand-in'
import { decide, release } from '../server/services/marking'
import { addLesson } from '../server/services/picture'
import { saveWork } from '../server/services/work-save'
import { typedAnswers } from './story'

const GROUP = 'Thursday level 2'
const DAY_MIN = 1440
/** Short designs of two weeks: what was set when, days ago, and how many of ten make which slip. */
const SETS = [
  { code: 'D-01', title: 'Drop to the wheel lathe', daysAgo: 13, length: 6, factor: 4 },
  { code: 'D-02', title: 'Drop to the sand dryer', daysAgo: 11, length: 6, factor: 4 },
  { code: 'D-03', title: 'Drop to the washing road', daysAgo: 5, length: 1, factor: 4 },
  { code: 'D-04', title: 'Drop to the points heater', daysAgo: 3, length: 1, factor: 4 },
] as const
const STEPS = ['ib', 'in', 'ca', 'cg', 'itMin', 'voltDropPerAm', 'voltDrop'] as const

/** Two weeks of short designs with a lesson in between: one slip goes away with it, another one stays. */
export function playLessons(repos: Repos, at: (minutesAgo: number) => Context): void {
  const who = (number: string): Person => repos.people.byNumber(number)!
  const instructor = who('I-201')
  const base = repos.exercises.byCode('T-02')!.exercise
  SETS.forEach((set, i) => {
    const context = (minute: number): Context => at(set.daysAgo * DAY_MIN - minute)
    const stored = createExercise(context(0), instructor, shortOf(base, set.code, set.title, i))
    setAtOnce(context(1), instructor, { id: stored.id, version: stored.version, cohort: GROUP })
    repos.attempts.byExercise(stored.id).forEach((attempt, n) => {
      const actor = repos.people.byId(attempt.personId)!
      const assignment = assignmentOf(stored.exercise, attempt.installation)
      const { values, scope } = designOf(assignment).circuits[0]!
      // Everybody has their turn; nobody makes both at once.
      const turn = (n + 3 * i) % 10
      const slips: Partial<Record<NodeKey, number>> = {
        ...(turn >= 10 - set.factor ? { [`${scope}.itMin`]: values.in! / values.ca! } : {}),
        // For one metre, and in millivolts.
        ...(turn < set.length
          ? { [`${scope}.voltDrop`]: 1e3 * values.voltDropPerAm! * (Math.round(values.ib! * 10) / 10) }
          : {}),
      }
      const typed = typedAnswers(assignment, { slips })
      const answers = Object.fromEntries(askedNodes(assignment).map((node) => [node, typed[node]!]))
      const version = () => repos.attempts.byId(attempt.id)!.version
      saveWork(context(10 + n), actor, attempt.id, { version: version(), answers, readings: {} })
      handInDesign(context(20 + n), actor, attempt.id, version())
      decide(context(60 + n), instructor, attempt.id, { version: 0 })
      release(context(90 + n), instructor, attempt.id)
    })
  })
  const day = at(8 * DAY_MIN).now.slice(0, 10)
  const lesson = (about: string, title: string) =>
    addLesson(at(8 * DAY_MIN), instructor, { cohort: GROUP, day, about, title })
  lesson('slip.lengthForgotten', 'Millivolts per ampere and metre: say each word')
  lesson('slip.factorForgotten', 'What shares the trunking')
}

const shortOf = (base: Exercise, code: string, title: string, seed: number): Exercise => ({
  ...base,
  code,
  title,
  minutes: 15,
  tests: null,
  asks: { circuits: base.asks.circuits, steps: STEPS },
  marks: {},
  critical: [],
  criteria: base.criteria.slice(0, 1),
  variants: { ...base.variants, seed: 40 + seed },
})
