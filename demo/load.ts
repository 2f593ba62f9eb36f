/* Loads the demo scenario into an empty data folder through the same use-cases that people use. */
import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Database } from 'better-sqlite3'
import { askedNodes, assignmentOf, type Assignment } from '#core/exercise/assignment'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import type { Readings } from '#core/testing/readings'
import { presentKeys } from '#core/testing/upgrade'
import type { WorkBody } from '#schemas/requests'
import { openDatabase } from '../server/db/open'
import type { Attempt } from '../server/repos/attempts'
import { createRepos, type Repos } from '../server/repos'
import type { Person } from '../server/repos/people'
import type { Context } from '../server/services/context'
import { callOver } from '../server/services/calls'
import { importExercise } from '../server/services/exercises'
import { setAtOnce } from '../server/services/set-exercise'
import { decide, release } from '../server/services/marking'
import { hashPassword } from '../server/services/passwords'
import { addInstrument } from '../server/services/instruments'
import { importRoster } from '../server/services/people'
import { setUp } from '../server/services/sign-in'
import { askPermission, handInDesign, handInReadings } from '../server/services/hand-in'
import { decidePermission } from '../server/services/permission'
import { saveWork } from '../server/services/work-save'
import { playEvidence } from './evidence'
import { playIsolation } from './isolation'
import { playLayouts } from './layouts'
import { playLessons } from './lessons'
import { playTerm } from './term'
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
  for (const file of readdirSync(join(HERE, '../packs/workshop')).sort())
    importExercise(at(lastWeek), instructor, readFileSync(join(HERE, '../packs/workshop', file), 'utf8'))
  for (const [code, clock] of [
    ['T-01', lastWeek],
    ['T-02', today],
    ['T-04', lastWeek],
    ['T-05', today],
  ] as const) {
    const stored = repos.exercises.byCode(code)!
    setAtOnce(at(clock), instructor, { id: stored.id, version: stored.version, cohort: GROUPS[code] })
    const chapters = STORY.filter((chapter) => chapter.exercise === code)
    for (const chapter of chapters) {
      play(repos, chapter, clock)
      clock.pass(6)
    }
  }
  const ago = (minutes: number): Context => ({
    repos,
    now: new Date(now.getTime() - minutes * 60_000).toISOString(),
  })
  playWorkmanship(repos, ago)
  playEvidence(repos, ago)
  await playIsolation(repos, ago)
  await playLayouts(repos, ago)
  playLessons(repos, ago)
  playTerm(repos, ago, now)
  playCalls(repos, ago)
}

/** Two at their bays have asked somebody over. */
function playCalls(repos: Repos, ago: (minutes: number) => Context): void {
  const calls = [
    ['terminations', 14],
    ['help', 3],
  ] as const
  const testing = repos.attempts.onFloor().filter(({ stage }) => stage === 'dead')
  for (const [i, [kind, minutes]] of calls.entries()) {
    const row = testing[i]
    if (row) callOver(ago(minutes), who(repos, row.personNumber), row.id, kind)
  }
}

/** Three testers and an indicator; one of them is overdue, so that it is seen. */
function keepInstruments(context: Context, actor: Person, now: Date): void {
  const day = (days: number) => new Date(now.getTime() + days * 86_400_000).toISOString().slice(0, 10)
  addInstrument(context, actor, {
    name: 'Multi 1',
    serial: 'DT-0117',
    kind: 'multifunction',
    doneOn: day(-120),
    dueOn: day(245),
    certificate: 'DC-2107',
  })
  addInstrument(context, actor, {
    name: 'Multi 2',
    serial: 'DT-0118',
    kind: 'multifunction',
    doneOn: day(-380),
    dueOn: day(-15),
    certificate: 'DC-1466',
  })
  addInstrument(context, actor, {
    name: 'Multi 3',
    serial: 'DT-0121',
    kind: 'multifunction',
    doneOn: day(-40),
    dueOn: day(325),
    certificate: 'DC-2288',
  })
  addInstrument(context, actor, {
    name: 'Indicator 4',
    serial: 'DT-0204',
    kind: 'indicator',
    doneOn: day(-60),
    dueOn: day(305),
    certificate: 'DC-2240',
  })
}

const who = (repos: Repos, number: string): Person => repos.people.byNumber(number)!

/** One apprentice's way through one exercise, with what it is made of. */
interface Player {
  readonly repos: Repos
  readonly chapter: Chapter
  readonly clock: ReturnType<typeof clockEndingAt>
  readonly actor: Person
  readonly assessor: Person
  readonly attempt: Attempt
  readonly assignment: Assignment
  /** The sheet of the one they copied from. */
  readonly copied: Assignment | undefined
}

