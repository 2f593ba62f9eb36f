/* A centre after years: people in groups, exercises given and marked, questions asked. Made through the repositories, the same for the same seed; for the bench and for tests of queries. */
import { propose } from '#core/assessment/marking/proposal'
import { markDesign } from '#core/assessment/marking/mark-design'
import { criteriaOf } from '#core/assessment/outcomes/framework'
import { shownByTask } from '#core/assessment/outcomes/shows'
import { assignmentOf, type Assignment } from '#core/exercise/assignment'
import { WHOLE_BOARD, type Exercise } from '#core/exercise/exercise'
import type { Stage } from '#core/exercise/attempt/stages'
import { makeVariants } from '#core/exercise/variants'
import type { Installation } from '#core/installation/installation'
import type { Answers } from '#core/assessment/marking/answer'
import type { Readings } from '#core/testing/readings'
import { bayUnderTest } from '#core/testing/judge/bay-under-test'
import { judgeReadings } from '#core/testing/judge/judge'
import type { DecisionEvidence } from '#schemas/marking-views'
import type { Repos } from '../server/repos'
import { keepMarks } from '../server/services/kept-marks'
import board from '../packs/workshop/T-05.json'
import cooker from '../packs/workshop/T-01.json'
import ring from '../packs/workshop/T-02.json'
import { boardReadings, isBeforeLive, typedAnswers, typedReadings } from './story'

export interface Filling {
  readonly people: number
  readonly years: number
  /** Exercises given each year. */
  readonly each: number
  /** The last day, ISO 8601 UTC. */
  readonly endsAt: string
  /** scrypt hash of everybody's password. */
  readonly passwordHash: string
}

const GROUP = 20
const DAY_MS = 86_400_000
const YEAR_DAYS = 365
/** So many different sheets of one exercise are made; people have them in turn. */
const SHEETS = 8
const QUESTIONS_A_TASK = 2
const SOURCES = [cooker, ring, cooker, ring, cooker, ring, cooker, ring, cooker, board]

/** A sheet as somebody filled it in, and what was decided about it. */
interface Sheet {
  readonly installation: Installation
  readonly answers: Answers
  readonly readings: Readings
  readonly evidence: DecisionEvidence
}

function sheetsOf(exercise: Exercise, repos: Repos): Sheet[] {
  const made = makeVariants(exercise, SHEETS)
  const framework = repos.centre.framework()
  if (!made.ok || !framework)
    throw new Error(`${exercise.code} has too few variants, or there is no framework`)
  const criteria = criteriaOf(framework).filter(({ code }) => exercise.criteria.includes(code))
  return made.variants.map(({ installation }, i) => {
    const assignment = assignmentOf(exercise, installation)
    const answers = typedAnswers(assignment, i % 3 === 0 ? { slips: { 'c1.ib': 9 + i } } : {})
    const readings = readingsOf(assignment, i + 1)
    const bay = assignment.tests === null ? undefined : bayUnderTest(assignment, `Bay ${i + 1}`)
    const marked = {
      design: markDesign(assignment, answers),
      readings: bay ? judgeReadings(bay, readings, []).marks : [],
      work: [],
    }
    const proposal = propose(marked, criteria, [])
    const shown = shownByTask(installation, assignment.tests)
    return { installation, answers, readings, evidence: { marked, overrides: [], proposal, shown } }
  })
}

function readingsOf(assignment: Assignment, bay: number): Readings {
  if (assignment.tests === null) return {}
  return assignment.tests === WHOLE_BOARD
    ? boardReadings(assignment, bay, { faults: [], nulledOhm: 0.08 }, true)
    : typedReadings(assignment, bay)
}

/** What was done until a stage, in order, each by the apprentice or by one of the staff. */
const ACTS: readonly (readonly [act: string, by: 'own' | 'staff', stage: Stage])[] = [
  ['handInDesign', 'own', 'dead'],
  ['askPermission', 'own', 'permission'],
  ['permit', 'staff', 'live'],
  ['handIn', 'own', 'handedIn'],
  ['decide', 'staff', 'decided'],
  ['release', 'staff', 'released'],
]
/** The last exercise is in hand, the one before on the pile, all others are over. */
const IN_HAND: readonly Stage[] = ['design', 'design', 'dead', 'dead', 'permission', 'live', 'handedIn']
const ON_PILE: readonly Stage[] = ['handedIn', 'handedIn', 'decided', 'released']

const stageOf = (left: number, i: number): Stage => {
  if (left === 0) return IN_HAND[i % IN_HAND.length]!
  return left === 1 ? ON_PILE[i % ON_PILE.length]! : 'released'
}

/** How much there is of everything. */
export interface Filled {
  readonly people: number
  readonly exercises: number
  readonly attempts: number
}

