/* Benchmarks of the term: a session of twenty at sixteen bays, a drag of it, and the picture of thirty over
   five years. Part of npm run bench. */
import loadHighs from 'highs'
import { conflictsOf } from '#core/planning/conflicts'
import { costOf } from '#core/planning/cost'
import { firstPlan } from '#core/planning/first-plan'
import { planProgramme } from '#core/planning/program'
import type { SessionProblem } from '#core/planning/session'
import { groupPicture } from '../../server/services/picture'
import { counting, time, timed } from './clock'
import { aCentre, aSetExercise } from '../support/centre'

const [PEOPLE, BAYS, HOURS] = [20, 16, 6]

/** The worst usual case: one assessor, three instruments, lengths that differ, a quarter of them repeats. */
function aSession(): SessionProblem {
  let state = 23
  const next = () => (state = (state * 48271) % 2147483647) / 2147483647
  const some = (...values: number[]) => values[Math.floor(next() * values.length)]!
  return {
    frame: {
      minutes: HOURS * 60,
      step: 15,
      bays: Array.from({ length: BAYS }, (_, i) => i + 1),
      assessors: [{ id: 91, from: 0, to: HOURS * 60 }],
      instruments: [71, 72, 73],
      desks: PEOPLE,
      absent: [],
      now: 0,
    },
    fixed: [],
    tasks: Array.from({ length: PEOPLE }, (_, i) => ({
      id: `t${i}`,
      people: [i],
      exercise: 1,
      minutes: {
        design: some(15, 30, 45),
        build: some(30, 45, 60),
        dead: some(10, 15, 25),
        live: some(10, 15),
      },
      isRepeat: next() < 0.25,
      isLocked: false,
    })),
  }
}

async function sessionTimes() {
  const [problem, highs] = [aSession(), await loadHighs()]
  const sinceFirst = counting()
  const first = firstPlan(problem)
  const firstSessionMs = sinceFirst()
  const sinceBest = counting()
  const programme = planProgramme(problem)
  const options = { output_flag: false, time_limit: 20, mip_rel_gap: 0.05 }
  const found = highs.solve(programme.text, options)
  const bestSessionMs = sinceBest()
  const columns = found.Columns as Readonly<Record<string, { readonly Primal?: number }>>
  const best = programme.planOf((variable) => columns[variable]?.Primal ?? 0)
  const dragMs = time(() => conflictsOf(problem.frame, problem.tasks, first), 60)
  const share = costOf(problem, best).total / Math.max(1, costOf(problem, first).total)
  return { firstSessionMs, bestSessionMs, dragMs, isProved: found.Status === 'Optimal', share }
}

const GROUP = 30
/** Of each in five years: as many as of 60 000 among 600. */
const SHEETS = 100

/** Thirty people with their sheets of five years, put in as decisions are; the slowest of some looks, ms. */
function pictureMs(): number {
  const centre = aCentre()
  const { db, repos } = centre
  const { exerciseId } = aSetExercise(centre)
  const document = repos.exercises.byId(exerciseId)!.exercise
  const exercise = db.prepare(
    "INSERT INTO exercise (code, document, state, version, updated_by, updated_at) VALUES (?, ?, 'set', 1, ?, '')",
  )
  const attempt = db.prepare(
    "INSERT INTO attempt (exercise_id, person_id, variant_index, bay, task, stage) VALUES (?, ?, 0, ?, '{}', 'released')",
  )
  const decision = db.prepare(
    "INSERT INTO decision (attempt_id, by_id, at, met, mark, out_of, feedback, evidence, shown) VALUES (?, ?, ?, 1, 1, 1, '', ?, NULL)",
  )
  const reading = (key: string, value: number) => ({
    reading: key,
    value,
    over: false,
    expected: { value: 0.5 },
    findings: [],
  })
  const evidence = JSON.stringify({
    marked: {
      design: [{ step: 'voltDrop', findings: [{ code: 'slip.lengthForgotten', seriousness: 'fault' }] }],
      readings: [reading('c1.r1r2@c1p1', 0.52), reading('c1.zs@c1p1', 0.9), reading('c1.r2@c1p1', 0.3)],
    },
  })
  repos.transaction(() => {
    for (let i = 3; i <= GROUP; i += 1)
      repos.people.insert(
        { number: `T-${i}`, name: `P ${i}`, role: 'apprentice', cohort: 'Thursday' },
        'x',
        false,
        centre.context.now,
      )
    const tasks = Array.from(
      { length: SHEETS },
      (_, i) =>
        exercise.run(`E-${i}`, JSON.stringify({ ...document, code: `E-${i}` }), centre.instructor.id)
          .lastInsertRowid,
    )
    for (const { id } of repos.people.inCohort('Thursday'))
      tasks.forEach((task, i) => {
        const at = new Date(Date.parse(centre.context.now) - i * 18 * 86_400_000).toISOString()
        const sheet = attempt.run(task, id, 1 + (id % 16)).lastInsertRowid
        decision.run(sheet, centre.assessor.id, at, evidence)
      })
  })
  const look = () => groupPicture(centre.context, centre.instructor, 'Thursday', '2021-11-12')
  look()
  return Math.max(...Array.from({ length: 5 }, () => timed(look)))
}

export const planningTimes = async () => ({ ...(await sessionTimes()), pictureMs: pictureMs() })
