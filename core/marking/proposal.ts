import type { Criterion, EvidenceKey } from '../outcomes/framework'
import type { ReadingMark } from '../results/judge'
import type { Finding } from '../findings/finding'
import type { StepMark } from './mark-design'

/** An assessor's own judgement of one item, in place of the proposed one. */
export interface Override {
  readonly item: EvidenceKey
  readonly verdict: 'right' | 'wrong'
  /** Never empty: an override without a reason is not one. */
  readonly reason: string
}

export interface Marked {
  readonly design: readonly StepMark[]
  readonly readings: readonly ReadingMark[]
}

export interface CriterionProposal {
  readonly code: string
  readonly met: boolean
  /** Items that stand in the way. */
  readonly because: readonly EvidenceKey[]
}

export interface Proposal {
  readonly mark: number
  readonly outOf: number
  /** What outranks any number of marks, by item. */
  readonly critical: readonly { readonly item: EvidenceKey; readonly finding: Finding }[]
  readonly criteria: readonly CriterionProposal[]
  readonly met: boolean
}

interface Item {
  readonly key: EvidenceKey
  readonly mark: number
  readonly outOf: number
  readonly isRight: boolean
  readonly findings: readonly Finding[]
}

/** Adds up marks and criteria from proposed verdicts and overrides. An override removes what was critical about its item. */
export function propose(marked: Marked, criteria: readonly Criterion[], overrides: readonly Override[]): Proposal {
  const items = itemsOf(marked).map((item) => override(item, overrides))
  const byKey = new Map(items.map((item) => [item.key, item]))
  const critical = items.flatMap((item) =>
    item.findings.filter((finding) => finding.seriousness === 'critical').map((finding) => ({ item: item.key, finding })),
  )
  const judged = criteria.flatMap((criterion): CriterionProposal[] => {
    // A handed-in sheet has been permitted: the stages allow no other way.
    const shown = criterion.evidence.filter((key) => byKey.has(key) || key === 'process.permission')
    // What this bay cannot show is not judged: nothing is met by having nothing wrong.
    if (shown.length === 0) return []
    const because = shown.filter((key) => byKey.get(key)?.isRight === false)
    return [{ code: criterion.code, met: because.length === 0, because }]
  })
  return {
    mark: items.reduce((sum, item) => sum + item.mark, 0),
    outOf: items.reduce((sum, item) => sum + item.outOf, 0),
    critical,
    criteria: judged,
    met: critical.length === 0 && judged.every((criterion) => criterion.met),
  }
}

function itemsOf({ design, readings }: Marked): Item[] {
  return [
    ...design.map((mark): Item => ({
      key: `design.${mark.step}`,
      mark: mark.mark,
      outOf: mark.outOf,
      isRight: mark.verdict === 'right' || mark.verdict === 'carried',
      findings: mark.findings,
    })),
    ...readings.map((mark): Item => ({
      key: `reading.${mark.reading}`,
      mark: mark.mark,
      outOf: mark.outOf,
      isRight: mark.verdict === 'right',
      findings: mark.findings,
    })),
  ]
}

function override(item: Item, overrides: readonly Override[]): Item {
  const own = overrides.find((candidate) => candidate.item === item.key)
  if (!own) return item
  const isRight = own.verdict === 'right'
  return { ...item, isRight, mark: isRight ? item.outOf : 0, findings: isRight ? [] : item.findings }
}
