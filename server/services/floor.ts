import { permissionUntil } from '#core/exercise/attempt/permission'
import { bySeriousness } from '#core/findings/seriousness'
import { energiseGate } from '#core/testing/judge/gate'
import type { ReadingMark } from '#core/testing/judge/judge'
import { isDead } from '#core/testing/kinds/kinds'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import type { BoardRequestView, FloorView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, seesGroup } from './access'
import type { Context } from './context'
import { seenOf } from './seen'
import { isWholeBoard, readingMarks } from './test-sheet'
import { inspectionOf } from './inspections'
import { processOf } from './schedules'
import { eventsOf, inForce } from './stages'
import { progressOf } from './work'

/** Who is where, and who waits for permission to energise, the longest waiting first. */
export function showFloor(context: Context, actor: Person): FloorView {
  allow(actor, 'floor.see')
  const { repos, now } = context
  const seen = repos.attempts.onFloor().filter(({ cohort }) => seesGroup(actor, cohort))
  const patches = seen.map((known) => {
    const attempt = inForce(context, known)
    const { exercise } = repos.exercises.byId(attempt.exerciseId)!
    const events = eventsOf(context, attempt)
    const last = events.at(-1)
    return {
      id: attempt.id,
      number: attempt.personNumber,
      name: attempt.personName,
      cohort: attempt.cohort,
      bay: attempt.bay,
      stage: attempt.stage,
      code: exercise.code,
      title: exercise.title,
      circuitName:
        exercise.tests === WHOLE_BOARD
          ? 'whole board'
          : (attempt.installation.circuits.find(({ id }) => id === exercise.tests)?.name ?? 'design only'),
      ...progressOf({ repos }, attempt),
      lastAct: last ? last : null,
      savedAt: attempt.savedAt,
      liveUntil: attempt.stage === 'live' ? permissionUntil(events) : null,
      request: attempt.stage === 'permission' ? deadSheet(context, attempt) : undefined,
    }
  })
  return { now, patches, locks: repos.locks.open(), repeats: repos.observations.openRepeats() }
}

/** The dead tests as the assessor needs them before a permission. */
export function deadSheet(context: Context, attempt: Attempt) {
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
