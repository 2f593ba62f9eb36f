import { LRUCache } from 'lru-cache'
import { permissionUntil } from '#core/exercise/attempt/permission'
import { after } from '#core/exercise/attempt/stages'
import { assignmentOf } from '#core/exercise/assignment'
import { bySeriousness } from '#core/findings/seriousness'
import { energiseGate } from '#core/testing/judge/gate'
import type { ReadingMark } from '#core/testing/judge/judge'
import { isDead } from '#core/testing/kinds/kinds'
import { WHOLE_BOARD, type Exercise } from '#core/exercise/exercise'
import type {
  BoardRequestView,
  EnergiseRequestView,
  FloorExercise,
  FloorPatch,
  FloorView,
} from '#schemas/views'
import type { FloorRow } from '../repos/attempt-lists'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, attemptSeen, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { seenOf } from './seen'
import { isWholeBoard, readingMarks } from './test-sheet'
import { inspectionOf } from './inspection-work'
import { processOf } from './schedules'
import { inForce, ranOut } from './stages'
import { progressOn } from './work'

/** What a patch of the floor says of a sheet; it changes with the sheet alone. */
interface SheetFacts {
  readonly version: number
  readonly answered: number
  readonly steps: number
}
const FACTS = new WeakMap<Context['repos']['attempts'], LRUCache<number, SheetFacts>>()
const MOST_FACTS = 4000

/** By attempt, kept with the version that they belong to: of six hundred sheets a few change between two looks. */
function factsOf({ repos }: Context, rows: readonly FloorRow[]): ReadonlyMap<number, SheetFacts> {
  const kept = FACTS.get(repos.attempts) ?? new LRUCache<number, SheetFacts>({ max: MOST_FACTS })
  FACTS.set(repos.attempts, kept)
  const changed = rows.filter(({ id, version }) => kept.get(id)?.version !== version)
  const exerciseOf = repos.exercises.lookup()
  for (const attempt of repos.attempts.byIds(changed.map(({ id }) => id))) {
    const { exercise } = exerciseOf(attempt.exerciseId)
    kept.set(attempt.id, {
      version: attempt.version,
      ...progressOn(assignmentOf(exercise, attempt.installation), attempt.answers),
    })
  }
  return new Map(rows.map(({ id }) => [id, kept.get(id)!]))
}

/** Who is where, and who waits for permission to energise, the longest waiting first. */
export function showFloor(context: Context, actor: Person): FloorView {
  allow(actor, 'floor.see')
  const { repos, now } = context
  const rows = inHandFirst(repos.attempts.onFloor().filter(({ cohort }) => seesGroup(actor, cohort)))
  const facts = factsOf(context, rows)
  const exerciseOf = repos.exercises.lookup()
  const live = repos.attempts.liveEvents()
  const patches = rows.map((row): FloorPatch => {
    const events = row.stage === 'live' ? (live.get(row.id) ?? []) : null
    const until = events && permissionUntil(events)
    const isOver = events !== null && (until === null || until <= now)
    const { answered, steps } = facts.get(row.id)!
    return {
      id: row.id,
      personId: row.personId,
      number: row.personNumber,
      name: row.personName,
      cohort: row.cohort,
      bay: row.bay,
      stage: isOver ? after('live', 'expire')! : row.stage,
      version: `${row.version}.${row.inspection}`,
      exerciseId: row.exerciseId,
      answered,
      steps,
      lastAct: isOver && until ? ranOut(row.personName, until) : row.lastAct,
      savedAt: row.savedAt,
      liveUntil: isOver ? null : until,
    }
  })
  const exercises = [...new Set(rows.map(({ exerciseId }) => exerciseId))].map((id) =>
    floorExercise(id, exerciseOf(id).exercise),
  )
  return { now, exercises, patches, locks: repos.locks.open() }
}

const isDone = ({ stage }: FloorRow): boolean => stage === 'decided' || stage === 'released'
/** Of somebody who has work in hand nobody asks here what was decided before. */
function inHandFirst(rows: readonly FloorRow[]): FloorRow[] {
  const busy = new Set(rows.filter((row) => !isDone(row)).map(({ personNumber }) => personNumber))
  return rows.filter((row) => !isDone(row) || !busy.has(row.personNumber))
}

function floorExercise(id: number, { code, title, tests, installation }: Exercise): FloorExercise {
  const tested = installation.circuits.find((circuit) => circuit.id === tests)
  return {
    id,
    code,
    title,
    circuitName: tests === WHOLE_BOARD ? 'whole board' : (tested?.name ?? 'design only'),
  }
}

/** What an assessor looks at before they permit or refuse. */
export function showRequest(context: Context, actor: Person, id: number): EnergiseRequestView {
  allow(actor, 'floor.see')
  const attempt = inForce(context, attemptSeen(actor, context.repos.attempts.byId(id)))
  if (attempt.stage !== 'permission') throw new Problem('wrongStage')
  return deadSheet(context, attempt)
}

/** The dead tests as the assessor needs them before a permission. */
export function deadSheet(context: Context, attempt: Attempt): EnergiseRequestView {
  const marks = readingMarks(context, attempt)
  const sheet = {
    gate: energiseGate(marks),
    marks: marks.filter((mark) => isDead(mark.reading)),
    board: isWholeBoard(context, attempt) ? boardRequest(context, attempt, marks) : null,
  }
  return { ...sheet, seen: seenOf(sheet) }
}

function inspectionWords(context: Context, attempt: Attempt): BoardRequestView['inspection'] {
  const conclusion = inspectionOf(context, attempt)
  return conclusion
    ? {
        looked: conclusion.looked,
        of: conclusion.of,
        open: conclusion.observations.length,
        isSafeToTest: conclusion.isSafeToTest,
      }
    : null
}

const DEAD_CHECKS = 5

/** The sheet of a whole board in a few lines: each finding once, however many readings it concerns. */
function boardRequest(context: Context, attempt: Attempt, marks: readonly ReadingMark[]): BoardRequestView {
  const found = [
    ...marks.filter((mark) => isDead(mark.reading)).flatMap(({ findings }) => findings),
    ...processOf(context, attempt),
  ]
  const once = [...new Map(found.map((finding) => [JSON.stringify(finding), finding])).values()]
  return {
    checked: (attempt.readings['set:readyDead'] ?? '').split(' ').filter(Boolean).length,
    ofChecks: DEAD_CHECKS,
    instrument: attempt.readings['set:instrument'] ?? '',
    inspection: inspectionWords(context, attempt),
    findings: once.sort(bySeriousness),
  }
}
