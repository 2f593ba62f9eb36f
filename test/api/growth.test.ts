/* What a centre asks of its database after years: no statement walks through a table that grows, none is asked once a row. */
import type { Database, Statement } from 'better-sqlite3'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Framework } from '#core/assessment/outcomes/framework'
import framework from '../../frameworks/workshop-unit.json'
import { fillCentre } from '../../demo/filled'
import { openDatabase } from '../../server/db/open'
import { createRepos, type Repos } from '../../server/repos'
import { createRetentionRepo } from '../../server/repos/retention'
import type { Person } from '../../server/repos/people'
import { closingProblem } from '../../server/services/closing'
import { listExercises, taskSheets } from '../../server/services/exercises'
import { showFirstSteps } from '../../server/services/first-steps'
import { showFloor } from '../../server/services/floor'
import { showNeeds } from '../../server/services/needs'
import { groupMarks } from '../../server/services/group-marks'
import { markingPile } from '../../server/services/marking'
import { groupPicture } from '../../server/services/picture'
import { groupLooked, roundsAsMade } from '../../server/services/question-rounds'
import { groupRecord } from '../../server/services/records'
import { listStores, showStores } from '../../server/services/stores'
import { showVerification } from '../../server/services/verification'
import { listWork } from '../../server/services/work'

const NOW = '2026-11-12T14:00:00.000Z'
/** Tables that gain rows with every lesson; the others hold what a centre is made of. */
const GROWING = new Set(
  `account account_hand_in attempt audit behaviour_seen claim_decision containment_run decision decision_reading
  decision_slip fault_hunt inspection inspection_round isolation_run kept_mark observation observation_decision
  observation_occasion occasion photo prediction question_asked question_occasion question_rehearsed reading_change
  repeat_booking run_decision run_measurement run_occasion seal second_marking session signed_paper stage_event
  survey survey_decision survey_hand_in`.split(/\s+/),
)

/** A centre with groups of twenty; every statement that its repositories prepare, and how often one is asked. */
function aFilledCentre(people: number) {
  const db = openDatabase(':memory:')
  const prepared = new Map<string, number>()
  const { prepare } = db
  db.prepare = ((sql: string) => {
    const statement = prepare.call(db, sql) as Statement
    prepared.set(sql, 0)
    for (const how of ['get', 'all', 'run'] as const) {
      const asked = statement[how].bind(statement)
      Object.assign(statement, {
        [how]: (...given: unknown[]) => {
          prepared.set(sql, prepared.get(sql)! + 1)
          return asked(...given)
        },
      })
    }
    return statement
  }) as typeof db.prepare
  const repos = createRepos(db)
  repos.centre.putFramework(framework as Framework)
  for (const [number, role] of [
    ['I-1', 'instructor'],
    ['S-1', 'assessor'],
  ] as const)
    repos.people.insert({ number, name: `${role} ${number}`, role, cohort: '' }, 'scrypt$x$x', false, NOW)
  fillCentre(repos, { people, years: 1, each: 4, endsAt: NOW, passwordHash: 'scrypt$x$x' })
  return { db, repos, prepared, instructor: repos.people.byNumber('I-1')! }
}
type Filled = ReturnType<typeof aFilledCentre>

let small: Filled
let large: Filled
beforeAll(() => {
  small = aFilledCentre(6)
  large = aFilledCentre(18)
}, 120_000)

