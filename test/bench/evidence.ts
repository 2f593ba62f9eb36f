/* Benchmarks of evidence: the matrix of a group after five years, and what closes most for a class. Part of npm
   run bench. */
import loadHighs from 'highs'
import { greedyChoices } from '#core/assessment/closing/plan'
import { programmeOf } from '#core/assessment/closing/program'
import type { ClosingProblem } from '#core/assessment/closing/problem'
import type { Criterion, Framework } from '#core/assessment/outcomes/framework'
import { CABLE_TYPES, SHOWN_NOTHING, WIRING_SYSTEMS } from '#core/assessment/outcomes/shows'
import { groupRecord } from '../../server/services/records'
import { aCentre, aSetExercise } from '../support/centre'
import { timed } from './clock'

const PEOPLE = 30
const CRITERIA = 60
/** Tasks decided for each in five years: two a week of term. */
const TASKS = 60
const [STUDENTS, EXERCISES] = [20, 30]

const codes = Array.from({ length: CRITERIA }, (_, i) => `K${i + 1}`)
const wide = (framework: Framework): Framework => ({
  ...framework,
  units: [
    {
      ...framework.units[1]!,
      criteria: codes.map((code): Criterion => ({ ...framework.units[1]!.criteria[0]!, code, occasions: 3 })),
    },
  ],
})

/** 30 people, 60 criteria, every task of five years with its occasions, through the service; ms. */
function matrixMs(): number {
  const centre = aCentre()
  const { db, repos } = centre
  const { exerciseId } = aSetExercise(centre)
  const document = repos.exercises.byId(exerciseId)!.exercise
  repos.centre.putFramework(wide(repos.centre.framework()!))
  const exercise = db.prepare(
    "INSERT INTO exercise (code, document, state, version, updated_by, updated_at) VALUES (?, ?, 'set', 1, ?, '')",
  )
  const attempt = db.prepare(
    "INSERT INTO attempt (exercise_id, person_id, variant_index, bay, task, stage) VALUES (?, ?, 0, 1, '{}', 'released')",
  )
  const decision = db.prepare(
    "INSERT INTO decision (attempt_id, by_id, at, met, mark, out_of, feedback, evidence, shown) VALUES (?, ?, ?, 1, 1, 1, '', '{}', ?)",
  )
  const occasion = db.prepare(
    'INSERT INTO occasion (decision_id, person_id, criterion, met) VALUES (?, ?, ?, 1)',
  )
  const shown = JSON.stringify({ ...SHOWN_NOTHING, setting: 'commercial', wiringSystems: ['tray'] })
  repos.transaction(() => {
    const exercises = Array.from(
      { length: TASKS },
      (_, i) =>
        exercise.run(`E-${i}`, JSON.stringify({ ...document, code: `E-${i}` }), centre.instructor.id)
          .lastInsertRowid,
    )
    for (let i = 3; i <= PEOPLE; i += 1)
      repos.people.insert(
        { number: `T-${i}`, name: `P ${i}`, role: 'apprentice', cohort: 'Thursday' },
        'x',
        false,
        centre.context.now,
      )
    for (const { id } of repos.people.inCohort('Thursday'))
      exercises.forEach((task, i) => {
        const at = new Date(Date.parse(centre.context.now) - i * 30 * 86_400_000).toISOString()
        const sheet = attempt.run(task, id).lastInsertRowid
        const decided = decision.run(sheet, centre.assessor.id, at, shown).lastInsertRowid
        for (const code of codes.slice(i % 50, (i % 50) + 10)) occasion.run(decided, id, code)
      })
  })
  const look = () => groupRecord(centre.context, centre.instructor, 'Thursday')
  look()
  // Somebody gains between two looks, as on a working day.
  const one = repos.people.inCohort('Thursday')[0]!.id
  const gain = () => {
    const sheet = db
      .prepare<[number], { id: number }>('SELECT id FROM attempt WHERE person_id = ? LIMIT 1')
      .get(one)!.id
    const decided = decision.run(sheet, centre.assessor.id, centre.context.now, shown).lastInsertRowid
    occasion.run(decided, one, codes[0])
  }
  const times: number[] = []
  for (let i = 0; i < 5; i += 1) {
    gain()
    times.push(timed(look))
  }
  return Math.max(...times)
}

/** Twenty who lack much and thirty exercises that give a few things each. */
function aClass(): ClosingProblem {
  let state = 17
  const next = () => (state = (state * 48271) % 2147483647) / 2147483647
  const some = <T>(all: readonly T[], share: number): T[] => all.filter(() => next() < share)
  return {
    sorts: { Q: 'cable', R: 'wiringSystem' },
    settings: { S: ['commercial', 'industrial'] },
    people: Array.from({ length: STUDENTS }, (_, id) => ({
      id,
      name: `P ${id}`,
      had: some([...Array(EXERCISES).keys()], 0.2),
      wants: [
        ...some(codes.slice(0, 30), 0.6).map((code) => ({
          key: `criterion ${code}`,
          more: 1 + Math.floor(next() * 2),
          weight: 1,
        })),
        { key: 'free Q', more: 3, weight: 1, byMembers: some(CABLE_TYPES, 0.7) },
        { key: 'free R', more: 2, weight: 1, byMembers: some(WIRING_SYSTEMS, 0.7) },
        { key: 'job S', more: 2, weight: 1 },
      ],
    })),
    exercises: Array.from({ length: EXERCISES }, (_, id) => ({
      id,
      code: `E${id}`,
      title: '',
      minutes: 45 + 15 * Math.floor(next() * 8),
      criteria: some(codes.slice(0, 30), 0.25),
      shown: {
        ...SHOWN_NOTHING,
        setting: 'commercial' as const,
        cables: some(CABLE_TYPES, 0.2),
        wiringSystems: some(WIRING_SYSTEMS, 0.2),
      },
    })),
  }
}

export async function evidenceTimes(): Promise<{
  readonly matrixMs: number
  readonly firstPlanMs: number
  readonly bestPlanMs: number
}> {
  const [problem, limits, highs] = [aClass(), { bays: 8, hours: 3 }, await loadHighs()]
  return {
    matrixMs: matrixMs(),
    firstPlanMs: timed(() => greedyChoices(problem, limits)),
    bestPlanMs: timed(() =>
      highs.solve(programmeOf(problem, limits).text, { output_flag: false, mip_rel_gap: 0.001 }),
    ),
  }
}
