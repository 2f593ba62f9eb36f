import { after, writable, type Act, type Stage } from '#core/attempt/stages'
import { STEP_KEYS } from '#core/design/step'
import { publicTask } from '#core/exercise/task'
import { readAnswer } from '#core/marking/answer'
import { energiseGate, judgeReadings } from '#core/results/judge'
import { parseReading } from '#core/results/parse-reading'
import { LIVE_KEYS, isDead, readingKeys, readingKind, type ReadingKey } from '#core/results/readings'
import type { WorkBody } from '#schemas/requests'
import type { WorkListItem, WorkView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, found, ownAttempt } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** The apprentice's tasks, newest first. */
export function listWork({ repos }: Context, actor: Person): WorkListItem[] {
  allow(actor, 'work.own')
  return repos.attempts.byPerson(actor.id).map((attempt) => {
    const { exercise } = repos.exercises.byId(attempt.exerciseId)!
    return {
      id: attempt.id, code: exercise.code, title: exercise.title, bay: attempt.bay, stage: attempt.stage, savedAt: attempt.savedAt,
      answered: Object.values(attempt.answers).filter((text) => text.trim() !== '').length, steps: STEP_KEYS.length,
    }
  })
}

/**
 * What the apprentice's browser may hold: the task without the residual device, their own typing, the permission. The
 * worked design and the marks join it only when the decision has been released.
 */
export function showWork({ repos }: Context, actor: Person, id: number): WorkView {
  return forApprentice({ repos }, ownAttempt(actor, repos.attempts.byId(id)))
}

function forApprentice({ repos }: Pick<Context, 'repos'>, attempt: Attempt): WorkView {
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const events = repos.attempts.events(attempt.id)
  const isDesigned = attempt.stage !== 'design'
  const decision = attempt.stage === 'released' ? repos.decisions.latest(attempt.id) : undefined
  return {
    id: attempt.id, bay: attempt.bay, name: attempt.personName, stage: attempt.stage, version: attempt.version, savedAt: attempt.savedAt,
    exercise: { code: exercise.code, title: exercise.title, scenario: exercise.scenario, circuitName: exercise.circuitName, edition: exercise.edition },
    task: publicTask(attempt.task),
    answers: attempt.answers,
    readings: attempt.readings,
    // The list of tests tells whether a residual device is fitted, so it follows the hand-in.
    readingKeys: isDesigned ? readingKeys(attempt.task) : [],
    ratedResidualMA: isDesigned && attempt.task.residualA !== null ? attempt.task.residualA * 1e3 : null,
    events: events.filter((event) => event.act !== 'decide' || decision),
    decision,
  }
}

/** Saves what was typed, if its boxes are open at this stage. Boxes of other stages must come back unchanged. */
export function saveWork({ repos, now }: Context, actor: Person, id: number, body: WorkBody) {
  return repos.transaction(() => {
    const attempt = ownAttempt(actor, repos.attempts.byId(id))
    if (attempt.version !== body.version) throw new Problem('stale', { extra: { theirs: forApprentice({ repos }, attempt) } })
    refuseLocked(attempt, body)
    if (!repos.attempts.saveWork(id, body.version, body.answers, body.readings, now)) throw new Problem('stale')
    return { version: body.version + 1, savedAt: now }
  })
}

function refuseLocked(attempt: Attempt, body: WorkBody): void {
  const open = writable(attempt.stage)
  const isChanged = (before: Readonly<Record<string, string | undefined>>, after: Readonly<Record<string, string | undefined>>, key: string) =>
    (before[key] ?? '') !== (after[key] ?? '')
  if (open !== 'design' && STEP_KEYS.some((key) => isChanged(attempt.answers, body.answers, key))) throw new Problem('locked')
  const readings = new Set([...Object.keys(attempt.readings), ...Object.keys(body.readings)]) as Set<ReadingKey>
  for (const key of readings) {
    if (!isChanged(attempt.readings, body.readings, key)) continue
    if (isDead(key) && open !== 'dead') throw new Problem('locked')
    if (!isDead(key) && open !== 'live') throw new Problem('liveLocked')
  }
}

export function handInDesign(context: Context, actor: Person, id: number, version: number) {
  return act(context, actor, id, version, 'handInDesign', (attempt) => {
    const missing = STEP_KEYS.filter((key) => !readAnswer(key, attempt.answers[key] ?? '').ok)
    if (missing.length > 0) throw new Problem('answersMissing', { extra: { missing } })
  })
}

export function askPermission(context: Context, actor: Person, id: number, version: number) {
  return act(context, actor, id, version, 'askPermission', (attempt) => refuseEmpty(attempt, readingKeys(attempt.task).filter(isDead)))
}

export function handInReadings(context: Context, actor: Person, id: number, version: number) {
  return act(context, actor, id, version, 'handIn', (attempt) =>
    refuseEmpty(attempt, readingKeys(attempt.task).filter((key) => (LIVE_KEYS as readonly string[]).includes(key))))
}

function refuseEmpty(attempt: Attempt, keys: readonly ReadingKey[]): void {
  const missing = keys.filter((key) => ['empty', 'unreadable'].includes(parseReading(attempt.readings[key] ?? '', readingKind(key)).form))
  if (missing.length > 0) throw new Problem('readingsMissing', { extra: { missing } })
}

function act({ repos, now }: Context, actor: Person, id: number, version: number, what: Act, check: (attempt: Attempt) => void) {
  return repos.transaction(() => {
    const attempt = ownAttempt(actor, repos.attempts.byId(id))
    const stage = nextStage(attempt, what)
    if (attempt.version !== version) throw new Problem('stale', { extra: { theirs: forApprentice({ repos }, attempt) } })
    check(attempt)
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, what, actor.id, now, '')
    return forApprentice({ repos }, repos.attempts.byId(id)!)
  })
}

/** The stage that follows, or the refusal. */
export function nextStage(attempt: Attempt, what: Act): Stage {
  const stage = after(attempt.stage, what)
  if (!stage) throw new Problem('wrongStage')
  return stage
}

/** Gives or refuses permission to energise, by name and time. Never gives it past a shut gate. */
export function decidePermission({ repos, now }: Context, actor: Person, id: number, granted: boolean, reason: string): void {
  allow(actor, 'energise.permit')
  repos.transaction(() => {
    const attempt = found(repos.attempts.byId(id))
    const stage = nextStage(attempt, granted ? 'permit' : 'refuse')
    if (granted && !energiseGate(judgeReadings(attempt.task, attempt.readings)).open) throw new Problem('gateShut')
    if (!granted && reason.trim() === '') throw new Problem('reasonNeeded', { fields: [{ field: 'reason', message: 'is empty.' }] })
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, granted ? 'permit' : 'refuse', actor.id, now, reason.trim())
    repos.audit.add(now, actor.id, granted ? 'permitted' : 'permissionRefused', `attempt ${id}`)
  })
}
