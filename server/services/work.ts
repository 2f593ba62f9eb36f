import { after, writable, type Act, type Stage } from '#core/attempt/stages'
import { stepOf } from '#core/design/step-keys'
import { askedNodes, assignmentOf, designOf, publicInstallation, type Assignment } from '#core/exercise/assignment'
import { readAnswer } from '#core/marking/answer'
import { energiseGate, judgeReadings, type ReadingMark } from '#core/results/judge'
import type { OtherBay } from '#core/results/rules/rule'
import { parseReading } from '#core/results/parse-reading'
import { LIVE_KEYS, isDead, readingKeys, readingKind, type ReadingKey } from '#core/results/readings'
import type { WorkBody } from '#schemas/requests'
import type { WorkListItem, WorkView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, found, ownAttempt } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** The attempt as it is asked and judged. */
export function assignmentFor({ repos }: Pick<Context, 'repos'>, attempt: Attempt): Assignment {
  return assignmentOf(repos.exercises.byId(attempt.exerciseId)!.exercise, attempt.installation)
}

const testedCircuit = (attempt: Attempt, tests: string | null) => attempt.installation.circuits.find(({ id }) => id === tests)

/** The tests of the circuit that is wired; none where the design is all there is. */
function keysOf(context: Pick<Context, 'repos'>, attempt: Attempt): ReadingKey[] {
  const tested = testedCircuit(attempt, assignmentFor(context, attempt).tests)
  return tested ? readingKeys(tested) : []
}

/** The readings of an attempt, judged; none where nothing is tested. */
export function readingMarks(context: Pick<Context, 'repos'>, attempt: Attempt, others: readonly OtherBay[] = []): ReadingMark[] {
  const assignment = assignmentFor(context, attempt)
  const tested = designOf(assignment).circuits.find(({ scope }) => scope === assignment.tests)
  return tested && !tested.stopped ? judgeReadings(tested, attempt.readings, others) : []
}

/** How many boxes of the design are filled, of how many. */
export function progressOf(context: Pick<Context, 'repos'>, attempt: Attempt): { readonly answered: number; readonly steps: number } {
  const nodes = askedNodes(assignmentFor(context, attempt))
  return { answered: nodes.filter((node) => attempt.answers[node]?.trim()).length, steps: nodes.length }
}

/** The apprentice's tasks, newest first. */
export function listWork({ repos }: Context, actor: Person): WorkListItem[] {
  allow(actor, 'work.own')
  return repos.attempts.byPerson(actor.id).map((attempt) => {
    const { exercise } = repos.exercises.byId(attempt.exerciseId)!
    return {
      id: attempt.id, code: exercise.code, title: exercise.title, bay: attempt.bay, stage: attempt.stage, savedAt: attempt.savedAt,
      ...progressOf({ repos }, attempt), library: exercise.policy.library,
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
  const tested = testedCircuit(attempt, exercise.tests)
  const decision = attempt.stage === 'released' ? repos.decisions.latest(attempt.id) : undefined
  return {
    id: attempt.id, bay: attempt.bay, name: attempt.personName, stage: attempt.stage, version: attempt.version, savedAt: attempt.savedAt,
    exercise: { code: exercise.code, title: exercise.title, scenario: exercise.scenario, kind: exercise.kind, minutes: exercise.minutes, tests: exercise.tests },
    sheet: { edition: exercise.edition, policy: exercise.policy, asks: exercise.asks, installation: publicInstallation(attempt.installation) },
    answers: attempt.answers,
    readings: attempt.readings,
    // The list of tests tells whether a residual device is fitted, so it follows the hand-in.
    readingKeys: isDesigned && tested ? readingKeys(tested) : [],
    ratedResidualMA: isDesigned && tested && tested.residualA !== null ? Math.round(tested.residualA * 1e3) : null,
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
  if (open !== 'design' && [...new Set([...Object.keys(attempt.answers), ...Object.keys(body.answers)])].some((key) => isChanged(attempt.answers, body.answers, key))) throw new Problem('locked')
  const readings = new Set([...Object.keys(attempt.readings), ...Object.keys(body.readings)]) as Set<ReadingKey>
  for (const key of readings) {
    if (!isChanged(attempt.readings, body.readings, key)) continue
    if (isDead(key) && open !== 'dead') throw new Problem('locked')
    if (!isDead(key) && open !== 'live') throw new Problem('liveLocked')
  }
}

export function handInDesign(context: Context, actor: Person, id: number, version: number) {
  const attempt = context.repos.attempts.byId(id)
  const isWired = attempt !== undefined && assignmentFor(context, attempt).tests !== null
  return act(context, actor, id, version, isWired ? 'handInDesign' : 'handInAlone', (own) => {
    const missing = askedNodes(assignmentFor(context, own)).filter((node) => !readAnswer(stepOf(node), own.answers[node] ?? '').ok)
    if (missing.length > 0) throw new Problem('answersMissing', { extra: { missing } })
  })
}

export function askPermission(context: Context, actor: Person, id: number, version: number) {
  return act(context, actor, id, version, 'askPermission', (attempt) => refuseEmpty(attempt, keysOf(context, attempt).filter(isDead)))
}

export function handInReadings(context: Context, actor: Person, id: number, version: number) {
  return act(context, actor, id, version, 'handIn', (attempt) =>
    refuseEmpty(attempt, keysOf(context, attempt).filter((key) => (LIVE_KEYS as readonly string[]).includes(key))))
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
    if (granted && !energiseGate(readingMarks({ repos }, attempt)).open) throw new Problem('gateShut')
    if (!granted && reason.trim() === '') throw new Problem('reasonNeeded', { fields: [{ field: 'reason', message: 'is empty.' }] })
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, granted ? 'permit' : 'refuse', actor.id, now, reason.trim())
    repos.audit.add(now, actor.id, granted ? 'permitted' : 'permissionRefused', `attempt ${id}`)
  })
}