/** Fills a centre that has a framework and at least one of the staff. */
export function fillCentre(
  repos: Repos,
  filling: Filling,
  onExercise?: (n: number, of: number) => void,
): Filled {
  const staff = repos.people.all().filter(({ role }) => role === 'assessor' || role === 'instructor')
  const people = repos.transaction(() => addPeople(repos, filling))
  const sheets = new Map(
    SOURCES.map((source) => [source.code, sheetsOf(source as unknown as Exercise, repos)]),
  )
  const total = filling.years * filling.each
  for (let n = 0; n < total; n += 1) {
    const source = SOURCES[n % SOURCES.length] as unknown as Exercise
    const given = {
      exercise: {
        ...source,
        code: `Y${Math.floor(n / filling.each) + 1}-${String((n % filling.each) + 1).padStart(2, '0')}`,
      },
      sheets: sheets.get(source.code)!,
      left: total - 1 - n,
      daysAgo: Math.round(((total - 1 - n) / filling.each) * YEAR_DAYS),
    }
    repos.transaction(() => giveExercise(repos, filling, { people, staff: staff.map(({ id }) => id), given }))
    onExercise?.(n + 1, total)
  }
  return { people: people.length, exercises: total, attempts: total * people.length }
}

function addPeople(repos: Repos, { people, passwordHash, endsAt }: Filling): number[] {
  return Array.from({ length: people }, (_, i) =>
    repos.people.insert(
      {
        number: `Z-${1000 + i}`,
        name: `Apprentice ${i + 1}`,
        role: 'apprentice',
        cohort: `Group ${String(Math.floor(i / GROUP) + 1).padStart(2, '0')}`,
      },
      passwordHash,
      false,
      endsAt,
    ),
  )
}

interface Giving {
  readonly people: readonly number[]
  readonly staff: readonly number[]
  readonly given: {
    readonly exercise: Exercise
    readonly sheets: readonly Sheet[]
    readonly left: number
    readonly daysAgo: number
  }
}

function giveExercise(repos: Repos, { endsAt }: Filling, { people, staff, given }: Giving): void {
  const { exercise, sheets, left, daysAgo } = given
  const at = (minutes: number) =>
    new Date(Date.parse(endsAt) - daysAgo * DAY_MS + minutes * 60_000).toISOString()
  const id = repos.exercises.insert(exercise, staff[0]!, at(-60))
  repos.exercises.markSet(id, exercise)
  people.forEach((person, i) => {
    const sheet = sheets[i % sheets.length]!
    const stage = stageOf(left, i)
    const attempt = repos.attempts.insert(id, person, (i % GROUP) + 1, (i % GROUP) + 1, sheet.installation)
    fillIn(repos, attempt, sheet, stage, at(15))
    for (const [n, [act, by, reached]] of ACTS.entries()) {
      if (ACTS.findIndex(([, , last]) => last === stage) < n) break
      const who = by === 'own' ? person : staff[n % staff.length]!
      if (act === 'decide')
        repos.decisions.insert({
          attemptId: attempt,
          personId: person,
          by: who,
          at: at(20 * n),
          feedback: 'Well worked. Look once more at the grouping factor.',
          evidence: sheet.evidence,
        })
      if (act === 'decide') keepSummary(repos, attempt, sheet.evidence)
      repos.attempts.setStage(attempt, reached)
      repos.attempts.addEvent(attempt, act, who, at(20 * n), '')
      repos.audit.add(at(20 * n), who, act, `attempt ${attempt}`)
    }
    if (stage === 'handedIn') keepMarks({ repos }, attempt)
    if (left > 0) askSome(repos, { person, attempt, by: staff[i % staff.length]!, at, n: i + given.left })
  })
}

/** As a decision keeps it when it is signed. */
function keepSummary(repos: Repos, attempt: number, { proposal, shown }: DecisionEvidence): void {
  const { mark, outOf, met, critical, criteria } = proposal
  const { id } = repos.decisions.latest(attempt)!
  const summary = {
    mark,
    outOf,
    met,
    critical: critical.length,
    overrides: 0,
    criteria: criteria.length,
    unmet: criteria.filter((one) => !one.met).length,
    shown: shown ?? null,
  }
  repos.keptMarks.put(attempt, { decisionId: id }, summary)
}

function fillIn(repos: Repos, attempt: number, { answers, readings }: Sheet, stage: Stage, at: string): void {
  const isDesign = stage === 'design'
  const half = Object.entries(answers).slice(0, Math.ceil(Object.keys(answers).length / 2))
  const isDead = stage === 'dead' || stage === 'permission' || stage === 'live'
  const typed = isDesign
    ? {}
    : Object.fromEntries(Object.entries(readings).filter(([key]) => !isDead || isBeforeLive(key)))
  const times = Object.fromEntries(Object.keys(typed).map((key) => [key, at]))
  const work = { answers: isDesign ? Object.fromEntries(half) : answers, readings: typed, times }
  repos.attempts.saveWork(attempt, 1, work, at)
}

interface Asking {
  readonly person: number
  readonly attempt: number
  readonly by: number
  readonly at: (minutes: number) => string
  readonly n: number
}

function askSome(repos: Repos, { person, attempt, by, at, n }: Asking): void {
  for (let k = 0; k < QUESTIONS_A_TASK; k += 1)
    repos.questions.add({
      token: `filled-${attempt}-${k}`,
      personId: person,
      attemptId: attempt,
      byId: by,
      code: `question-${(n + k) % 90}`,
      topic: k % 2 ? 'dead' : 'isolation',
      wording: 'What must be out before this test, and why?',
      outcome: (n + k) % 4 ? 'unaided' : 'notYet',
      prompt: '',
      remark: '',
      askedAt: at(40 + k),
      receivedAt: at(40 + k),
      criteria: [],
    })
}
