import { judgeIsolation, type IsolationVerdict } from '#core/isolation/judge'
import {
  headOf,
  siteOfHead,
  observedActs,
  readAct,
  standingActs,
  type ObservationFields,
} from '#core/isolation/observation'
import type { Site } from '#core/isolation/model/rule'
import { criteriaOf, type Criterion } from '#core/assessment/outcomes/framework'
import { RULE_TEXT } from '#words/isolation-rules'
import type {
  ObservationBody,
  ObservationDecisionBody,
  StartObservationBody,
} from '#schemas/isolation-requests'
import type { ObservationItem, ObservationView } from '#schemas/isolation-views'
import type { StoredObservation } from '../repos/observations'
import type { Person } from '../repos/people'
import { allow, found, seesGroup } from './access'
import type { Context } from './context'
import { groupOf, seenPeople } from './groups'
import { Problem } from './problem'
import { needProof } from './proof'
import { saveIfCurrent } from './save-current'
import { checkSignature } from './signatures'

export function listObservations({ repos }: Context, actor: Person): ObservationItem[] {
  allow(actor, 'isolation.observe')
  const seen = seenPeople(repos, actor)
  return repos.observations
    .recent()
    .filter(({ apprenticeId }) => seen(apprenticeId))
    .map((observation) => {
      const head = headOf(observation.fields)
      return {
        id: observation.id,
        apprentice: observation.apprentice,
        assessor: observation.assessor,
        bay: head.bay,
        circuit: head.circuit,
        state: observation.state,
        met: repos.observations.decision(observation.id)?.met ?? null,
        startedAt: observation.startedAt,
      }
    })
}

/** The observation, for staff who work with its apprentice's group; to anybody else it is not there. */
function observationSeen({ repos }: Context, actor: Person, id: number): StoredObservation {
  const observation = found(repos.observations.byId(id))
  if (!seesGroup(actor, groupOf(repos, observation.apprenticeId) ?? '')) throw new Problem('notFound')
  return observation
}

export function startObservation(
  { repos, now }: Context,
  actor: Person,
  { apprenticeId, fields }: StartObservationBody,
): { readonly id: number } {
  allow(actor, 'isolation.observe')
  const person = repos.people.byId(apprenticeId)
  if (person?.role !== 'apprentice' || !seesGroup(actor, person.cohort)) throw new Problem('notFound')
  checkFields(fields)
  return {
    id: repos.observations.insert(
      { apprenticeId, assessorId: actor.id, policy: repos.centre.isolation(), fields },
      now,
    ),
  }
}

export const showObservation = (context: Context, actor: Person, id: number): ObservationView => {
  allow(actor, 'isolation.observe')
  return viewOf(context, observationSeen(context, actor, id))
}

export function saveObservation(
  context: Context,
  actor: Person,
  id: number,
  { version, fields }: ObservationBody,
): { readonly version: number; readonly savedAt: string } {
  allow(actor, 'isolation.observe')
  checkFields(fields)
  const { observations } = context.repos
  return saveIfCurrent(context, {
    sent: version,
    read: () => observations.byId(id) && observationSeen(context, actor, id),
    check: refuseDecided,
    // Nothing that was tapped disappears: it is taken back with a trace.
    write: (stored) =>
      observations.save(id, version, { ...fields, ...tapsMissing(stored, fields) }, context.now),
    theirs: (stored) => viewOf(context, stored),
  })
}

const tapsMissing = (stored: StoredObservation, fields: ObservationFields): ObservationFields =>
  Object.fromEntries(
    Object.entries(stored.fields).filter(([name]) => name.startsWith('act.') && !(name in fields)),
  )

function refuseDecided({ state }: StoredObservation): void {
  if (state === 'decided') throw new Problem('observationDecided')
}

/** What the framework asks of an observed isolation, and whether these acts show it. */
const isolationCriteria = ({ repos }: Pick<Context, 'repos'>): Criterion[] => {
  const framework = repos.centre.framework()
  return framework
    ? criteriaOf(framework).filter(({ evidence }) => evidence.some((key) => key.startsWith('isolation.')))
    : []
}

export const siteOf = ({ fields, policy }: Pick<StoredObservation, 'fields' | 'policy'>): Site =>
  siteOfHead(fields, policy)

