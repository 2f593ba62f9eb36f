/* Loads the demo scenario into an empty data folder through the same use-cases that people use. */
import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Database } from 'better-sqlite3'
import { askedNodes, assignmentOf } from '#core/exercise/assignment'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import type { Readings } from '#core/testing/readings'
import { presentKeys } from '#core/testing/upgrade'
import { openDatabase } from '../server/db/open'
import { createRepos, type Repos } from '../server/repos'
import type { Person } from '../server/repos/people'
import type { Context } from '../server/services/context'
import { importExercise, setExercise } from '../server/services/exercises'
import { decide, release } from '../server/services/marking'
import { hashPassword } from '../server/services/passwords'
import { addInstrument } from '../server/services/instruments'
import { importRoster } from '../server/services/people'
import { setUp } from '../server/services/sign-in'
import {
  askPermission,
  decidePermission,
  handInDesign,
  handInReadings,
  saveWork,
} from '../server/services/work'
import { playIsolation } from './isolation'
import { playWorkmanship } from './workmanship'
import {
  DEMO_PASSWORD,
  DEMO_PIN,
  STORY,
  boardReadings,
  isBeforeLive,
  typedAnswers,
  typedReadings,
  type Chapter,
} from './story'

const HERE = fileURLToPath(new URL('.', import.meta.url))
const GROUPS = {
  'T-01': 'Thursday level 2',
  'T-02': 'Thursday level 2',
  'T-04': 'Monday level 3',
  'T-05': 'Tuesday level 3',
} as const
const REFUSALS = {
  'T-02': 'The two sockets at the far end are reversed. Isolate, put them right, test polarity again.',
  'T-05': 'The cpc of the ring is not continuous end to end. Find the open leg before anything else.',
}

/** How long before the end the demo's day began; its acts take a little less. */
const SPAN_MIN = 92

/** The demo's clock: runs forward by the minutes each act takes, ending a little before `end`. */
function clockEndingAt(end: Date) {
  let minutes = 0
  return {
    at: () => new Date(end.getTime() - (SPAN_MIN - minutes) * 60_000).toISOString(),
    pass: (n: number) => void (minutes += n),
  }
}

export async function loadDemo(db: Database, now: Date): Promise<void> {
  const repos = createRepos(db)
  const lastWeek = clockEndingAt(new Date(now.getTime() - 7 * 86_400_000))
  const today = clockEndingAt(now)
  const at = (clock: { at: () => string }): Context => ({ repos, now: clock.at() })

  await setUp(at(lastWeek), { number: 'A-100', name: 'Ilse Marrow', password: DEMO_PASSWORD })
  const roster = readFileSync(join(HERE, 'roster.csv'), 'utf8')
    .split('\n')
    .filter((line) => !line.startsWith('A-100'))
    .join('\n')
  await importRoster(at(lastWeek), who(repos, 'A-100'), Buffer.from(roster))
  const hash = await hashPassword(DEMO_PASSWORD)
  const pin = await hashPassword(DEMO_PIN)
  for (const person of repos.people.all()) {
    repos.people.setPassword(person.id, hash, false)
    repos.locks.setPin(person.id, pin, lastWeek.at())
  }

  const instructor = who(repos, 'I-201')
  keepInstruments(at(lastWeek), instructor, now)
  for (const file of readdirSync(join(HERE, 'exercises')).sort())
    importExercise(at(lastWeek), instructor, readFileSync(join(HERE, 'exercises', file), 'utf8'))
  for (const [code, clock] of [
    ['T-01', lastWeek],
    ['T-02', today],
    ['T-04', lastWeek],
    ['T-05', today],
  ] as const) {
    const stored = repos.exercises.byCode(code)!
    setExercise(at(clock), instructor, stored.id, stored.version, GROUPS[code])
    const chapters = STORY.filter((chapter) => chapter.exercise === code)
    for (const chapter of chapters) {
      play(repos, chapter, clock)
      clock.pass(6)
    }
  }
  playWorkmanship(repos, (minutesAgo) => ({
    repos,
    now: new Date(now.getTime() - minutesAgo * 60_000).toISOString(),
  }))
  await playIsolation(repos, (minutesAgo) => ({
    repos,
    now: new Date(now.getTime() - minutesAgo * 60_000).toISOString(),
  }))
}

