import type { ReadingTimes } from '#core/testing/readings'
import { writable } from '#core/exercise/attempt/stages'
import { permissionUntil } from '#core/exercise/attempt/permission'
import { groupQuestions, type GroupSheet } from '#core/testing/judge/group'
import { processFindings, type InstrumentFacts } from '#core/testing/judge/process'
import type { Finding } from '#core/findings/finding'
import { testWords } from '#words/testing'
import { readReadingsCsv, writeReadingsCsv, type ReadCsvReadings } from '#schemas/readings-csv'
import type { ScheduleView } from '#schemas/schedule-views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, attemptSeen, ownAttempt } from './access'
import { assignmentFor } from './assignment'
import { bayToTest, circuitHeads, isWholeBoard, judgedSheet } from './test-sheet'
import type { Context } from './context'
import { Problem } from './problem'

/**
 * The schedule of an attempt as its assessor sees it: readings, bands, findings, the bay to diagnose, and
 * questions about the group.
 */
export function showSchedule(context: Context, actor: Person, attemptId: number): ScheduleView {
  allow(actor, 'attempt.see')
  const { repos } = context
  const attempt = attemptSeen(actor, repos.attempts.byId(attemptId))
  if (!isWholeBoard(context, attempt) || attempt.stage === 'design') throw new Problem('notFound')
  const { rig, schedule } = bayToTest(context, attempt)
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  return {
    attempt: {
      id: attempt.id,
      name: attempt.personName,
      bay: attempt.bay,
      code: exercise.code,
      title: exercise.title,
    },
    edition: exercise.edition,
    circuits: circuitHeads(context, attempt),
    rig,
    tests: schedule,
    readings: attempt.readings,
    times: attempt.readingTimes,
    history: repos.readingChanges.ofAttempt(attempt.id),
    ...judgedSheet(context, attempt),
    process: processOf(context, attempt),
    questions: groupQuestions(sheetOf(context, attempt), othersOf(context, attempt)),
  }
}

/** How the tests were gone about. */
export function processOf(context: Context, attempt: Attempt): Finding[] {
  const events = context.repos.attempts.events(attempt.id)
  const permissions = events.flatMap((event, i) => {
    if (event.act !== 'permit') return []
    const end = events
      .slice(i + 1)
      .find(({ act }) => act === 'withdraw' || act === 'expire' || act === 'handIn')
    return [{ from: event.at, until: end?.at ?? permissionUntil(events.slice(0, i + 1)) }]
  })
  return processFindings(bayToTest(context, attempt).schedule, {
    times: timesOf(attempt),
    permissions,
    instrument: instrumentOf(context, attempt),
    isLeadsNulled: (attempt.readings['set:leads'] ?? '').trim() !== '',
    insulationVolt: attempt.readings['set:irVolt'] ?? '',
    today: context.now.slice(0, 10),
  })
}

/**
 * When each reading was taken: the time that a file claims where it lies before the one at which it came in.
 * A claim can show a breach; it never hides one.
 */
const timesOf = ({ readings, readingTimes }: Attempt): ReadingTimes =>
  Object.fromEntries(
    Object.entries(readingTimes).map(([key, at]) => {
      const claimed = Date.parse(readings[`at:${key}`] ?? '')
      return [key, claimed < Date.parse(at) ? new Date(claimed).toISOString() : at]
    }),
  )

function instrumentOf({ repos }: Context, { readings }: Attempt): InstrumentFacts | null {
  return repos.instruments.byName(readings['set:instrument'] ?? '') ?? null
}

const sheetOf = (context: Context, attempt: Attempt): GroupSheet => ({
  bay: attempt.bay,
  readings: attempt.readings,
  expected: bayToTest(context, attempt).expected,
})

function othersOf(context: Context, attempt: Attempt): GroupSheet[] {
  return context.repos.attempts
    .ofGroup(attempt.exerciseId, attempt.cohort)
    .filter(
      (other) =>
        other.id !== attempt.id &&
        assignmentFor(context, other).tests !== null &&
        Object.keys(other.readings).length > 0,
    )
    .map((other) => sheetOf(context, other))
}

/**
 * Looks through a file of readings for a sheet; nothing is written. Only tests that are open at this stage
 * are taken.
 */
export function previewReadings(
  context: Context,
  actor: Person,
  attemptId: number,
  text: string,
): ReadCsvReadings {
  const attempt = ownAttempt(actor, context.repos.attempts.byId(attemptId))
  const open = writable(attempt.stage)
  const keys =
    isWholeBoard(context, attempt) && open !== 'design'
      ? bayToTest(context, attempt)
          .schedule.filter(({ isDead }) => open === (isDead ? 'dead' : 'live'))
          .map(({ key }) => key)
      : []
  return readReadingsCsv(text, new Set(keys))
}

/** The schedule as a table to fill in elsewhere, with what is written so far. */
export function readingsForm(context: Context, actor: Person, attemptId: number): string {
  const attempt = ownAttempt(actor, context.repos.attempts.byId(attemptId))
  if (!isWholeBoard(context, attempt) || attempt.stage === 'design') throw new Problem('notFound')
  const { rig, schedule } = bayToTest(context, attempt)
  return writeReadingsCsv(
    schedule.map((test) => ({
      key: test.key,
      name: testWords(rig, test),
      text: attempt.readings[test.key] ?? '',
      at: attempt.readingTimes[test.key] ?? '',
    })),
  )
}
