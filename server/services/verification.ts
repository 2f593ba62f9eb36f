import { criteriaOf } from '#core/assessment/outcomes/framework'
import { sampleOf, type SampleReason } from '#core/assessment/verification/sample'
import { isTick, quantityOf } from '#core/testing/kinds/kinds'
import { QUANTITIES } from '#core/units/quantity'
import type { SecondMarkingBody, SettleBody } from '#schemas/evidence-requests'
import type { BlindView, SampleItem, VerificationView } from '#schemas/evidence-views'
import { itemName } from '#words/findings/findings'
import type { Person } from '../repos/people'
import type { SampledDecision, SecondMarking } from '../repos/second-markings'
import { allow, attemptSeen, found, may, seesGroup } from './access'
import { agreements, differenceOf, differs, standardisationOf, type Judged } from './agreements'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { scopeNames } from './marked'
import { Problem } from './problem'
import { needProof } from './proof'

/** So many stand in the list, the riskiest first; when they are done the next come up. */
const MOST_SAMPLED = 200
/** Decisions of this long are looked at. */
const SAMPLED_MS = 180 * 86_400_000

/** What should be looked at again, where two differed, and how far assessors agree. */
export function showVerification(context: Context, actor: Person): VerificationView {
  allow(actor, 'verification.see')
  const { repos, now } = context
  const since = new Date(Date.parse(now) - SAMPLED_MS).toISOString()
  const risks = repos.secondMarkings.risksSince(since, (cohort) => seesGroup(actor, cohort))
  const seconds = repos.secondMarkings.since(since)
  const sampled = sampleOf(risks, repos.centre.trust().samplePercent).slice(0, MOST_SAMPLED)
  const seen = new Set(risks.map(({ id }) => id))
  const wanted = [...sampled.map(({ decision }) => decision.id), ...seconds.map((one) => one.decisionId)]
  const decisions = repos.secondMarkings.these([...new Set(wanted)].filter((id) => seen.has(id)))
  const byDecision = new Map(decisions.map((decision) => [decision.id, decision]))
  const said = repos.secondMarkings.criteriaOf(seconds.map(({ decisionId }) => decisionId))
  const judged = seconds.flatMap((second): Judged[] => {
    const decision = byDecision.get(second.decisionId)
    return decision ? [{ decision, said: said.get(decision.id) ?? [], second }] : []
  })
  const shownTo = sampleShown(actor, seconds)
  return {
    sample: sampled.map(({ decision, reasons }) => shownTo(byDecision.get(decision.id)!, reasons)),
    differences: judged.filter(differs).map((pair) => differenceOf(context, pair)),
    standardisation: standardisationOf(context, judged),
    agreement: agreements(context, judged),
    randomPercent: repos.centre.trust().samplePercent,
  }
}

/** A sampled decision as somebody may see it. */
function sampleShown(actor: Person, seconds: readonly SecondMarking[]) {
  const judged = new Set(seconds.map(({ decisionId }) => decisionId))
  const judgedByActor = new Set(
    seconds.filter(({ byId }) => byId === actor.id).map(({ decisionId }) => decisionId),
  )
  const mayJudge = may(actor, 'verification.judge')
  return (decision: SampledDecision, reasons: readonly SampleReason[]): SampleItem => {
    const isOwn = decision.byId === actor.id
    const { id, person, cohort, bay, exerciseCode, exerciseTitle, at } = decision
    const isHidden = mayJudge && !isOwn && !judgedByActor.has(id)
    return {
      decisionId: id,
      // Who it is may sway a second look; it is said once that look stands.
      person: isHidden ? '' : person,
      cohort,
      bay,
      exerciseCode,
      exerciseTitle,
      at,
      reasons: isHidden
        ? reasons.filter((reason) => reason === 'random' || reason.startsWith('new'))
        : reasons,
      isOwn,
      isDone: judged.has(id),
    }
  }
}