/** Two testers and an indicator; one of them is overdue, so that it is seen. */
function keepInstruments(context: Context, actor: Person, now: Date): void {
  const day = (days: number) => new Date(now.getTime() + days * 86_400_000).toISOString().slice(0, 10)
  addInstrument(context, actor, {
    name: 'Multi 1',
    serial: 'DT-0117',
    kind: 'multifunction',
    doneOn: day(-120),
    dueOn: day(245),
  })
  addInstrument(context, actor, {
    name: 'Multi 2',
    serial: 'DT-0118',
    kind: 'multifunction',
    doneOn: day(-380),
    dueOn: day(-15),
  })
  addInstrument(context, actor, {
    name: 'Indicator 4',
    serial: 'DT-0204',
    kind: 'indicator',
    doneOn: day(-60),
    dueOn: day(305),
  })
}

const who = (repos: Repos, number: string): Person => repos.people.byNumber(number)!

function play(repos: Repos, chapter: Chapter, clock: ReturnType<typeof clockEndingAt>): void {
  const actor = who(repos, chapter.number)
  const assessor = who(repos, chapter.exercise === 'T-02' ? 'S-301' : 'I-201')
  const exercise = repos.exercises.byCode(chapter.exercise)!
  const attempts = repos.attempts.byExercise(exercise.id)
  const { id, installation, bay } = attempts.find((attempt) => attempt.personId === actor.id)!
  const assignment = assignmentOf(exercise.exercise, installation)
  const context = (): Context => ({ repos, now: clock.at() })
  const version = () => repos.attempts.byId(id)!.version
  const reached = (stage: Chapter['upTo']) => ORDER.indexOf(chapter.upTo) >= ORDER.indexOf(stage)

  if (!reached('halfDesign')) return
  const answers = typedAnswers(assignment, chapter)
  const nodes = askedNodes(assignment)
  const written = reached('dead')
    ? nodes
    : nodes.slice(0, Math.round(nodes.length * (0.2 + 0.08 * (bay % 6))))
  saveWork(context(), actor, id, { version: version(), answers: pick(answers, written), readings: {} })
  if (!reached('dead')) return
  clock.pass(2)
  handInDesign(context(), actor, id, version())
  if (assignment.tests === null) return

  const copied = chapter.copies && attempts.find((attempt) => attempt.personNumber === chapter.copies)!
  const readings: Readings =
    assignment.tests === WHOLE_BOARD
      ? chapter.bay
        ? boardReadings(assignment, bay, chapter.bay, reached('live'))
        : {}
      : {
          ...typedReadings(copied ? assignmentOf(exercise.exercise, copied.installation) : assignment, bay),
          ...presentKeys(chapter.readings ?? {}, assignment.installation, assignment.tests),
        }
  const dead = Object.keys(readings).filter(isBeforeLive)
  if (!reached('halfDead')) return
  saveWork(context(), actor, id, {
    version: version(),
    answers,
    readings: pick(
      readings,
      reached('permission') ? dead : dead.slice(0, Math.max(2, Math.round(dead.length * 0.4))),
    ),
  })
  if (!reached('permission')) return
  clock.pass(1)
  askPermission(context(), actor, id, version())
  if (chapter.upTo === 'refused')
    return decidePermission(context(), assessor, id, false, REFUSALS[chapter.exercise as 'T-02'])
  if (!reached('live')) return
  clock.pass(1)
  decidePermission(context(), assessor, id, true, '')
  if (!reached('handedIn')) return
  saveWork(context(), actor, id, { version: version(), answers, readings })
  handInReadings(context(), actor, id, version())
  if (!reached('decided')) return
  decide(context(), assessor, id, 0)
  if (reached('released')) release(context(), assessor, id)
}

const ORDER: readonly Chapter['upTo'][] = [
  'nothing',
  'halfDesign',
  'dead',
  'halfDead',
  'permission',
  'refused',
  'live',
  'handedIn',
  'decided',
  'released',
]

function pick<T extends Partial<Record<string, string>>>(values: T, keys: readonly string[]): T {
  return Object.fromEntries(Object.entries(values).filter(([key]) => keys.includes(key))) as T
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const folder = process.env.NAKSHI_DATA ?? 'demo-data'
  const file = join(folder, 'nakshi.sqlite')
  if (existsSync(file)) {
    console.error(`There is a database in ${folder} already; the demo is loaded only into an empty one.`)
    process.exit(1)
  }
  await loadDemo(openDatabase(file), new Date())
}
