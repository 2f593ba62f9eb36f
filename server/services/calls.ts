import { hasPlace } from '#core/exercise/attempt/stages'
import type { CallAnswerBody, CallView } from '#schemas/floor'
import type { CallKind } from '#core/floor/needs'
import type { StoredCall } from '../repos/calls'
import type { Person } from '../repos/people'
import { allow, found, ownAttempt, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'

const viewOf = ({ id, kind, at, answer, note, answeredAt, answeredBy }: StoredCall): CallView => ({
  id,
  kind,
  at,
  answer,
  note,
  answeredAt,
  answeredBy,
})

/** What was asked from this sheet, newest first. */
const callsOf = ({ repos }: Context, attemptId: number): CallView[] =>
  repos.calls.ofAttempt(attemptId).map(viewOf)

/** What the apprentice has asked from their sheet. */
export const ownCalls = (context: Context, actor: Person, attemptId: number): CallView[] =>
  callsOf(context, ownAttempt(actor, context.repos.attempts.byId(attemptId)).id)

/** An apprentice asks an assessor over; asked twice it is asked once. */
export function callOver(context: Context, actor: Person, attemptId: number, kind: CallKind): CallView[] {
  const { repos, now } = context
  repos.transaction(() => {
    const attempt = ownAttempt(actor, repos.attempts.byId(attemptId))
    if (!hasPlace(attempt.stage)) throw new Problem('wrongStage')
    repos.calls.add(attemptId, kind, now)
  })
  return callsOf(context, attemptId)
}

/** Takes back what was asked, as long as nobody has come. */
export function withdrawCall(context: Context, actor: Person, id: number): CallView[] {
  const { repos, now } = context
  const call = found(repos.calls.byId(id))
  ownAttempt(actor, repos.attempts.byId(call.attemptId))
  if (!repos.calls.answer(id, 'withdrawn', '', actor.id, now)) throw new Problem('callAnswered')
  return callsOf(context, call.attemptId)
}

/** An assessor was there: seen, or not yet with what is missing. */
export function answerCall(context: Context, actor: Person, id: number, body: CallAnswerBody): void {
  allow(actor, 'floor.see')
  const { repos, now } = context
  const note = body.note.trim()
  if (body.answer === 'notYet' && note === '') throw new Problem('callNeedsNote')
  repos.transaction(() => {
    const call = found(repos.calls.byId(id))
    if (!seesGroup(actor, call.cohort)) throw new Problem('notFound')
    if (!repos.calls.answer(id, body.answer, note, actor.id, now)) throw new Problem('callAnswered')
    repos.audit.add(now, actor.id, 'callAnswered', `${call.kind}, attempt ${call.attemptId}, ${body.answer}`)
  })
}