/** Decides, with both names; a critical breach outranks everything and books a repeat. */
export async function decideObservation(
  context: Context,
  actor: Person,
  id: number,
  body: ObservationDecisionBody,
): Promise<ObservationView> {
  allow(actor, 'isolation.observe')
  needProof(context)
  const { repos } = context
  const { apprenticeId } = observationSeen(context, actor, id)
  await checkSignature(context, apprenticeId, body.signedName, body.pin)
  // A STOP may have been tapped while the PIN was proved: everything is looked at only now.
  return repos.transaction(() => {
    const stored = found(repos.observations.byId(id))
    refuseDecided(stored)
    if (stored.version !== body.version)
      throw new Problem('stale', { extra: { theirs: viewOf(context, stored) } })
    const verdict = judgeIsolation(standingActs(stored.fields), siteOf(stored), true)
    refuseDecision(context, stored, verdict, body)
    writeDecision(context, actor, stored, verdict, body)
    return viewOf(context, found(repos.observations.byId(id)))
  })
}

/** What stands between this verdict and this decision. */
function refuseDecision(
  { repos }: Context,
  { apprenticeId }: StoredObservation,
  verdict: IsolationVerdict,
  { met, reason }: ObservationDecisionBody,
): void {
  if (met && verdict.critical.length > 0) throw new Problem('criticalStands')
  if (met !== verdict.met && reason.trim().length < 3)
    throw new Problem('otherwiseReason', {
      fields: [{ field: 'reason', message: 'why it is decided otherwise.' }],
    })
  if (repos.locks.openOf(apprenticeId).length > 0 && verdict.parts.restore !== 'not-shown')
    throw new Problem('locksOn')
}

function writeDecision(
  context: Context,
  actor: Person,
  { id, apprenticeId, fields }: StoredObservation,
  verdict: IsolationVerdict,
  { met, feedback, reason, signedName, repeatOn }: ObservationDecisionBody,
): void {
  const { repos, now } = context
  repos.observations.decide(id, apprenticeId, {
    by: actor.id,
    at: now,
    met,
    feedback: feedback.trim(),
    criteria: decidedCriteria(context, verdict, met),
    evidence: { verdict, reason: reason.trim(), apprenticeSigned: signedName.trim() },
  })
  if (met) repos.observations.settleRepeats(apprenticeId, id)
  else if (verdict.critical.length > 0)
    repos.observations.bookRepeat({
      personId: apprenticeId,
      observationId: id,
      reason: `Not kept: ${RULE_TEXT[verdict.critical[0]!.code]!.name.toLowerCase()}`,
      plannedFor: repeatOn ?? inAWeek(now),
      bay: Number(headOf(fields).bay) || 1,
      by: actor.id,
      at: now,
    })
  repos.audit.add(now, actor.id, 'isolationDecided', `observation ${id}`)
}

/** Criteria that this isolation showed something of. */
function decidedCriteria(
  context: Context,
  verdict: IsolationVerdict,
  isMet: boolean,
): { readonly code: string; readonly met: boolean }[] {
  return isolationCriteria(context).flatMap(({ code, evidence }) => {
    const parts = evidence.flatMap((key) =>
      key.startsWith('isolation.')
        ? [verdict.parts[key.slice('isolation.'.length) as keyof typeof verdict.parts]]
        : [],
    )
    if (parts.every((part) => part === 'not-shown')) return []
    const isShown = isMet
      ? parts.every((part) => part !== 'not-shown')
      : parts.every((part) => part === 'met')
    return [{ code, met: verdict.critical.length === 0 && isShown }]
  })
}

const WEEK_MS = 7 * 86_400_000
const inAWeek = (now: string): string => new Date(Date.parse(now) + WEEK_MS).toISOString().slice(0, 10)

function viewOf(context: Context, stored: StoredObservation): ObservationView {
  const { repos } = context
  return {
    id: stored.id,
    apprentice: stored.apprentice,
    apprenticeId: stored.apprenticeId,
    apprenticeNumber: repos.people.byId(stored.apprenticeId)!.number,
    assessor: stored.assessor,
    policy: stored.policy,
    fields: stored.fields,
    version: stored.version,
    savedAt: stored.savedAt,
    state: stored.state,
    criteria: isolationCriteria(context).map(({ code, text, evidence }) => ({
      code,
      text,
      parts: evidence
        .filter((key) => key.startsWith('isolation.'))
        .map((key) => key.slice('isolation.'.length)),
    })),
    locks: repos.locks.openOf(stored.apprenticeId),
    decision: repos.observations.decision(stored.id) ?? null,
  }
}

/** Every tapped act must be readable as one. */
function checkFields(fields: ObservationFields): void {
  const wrong = Object.entries(fields)
    .filter(([name, text]) => name.startsWith('act.') && !readAct(text))
    .map(([field]) => ({ field, message: 'is not an act of an isolation.' }))
  if (wrong.length > 0) throw new Problem('bodyNotRight', { fields: wrong })
  observedActs(fields)
}
