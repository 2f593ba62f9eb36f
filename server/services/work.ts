import type { StageEvent } from '#schemas/marking-views'
import { permissionUntil } from '#core/exercise/attempt/permission'
import { after, writable, type Act, type Stage } from '#core/exercise/attempt/stages'
import { stepOf } from '#core/design/model/step-keys'
import { askedNodes, publicInstallation } from '#core/exercise/assignment'
import { readAnswer } from '#core/assessment/marking/answer'
import { energiseGate } from '#core/testing/judge/gate'
import type { ReadingMark } from '#core/testing/judge/judge'
import type { OtherBay } from '#core/testing/relations/sheet'
import { parseReading } from '#core/testing/parse/parse-reading'
import { kindOf } from '#core/testing/kinds/kinds'
import { presentKeys } from '#core/testing/upgrade'
import type { WorkBody } from '#schemas/requests'
import type { WorkListItem, WorkView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, found, ownAttempt } from './access'
import { assignmentFor } from './assignment'
import {
  askedKeys,
  boardView,
  isDeadBox,
  isWholeBoard,
  judgedSheet,
  pairingCode,
  sheetKeys,
} from './test-sheet'
import type { Context } from './context'
import { Problem } from './problem'
import { saveIfCurrent } from './save-current'

/** The readings of an attempt, judged; none where nothing is tested. */
export const readingMarks = (
  context: Pick<Context, 'repos'>,
  attempt: Attempt,
  others: readonly OtherBay[] = [],
): readonly ReadingMark[] => judgedSheet(context, attempt, others).marks

/** How many boxes of the design are filled, of how many. */
export function progressOf(
  context: Pick<Context, 'repos'>,
  attempt: Attempt,
): { readonly answered: number; readonly steps: number } {
  const nodes = askedNodes(assignmentFor(context, attempt))
  return { answered: nodes.filter((node) => attempt.answers[node]?.trim()).length, steps: nodes.length }
}

/** The apprentice's tasks, newest first. */
export function listWork({ repos }: Context, actor: Person): WorkListItem[] {
  allow(actor, 'work.own')
  return repos.attempts.byPerson(actor.id).map((attempt) => {
    const { exercise } = repos.exercises.byId(attempt.exerciseId)!
    return {
      id: attempt.id,
      code: exercise.code,
      title: exercise.title,
      bay: attempt.bay,
      stage: attempt.stage,
      savedAt: attempt.savedAt,
      ...progressOf({ repos }, attempt),
      library: exercise.policy.library,
    }
  })
}

/**
 * What the apprentice's browser may hold: the task without the RCD, their own typing, the permission. The
 * worked design and the marks join it only when the decision has been released.
 */
export function showWork(context: Context, actor: Person, id: number): WorkView {
  return forApprentice(context, inForce(context, ownAttempt(actor, context.repos.attempts.byId(id))))
}

const RUN_OUT = 'The permission has run out. Ask again before anything is measured live.'

/** Is the permission of a live attempt over? */
function isRunOut({ repos, now }: Pick<Context, 'repos' | 'now'>, attempt: Attempt): boolean {
  if (attempt.stage !== 'live') return false
  const until = permissionUntil(repos.attempts.events(attempt.id))
  return until === null || until <= now
}

/** The attempt as it stands now, looked at only: a permission that has run out is one no longer. */
export const inForce = (context: Context, attempt: Attempt): Attempt =>
  isRunOut(context, attempt) ? { ...attempt, stage: nextStage(attempt, 'expire') } : attempt

/** The same before something is done: that the permission has run out is written down. The caller holds a transaction. */
export function settled(context: Context, attempt: Attempt): Attempt {
  if (!isRunOut(context, attempt)) return attempt
  const { repos, now } = context
  repos.attempts.expire(attempt.id, nextStage(attempt, 'expire'))
  repos.attempts.addEvent(attempt.id, 'expire', attempt.personId, now, RUN_OUT)
  return repos.attempts.byId(attempt.id)!
}

/** Events as they are told: that a permission has run out also before anybody has written it down. */
export function eventsOf(context: Context, attempt: Attempt): readonly StageEvent[] {
  const events = context.repos.attempts.events(attempt.id)
  const isUnwritten = attempt.stage === 'dead' && permissionUntil(events) !== null
  const at = permissionUntil(events)
  return isUnwritten && at
    ? [...events, { act: 'expire', by: attempt.personName, at, note: RUN_OUT }]
    : events
}