/** What each step of a statement walks through without an index, or by a whole index. */
function walkedBy(db: Database, sql: string): string[] {
  const named = [...new Set([...sql.matchAll(/@(\w+)/g)].map(([, name]) => name!))]
  const places = (sql.replace(/'[^']*'/g, '').match(/\?/g) ?? []).length
  const values =
    named.length > 0 ? [Object.fromEntries(named.map((name) => [name, '']))] : Array(places).fill(1)
  const plan = db.prepare(`EXPLAIN QUERY PLAN ${sql}`).all(...values) as { detail: string }[]
  const aliases = new Map(
    [...sql.matchAll(/\b(?:FROM|JOIN)\s+(\w+)(?:\s+(?:AS\s+)?(\w+))?/g)].map(([, table, alias]) => [
      alias ?? table!,
      table!,
    ]),
  )
  const isEnded = / LIMIT /.test(sql) && !plan.some(({ detail }) => detail.includes('TEMP B-TREE FOR ORDER'))
  // A partial index holds what is open alone.
  const partial = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'index' AND sql LIKE '% WHERE %'",
    )
    .all()
  return plan.flatMap(({ detail }) => {
    if (partial.some(({ name }) => detail.endsWith(`INDEX ${name}`))) return []
    // Nearly every attempt ever made is released: to find those is to walk through the table.
    if (/INDEX attempt_stage /.test(detail) && sql.includes("'released'") && !/ LIMIT /.test(sql))
      return 'attempt'
    const [, name] = /^SCAN (\w+)/.exec(detail) ?? []
    const table = name && (aliases.get(name) ?? name)
    return table && GROWING.has(table) && !isEnded ? table : []
  })
}

describe('statements', () => {
  it('find what they look for by an index, however many years there are', () => {
    // Once a night, by the administrator’s leave.
    const nightly = new Set<string>()
    const prepare = large.db.prepare
    large.db.prepare = ((sql: string) => {
      nightly.add(sql)
      return prepare.call(large.db, sql)
    }) as typeof large.db.prepare
    createRetentionRepo(large.db)
    large.db.prepare = prepare
    const walking = [...large.prepared.keys()]
      .filter((sql) => /^\s*(SELECT|WITH|UPDATE|DELETE)/.test(sql) && !nightly.has(sql))
      .flatMap((sql) =>
        walkedBy(large.db, sql).map((table) => `${table}: ${sql.replace(/\s+/g, ' ').trim()}`),
      )
    expect(walking).toEqual([])
  })
})

type Screen = (context: { readonly repos: Repos; readonly now: string }, actor: Person) => unknown
const lastExercise = (repos: Repos) => repos.exercises.heads().at(-1)!.id
const SCREENS: Readonly<Record<string, Screen>> = {
  floor: showFloor,
  needs: showNeeds,
  'marking pile': markingPile,
  'marks of a group': (context, actor) => groupMarks(context, actor, lastExercise(context.repos)),
  'record of a group': (context, actor) => groupRecord(context, actor, 'Group 01'),
  exercises: listExercises,
  'first steps': showFirstSteps,
  'task sheets': (context, actor) => taskSheets(context, actor, lastExercise(context.repos)),
  stores: listStores,
  'stores of one exercise': (context, actor) => showStores(context, actor, lastExercise(context.repos)),
  'questions at the bays': (context, actor) => roundsAsMade(context, groupLooked(context, actor)),
  'picture of a group': (context, actor) => groupPicture(context, actor, 'Group 01', '2020-01-01'),
  verification: showVerification,
  'what closes most': (context, actor) => closingProblem(context, actor, 'Group 01'),
  'own tasks': (context) => listWork(context, context.repos.people.byNumber('Z-1001')!),
}

/** Some screens make what they keep a little at each look. */
const LOOKS = 40
/** How often each statement is asked for a screen, once everything that is kept is there. */
function askedFor({ repos, prepared, instructor }: Filled, screen: Screen): number {
  const context = { repos, now: NOW }
  for (let look = 0; look < LOOKS; look += 1) screen(context, instructor)
  for (const sql of prepared.keys()) prepared.set(sql, 0)
  screen(context, instructor)
  return [...prepared.values()].reduce((sum, n) => sum + n, 0)
}

describe('screens', () => {
  it.each(Object.entries(SCREENS))('%s: as many statements for eighteen people as for six', (_, screen) => {
    expect(askedFor(large, screen)).toBe(askedFor(small, screen))
  })
})