function playerOf(repos: Repos, chapter: Chapter, clock: Player['clock']): Player {
  const actor = who(repos, chapter.number)
  const { id, exercise } = repos.exercises.byCode(chapter.exercise)!
  const attempts = repos.attempts.byExercise(id)
  const attempt = attempts.find(({ personId }) => personId === actor.id)!
  const other = attempts.find(({ personNumber }) => personNumber === chapter.copies)
  return {
    repos,
    chapter,
    clock,
    actor,
    assessor: who(repos, chapter.exercise === 'T-02' ? 'S-301' : 'I-201'),
    attempt,
    assignment: assignmentOf(exercise, attempt.installation),
    copied: other && assignmentOf(exercise, other.installation),
  }
}

const reached = ({ chapter }: Player, stage: Chapter['upTo']): boolean =>
  ORDER.indexOf(chapter.upTo) >= ORDER.indexOf(stage)
const contextOf = ({ repos, clock }: Player): Context => ({ repos, now: clock.at() })
const versionOf = ({ repos, attempt }: Player): number => repos.attempts.byId(attempt.id)!.version

function play(repos: Repos, chapter: Chapter, clock: Player['clock']): void {
  const player = playerOf(repos, chapter, clock)
  if (!reached(player, 'halfDesign')) return
  const answers = playDesign(player)
  if (!reached(player, 'halfDead') || player.assignment.tests === null) return
  const readings = playDead(player, answers)
  if (!reached(player, 'permission')) return
  playLive(player, answers, readings)
  if (!reached(player, 'decided')) return
  decide(contextOf(player), player.assessor, player.attempt.id, { version: 0 })
  if (reached(player, 'released')) release(contextOf(player), player.assessor, player.attempt.id)
}

/** Types the design, half of it or all, and hands it in. */
function playDesign(player: Player): WorkBody['answers'] {
  const { assignment, chapter, attempt, actor, clock } = player
  const answers = typedAnswers(assignment, chapter)
  const nodes = askedNodes(assignment)
  const half = nodes.slice(0, Math.round(nodes.length * (0.2 + 0.08 * (attempt.bay % 6))))
  const written = reached(player, 'dead') ? nodes : half
  const body = { version: versionOf(player), answers: pick(answers, written), readings: {} }
  saveWork(contextOf(player), actor, attempt.id, body)
  if (!reached(player, 'dead')) return answers
  clock.pass(2)
  handInDesign(contextOf(player), actor, attempt.id, versionOf(player))
  return answers
}

function measuredBy(player: Player): Readings {
  const { assignment, chapter, attempt, copied } = player
  if (assignment.tests !== WHOLE_BOARD)
    return {
      ...typedReadings(copied ?? assignment, attempt.bay),
      ...presentKeys(chapter.readings ?? {}, assignment.installation, assignment.tests),
    }
  return chapter.bay ? boardReadings(assignment, attempt.bay, chapter.bay, reached(player, 'live')) : {}
}

/** Types the dead readings, some of them or all. */
function playDead(player: Player, answers: WorkBody['answers']): Readings {
  const readings = measuredBy(player)
  const dead = Object.keys(readings).filter(isBeforeLive)
  const some = dead.slice(0, Math.max(2, Math.round(dead.length * 0.4)))
  const written = reached(player, 'permission') ? dead : some
  saveWork(contextOf(player), player.actor, player.attempt.id, {
    version: versionOf(player),
    answers,
    readings: pick(readings, written),
  })
  return readings
}

/** Asks for permission; gets it or a refusal; measures live and hands in. */
function playLive(player: Player, answers: WorkBody['answers'], readings: Readings): void {
  const { actor, assessor, attempt, chapter, clock } = player
  clock.pass(1)
  askPermission(contextOf(player), actor, attempt.id, versionOf(player))
  if (chapter.upTo === 'refused')
    decidePermission(contextOf(player), assessor, attempt.id, {
      granted: false,
      reason: REFUSALS[chapter.exercise as 'T-02'],
    })
  if (!reached(player, 'live')) return
  clock.pass(1)
  decidePermission(contextOf(player), assessor, attempt.id, { granted: true, reason: '' })
  if (!reached(player, 'handedIn')) return
  saveWork(contextOf(player), actor, attempt.id, { version: versionOf(player), answers, readings })
  handInReadings(contextOf(player), actor, attempt.id, versionOf(player))
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