function forApprentice(context: Context, attempt: Attempt): WorkView {
  const { repos, stream } = context
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const events = eventsOf(context, attempt)
  const isDesigned = attempt.stage !== 'design'
  const tested = attempt.installation.circuits.find(({ id }) => id === exercise.tests)
  const decision = attempt.stage === 'released' ? repos.decisions.latest(attempt.id) : undefined
  return {
    id: attempt.id,
    bay: attempt.bay,
    name: attempt.personName,
    stage: attempt.stage,
    version: attempt.version,
    savedAt: attempt.savedAt,
    exercise: {
      code: exercise.code,
      title: exercise.title,
      scenario: exercise.scenario,
      kind: exercise.kind,
      minutes: exercise.minutes,
      tests: exercise.tests,
    },
    sheet: {
      edition: exercise.edition,
      policy: exercise.policy,
      asks: exercise.asks,
      installation: publicInstallation(attempt.installation),
    },
    answers: attempt.answers,
    readings: attempt.readings,
    // The list of tests tells whether an RCD is fitted, so it follows the hand-in.
    readingKeys:
      isDesigned && tested
        ? [...askedKeys({ repos }, attempt, true), ...askedKeys({ repos }, attempt, false)]
        : [],
    rcdMA: isDesigned && tested && tested.residualA !== null ? Math.round(tested.residualA * 1e3) : null,
    events: events.filter((event) => event.act !== 'decide' || decision),
    board:
      isDesigned && isWholeBoard({ repos }, attempt)
        ? boardView(
            { repos },
            attempt,
            stream
              ? { port: stream.port, code: pairingCode(stream.secret, attempt.id) }
              : { port: null, code: '' },
          )
        : null,
    decision,
  }
}

/** Saves what was typed, if its boxes are open at this stage. Boxes of other stages must come back unchanged. */
export const saveWork = (context: Context, actor: Person, id: number, body: WorkBody) =>
  saveIfCurrent(context, {
    sent: body.version,
    read: () => settled(context, ownAttempt(actor, context.repos.attempts.byId(id))),
    write: (attempt) => {
      const { tests } = assignmentFor(context, attempt)
      // What was typed before one circuit was a schedule may arrive only now.
      keepReadings(context, attempt, body.answers, presentKeys(body.readings, attempt.installation, tests))
    },
    theirs: (attempt) => forApprentice(context, attempt),
  })

/** Writes a sheet as it now stands, if nothing on it is locked at this stage, and when each reading came in. The caller has checked whose it is, and holds a transaction. */
export function keepReadings(
  context: Context,
  attempt: Attempt,
  answers: WorkBody['answers'],
  readings: WorkBody['readings'],
): void {
  refuseLocked(context, attempt, { answers, readings })
  const times = { ...attempt.readingTimes }
  for (const [key, text] of Object.entries(readings)) {
    if (key.includes(':') || (attempt.readings[key] ?? '') === text) continue
    // A file may say when it was measured.
    times[key] = readings[`at:${key}`] || context.now
  }
  if (!context.repos.attempts.saveWork(attempt.id, attempt.version, answers, readings, times, context.now))
    throw new Problem('stale')
}

function refuseLocked(
  context: Context,
  attempt: Attempt,
  body: Pick<WorkBody, 'answers' | 'readings'>,
): void {
  const open = writable(attempt.stage)
  const isChanged = (
    before: Readonly<Record<string, string | undefined>>,
    after: Readonly<Record<string, string | undefined>>,
    key: string,
  ) => (before[key] ?? '') !== (after[key] ?? '')
  if (
    open !== 'design' &&
    [...new Set([...Object.keys(attempt.answers), ...Object.keys(body.answers)])].some((key) =>
      isChanged(attempt.answers, body.answers, key),
    )
  )
    throw new Problem('locked')
  const changed = [...new Set([...Object.keys(attempt.readings), ...Object.keys(body.readings)])].filter(
    (key) => isChanged(attempt.readings, body.readings, key),
  )
  if (changed.length === 0) return
  const known = sheetKeys(context, attempt)
  const strange = changed.filter((key) => !known.has(key))
  if (strange.length > 0)
    throw new Problem('readingUnknown', {
      fields: strange.map((field) => ({ field, message: 'is no test of this sheet.' })),
    })
  for (const key of changed) {
    const isDeadOne = isDeadBox(key)
    // What belongs to the sheet, such as the instrument, may be changed while anything is measured.
    if (key.startsWith('set:') && (open === 'dead' || open === 'live')) continue
    if (isDeadOne && open !== 'dead') throw new Problem('locked')
    if (!isDeadOne && open !== 'live') throw new Problem('liveLocked')
  }
}

