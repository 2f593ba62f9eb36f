import { propose, type Marked } from '#core/assessment/marking/proposal'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import { criteriaOf, type Criterion } from '#core/assessment/outcomes/framework'
import { presentItem } from '#core/assessment/upgrade'
import type { DecisionEvidence, MarkingDraft } from '#schemas/marking-views'
import type { PileRow } from '../repos/attempt-lists'
import type { Attempt } from '../repos/attempts'
import type { KeptFor, MarkSummary } from '../repos/kept-marks'
import { assignmentFor } from './assignment'
import type { Context } from './context'
import { besideAll, markedOf, type Beside } from './marked'
import { Problem } from './problem'

type Repos = Pick<Context, 'repos'>

/**
 * A draft with its overrides by the keys of the marks that they stand beside: those of an earlier decision,
 * or the present ones.
 */
export function draftOf(context: Repos, attempt: Attempt, { readings }: Marked): MarkingDraft {
  const draft = context.repos.decisions.draft(attempt.id)
  const keys = new Set(readings.map(({ reading }) => `reading.${reading}`))
  const { tests } = assignmentFor(context, attempt)
  const present = (item: ItemKey) => (keys.has(item) ? item : presentItem(item, attempt.installation, tests))
  return {
    ...draft,
    overrides: draft.overrides.map((override) => ({ ...override, item: present(override.item) })),
  }
}

export function criteriaFor(repos: Context['repos'], codes: readonly string[]): Criterion[] {
  const framework = repos.centre.framework()
  if (!framework) throw new Problem('frameworkMissing')
  return criteriaOf(framework).filter((criterion) => codes.includes(criterion.code))
}

/** What a summary of this sheet belongs to: its decision, or sheet, inspection, draft and framework. */
const keptFor = (
  {
    version,
    stage,
    inspection,
    draft,
    decisionId,
  }: Pick<PileRow, 'version' | 'stage' | 'inspection' | 'draft' | 'decisionId'>,
  frameworkId: number,
): KeptFor =>
  decisionId === null || stage === 'handedIn'
    ? { version: `${version} ${inspection} ${draft} ${frameworkId}` }
    : { decisionId }

const summaryOf = ({
  proposal,
  overrides,
  shown,
}: Pick<DecisionEvidence, 'proposal' | 'overrides' | 'shown'>): MarkSummary => ({
  mark: proposal.mark,
  outOf: proposal.outOf,
  critical: proposal.critical.length,
  overrides: overrides.length,
  met: proposal.met,
  criteria: proposal.criteria.length,
  unmet: proposal.criteria.filter(({ met }) => !met).length,
  shown: shown ?? null,
})

/** What an undecided sheet comes to with the overrides of its draft. */
function proposedFor(context: Repos, attempt: Attempt, beside?: Beside): MarkSummary {
  const { repos } = context
  const marked = markedOf(context, attempt, beside)
  const { overrides } = draftOf(context, attempt, marked)
  const { criteria } = repos.exercises.byId(attempt.exerciseId)!.exercise
  return summaryOf({ overrides, proposal: propose(marked, criteriaFor(repos, criteria), overrides) })
}

/** Works out what a sheet comes to and keeps it, when it is handed in, inspected, marked or decided. */
export function keepMarks(context: Repos, attemptId: number): void {
  const { repos } = context
  const attempt = repos.attempts.byId(attemptId)!
  if (attempt.stage !== 'handedIn' && attempt.stage !== 'decided') return
  const decision = attempt.stage === 'decided' ? repos.decisions.latest(attemptId) : undefined
  const of = {
    version: attempt.version,
    stage: attempt.stage,
    inspection: repos.inspections.byAttempt(attemptId)?.version ?? 0,
    draft: repos.decisions.draft(attemptId).version,
    decisionId: decision?.id ?? null,
  }
  const summary = decision ? summaryOf(decision.evidence) : proposedFor(context, attempt)
  repos.keptMarks.put(attemptId, keptFor(of, repos.centre.frameworkId()), summary)
}

type PileSummary = Pick<MarkSummary, 'mark' | 'outOf' | 'critical' | 'met'>
/** What each sheet of a pile comes to: as it is kept, and worked out where nothing of its version is. */
export function summariesOf(context: Repos, pile: readonly PileRow[]): ReadonlyMap<number, PileSummary> {
  const { repos } = context
  const summaries = new Map<number, PileSummary>()
  const missing: PileRow[] = []
  const frameworkId = repos.centre.frameworkId()
  for (const row of pile)
    if (row.kept && isOf(row.kept, keptFor(row, frameworkId))) summaries.set(row.id, row.kept)
    else missing.push(row)
  const ids = missing.map(({ id }) => id)
  const decisions = repos.decisions.latestOf(
    missing.filter(({ stage }) => stage !== 'handedIn').map(({ id }) => id),
  )
  const undecided = repos.attempts.byIds(ids.filter((id) => !decisions.has(id)))
  for (const [id, { evidence }] of decisions) summaries.set(id, summaryOf(evidence))
  for (const group of groupsOf(undecided)) {
    const beside = besideAll(context, group)
    for (const attempt of group) summaries.set(attempt.id, proposedFor(context, attempt, beside))
  }
  return summaries
}

const isOf = (kept: NonNullable<PileRow['kept']>, of: KeptFor): boolean =>
  'decisionId' in of
    ? kept.decisionId === of.decisionId
    : kept.decisionId === null && kept.version === of.version

/** Sheets that are marked beside each other: one exercise, one group. */
export function groupsOf(attempts: readonly Attempt[]): readonly (readonly Attempt[])[] {
  const groups = new Map<string, Attempt[]>()
  for (const attempt of attempts) {
    const key = `${attempt.exerciseId} ${attempt.cohort}`
    const group = groups.get(key)
    if (group) group.push(attempt)
    else groups.set(key, [attempt])
  }
  return [...groups.values()]
}
