import type { AppealAnswerBody } from '#schemas/evidence-requests'
import type { AppealView } from '#schemas/evidence-views'
import type { StoredAppeal } from '../repos/appeals'
import type { Person } from '../repos/people'
import { allow, found, may, ownAttempt, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { needProof } from './proof'
import { nextStage } from './stages'

const viewOf =
  (actor: Person) =>
  ({
    decidedById,
    cohort: _cohort,
    personId: _person,
    decisionId: _decision,
    ...appeal
  }: StoredAppeal): AppealView => ({
    ...appeal,
    mayAnswer: appeal.outcome === null && may(actor, 'appeal.answer') && decidedById !== actor.id,
  })

/** Appeals of the groups that the actor works with; an apprentice sees their own. */
export function listAppeals({ repos }: Context, actor: Person): AppealView[] {
  if (actor.role !== 'apprentice') allow(actor, 'attempt.see')
  return repos.appeals
    .all()
    .filter(({ personId, cohort }) =>
      actor.role === 'apprentice' ? personId === actor.id : seesGroup(actor, cohort),
    )
    .map(viewOf(actor))
}

/** An apprentice appeals against the decision that was released to them: a new entry that points to it. */
export function makeAppeal(context: Context, actor: Person, attemptId: number, reason: string): AppealView[] {
  allow(actor, 'appeal.make')
  const { repos, now } = context
  repos.transaction(() => {
    const attempt = ownAttempt(actor, repos.attempts.byId(attemptId))
    if (attempt.stage !== 'released') throw new Problem('wrongStage')
    const decision = found(repos.decisions.latest(attemptId))
    if (repos.appeals.ofAttempt(attemptId).some(({ outcome }) => outcome === null))
      throw new Problem('appealOpen')
    repos.appeals.add(decision.id, actor.id, reason.trim(), now)
    repos.audit.add(now, actor.id, 'appealed', `attempt ${attemptId}`)
  })
  return listAppeals(context, actor)
}

/**
 * Somebody else than whoever decided answers, with the reason. Where it is upheld the sheet goes back to marking, and a
 * new decision stands beside the old.
 */
export function answerAppeal(
  context: Context,
  actor: Person,
  id: number,
  body: AppealAnswerBody,
): AppealView[] {
  allow(actor, 'appeal.answer')
  needProof(context)
  const { repos, now } = context
  repos.transaction(() => {
    const appeal = found(repos.appeals.byId(id))
    if (!seesGroup(actor, appeal.cohort)) throw new Problem('notFound')
    if (appeal.decidedById === actor.id) throw new Problem('appealNotYours')
    if (!repos.appeals.answer(id, actor.id, { outcome: body.outcome, reason: body.reason.trim() }, now))
      throw new Problem('alreadySettled')
    if (body.outcome === 'upheld') {
      const stage = nextStage(found(repos.attempts.byId(appeal.attemptId)), 'uphold')
      repos.attempts.setStage(appeal.attemptId, stage)
      repos.attempts.addEvent(appeal.attemptId, 'uphold', actor.id, now, body.reason.trim())
    }
    repos.audit.add(now, actor.id, 'appealAnswered', `appeal ${id}: ${body.outcome}`)
  })
  return listAppeals(context, actor)
}