export function handInDesign(context: Context, actor: Person, id: number, version: number) {
  const attempt = context.repos.attempts.byId(id)
  const isWired = attempt !== undefined && assignmentFor(context, attempt).tests !== null
  const what = isWired ? 'handInDesign' : 'handInAlone'
  const check = (own: Attempt) => {
    const missing = askedNodes(assignmentFor(context, own)).filter(
      (node) => !readAnswer(stepOf(node), own.answers[node] ?? '').ok,
    )
    if (missing.length > 0) throw new Problem('answersMissing', { extra: { missing } })
  }
  return act(context, actor, { id, version, what, check })
}

/** Tests of a stage must all be filled before the sheet goes on. */
const filled =
  (context: Context, isDead: boolean) =>
  (attempt: Attempt): void =>
    refuseEmpty(attempt, askedKeys(context, attempt, isDead))

export const askPermission = (context: Context, actor: Person, id: number, version: number) =>
  act(context, actor, { id, version, what: 'askPermission', check: filled(context, true) })

export const handInReadings = (context: Context, actor: Person, id: number, version: number) =>
  act(context, actor, { id, version, what: 'handIn', check: filled(context, false) })

function refuseEmpty(attempt: Attempt, keys: readonly string[]): void {
  const missing = keys.filter((key) =>
    ['empty', 'unreadable'].includes(parseReading(attempt.readings[key] ?? '', kindOf(key)).form),
  )
  if (missing.length > 0) throw new Problem('readingsMissing', { extra: { missing } })
}

interface Step {
  readonly id: number
  readonly version: number
  readonly what: Act
  readonly check: (attempt: Attempt) => void
}

function act(context: Context, actor: Person, { id, version, what, check }: Step): WorkView {
  const { repos, now } = context
  saveIfCurrent(context, {
    sent: version,
    read: () => settled(context, ownAttempt(actor, repos.attempts.byId(id))),
    check: (attempt) => void nextStage(attempt, what),
    write: (attempt) => {
      check(attempt)
      repos.attempts.setStage(id, nextStage(attempt, what))
      repos.attempts.addEvent(id, what, actor.id, now, '')
    },
    theirs: (attempt) => forApprentice(context, attempt),
  })
  return forApprentice(context, repos.attempts.byId(id)!)
}

/** The stage that follows, or the refusal. */
export function nextStage(attempt: Attempt, what: Act): Stage {
  const stage = after(attempt.stage, what)
  if (!stage) throw new Problem('wrongStage')
  return stage
}

/** Gives or refuses permission to energise, by name and time. Never gives it past a shut gate. */
export function decidePermission(
  { repos, now }: Context,
  actor: Person,
  id: number,
  granted: boolean,
  reason: string,
): void {
  allow(actor, 'energise.permit')
  repos.transaction(() => {
    const attempt = found(repos.attempts.byId(id))
    const stage = nextStage(attempt, granted ? 'permit' : 'refuse')
    if (granted && !energiseGate(readingMarks({ repos }, attempt)).open) throw new Problem('gateShut')
    if (!granted && reason.trim() === '')
      throw new Problem('reasonNeeded', { fields: [{ field: 'reason', message: 'is empty.' }] })
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, granted ? 'permit' : 'refuse', actor.id, now, reason.trim())
    repos.audit.add(now, actor.id, granted ? 'permitted' : 'permissionRefused', `attempt ${id}`)
  })
}

/** STOP: takes the permission back at once, of one bay or of every bay that is live. Returns how many were live. */
export function withdrawPermission(
  { repos, now }: Context,
  actor: Person,
  id: number | null,
  reason: string,
): { readonly stopped: number } {
  allow(actor, 'energise.permit')
  return repos.transaction(() => {
    const live = (id === null ? repos.attempts.all() : [found(repos.attempts.byId(id))]).filter(
      ({ stage }) => stage === 'live',
    )
    for (const attempt of live) {
      repos.attempts.setStage(attempt.id, nextStage(attempt, 'withdraw'))
      repos.attempts.addEvent(
        attempt.id,
        'withdraw',
        actor.id,
        now,
        reason.trim() || 'Stop. Stand back, isolate, wait for your assessor.',
      )
    }
    repos.audit.add(
      now,
      actor.id,
      id === null ? 'stoppedAll' : 'stopped',
      id === null ? `${live.length} bays` : `attempt ${id}`,
    )
    return { stopped: live.length }
  })
}