/** The work of a decision without its marks, its decision and its name; only for whoever did not mark it. */
export function showBlind(context: Context, actor: Person, decisionId: number): BlindView {
  const decision = judgeable(context, actor, decisionId)
  const { repos } = context
  const attempt = attemptSeen(actor, repos.attempts.byId(decision.attemptId))
  const { marked } = found(repos.decisions.latest(attempt.id)).evidence
  const scopes = scopeNames(attempt, marked)
  const texts = new Map(criteriaOf(frameworkInForce(context)).map(({ code, text }) => [code, text]))
  return {
    decisionId,
    exerciseCode: decision.exerciseCode,
    exerciseTitle: decision.exerciseTitle,
    bay: decision.bay,
    work: [
      ...marked.design.map(({ node, typed }) => ({
        name: itemName(`design.${node}`, scopes),
        typed,
        unit: '',
      })),
      ...marked.readings.map(({ reading, typed }) => ({
        name: itemName(`reading.${reading}`, scopes),
        typed,
        unit: isTick(reading) ? '' : QUANTITIES[quantityOf(reading)].unit,
      })),
    ],
    asked: repos.questions
      .askedOn(attempt.id)
      .filter(({ isUndone }) => !isUndone)
      .map(({ wording, outcome }) => ({ wording, outcome })),
    // A code that a later framework no longer has is judged all the same: it was decided.
    criteria: saidOf(context, decisionId).map(({ code }) => ({ code, text: texts.get(code) ?? '' })),
  }
}

const saidOf = ({ repos }: Context, decisionId: number) =>
  repos.secondMarkings.criteriaOf([decisionId]).get(decisionId) ?? []

/** The decision, if this person may judge it a second time: neither who marked it nor who judged it before. */
function judgeable({ repos }: Context, actor: Person, decisionId: number): SampledDecision {
  allow(actor, 'verification.judge')
  const decision = found(repos.secondMarkings.decision(decisionId))
  if (!seesGroup(actor, decision.cohort)) throw new Problem('notFound')
  if (decision.byId === actor.id) throw new Problem('secondNotYours')
  if (repos.secondMarkings.ofDecision(decisionId).some(({ byId }) => byId === actor.id))
    throw new Problem('secondDone')
  return decision
}

/** Puts a second judgement down; the first decision is shown only now. */
export function judgeSecond(context: Context, actor: Person, body: SecondMarkingBody): VerificationView {
  needProof(context)
  const { repos, now } = context
  repos.transaction(() => {
    const decision = judgeable(context, actor, body.decisionId)
    const wanted = saidOf(context, decision.id)
      .map(({ code }) => code)
      .sort()
    const given = body.verdicts.map(({ code }) => code).sort()
    if (JSON.stringify(wanted) !== JSON.stringify(given))
      throw new Problem('bodyNotRight', {
        fields: [{ field: 'verdicts', message: `judge each of ${wanted.join(', ')} once` }],
      })
    if (body.verdicts.some(({ met, reason }) => !met && reason.trim() === ''))
      throw new Problem('bodyNotRight', {
        fields: [{ field: 'reason', message: 'is needed where it is not yet' }],
      })
    if (repos.secondMarkings.add(decision.id, actor.id, body.verdicts, now) === null)
      throw new Problem('secondDone')
    repos.audit.add(now, actor.id, 'secondMarked', `decision ${decision.id}`)
  })
  return showVerification(context, actor)
}

/** Settles where two differed: by talk, or by a third person, with the reason. Both judgements stay. */
export function settleSecond(
  context: Context,
  actor: Person,
  secondId: number,
  body: SettleBody,
): VerificationView {
  allow(actor, 'verification.judge')
  needProof(context)
  const { repos, now } = context
  repos.transaction(() => {
    const second = found(repos.secondMarkings.byId(secondId))
    const decision = found(repos.secondMarkings.decision(second.decisionId))
    if (!seesGroup(actor, decision.cohort)) throw new Problem('notFound')
    const isOneOfThem = actor.id === second.byId || actor.id === decision.byId
    if (body.how === 'third' && isOneOfThem) throw new Problem('settleNotYours')
    if (!repos.secondMarkings.settle(secondId, actor.id, body, now)) throw new Problem('alreadySettled')
    repos.audit.add(now, actor.id, 'secondSettled', `decision ${decision.id}: the ${body.stands} stands`)
  })
  return showVerification(context, actor)
}
