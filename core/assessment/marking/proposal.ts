import { evidenceOf, type ItemKey } from '../outcomes/evidence-key'
import type { Criterion } from '../outcomes/framework'
import type { ReadingMark } from '../../testing/judge/judge'
import type { Finding } from '../../findings/finding'
import type { WorkMark } from '../../inspection/work-mark'
import type { StepMark } from './mark-step'

/** An assessor's own judgement of one item, in place of the proposed one. */
export interface Override {
  readonly item: ItemKey
  readonly verdict: 'right' | 'wrong'
  /** Never empty: an override without a reason is not one. */
  readonly reason: string
}

export interface Marked {
  readonly design: readonly StepMark[]
  readonly readings: readonly ReadingMark[]
  /** Of an inspection that an assessor has gone over, by group; empty without one. */
  readonly work: readonly WorkMark[]
}

export interface CriterionProposal {
  readonly code: string
  readonly met: boolean
  /** Items that stand in the way. */
  readonly because: readonly ItemKey[]
}

export interface Proposal {
  readonly mark: number
  readonly outOf: number
  /** What outranks any number of marks, by item. */
  readonly critical: readonly { readonly item: ItemKey; readonly finding: Finding }[]
  readonly criteria: readonly CriterionProposal[]
  readonly met: boolean
}

interface Item {
  readonly key: ItemKey
  readonly mark: number
  readonly outOf: number
  readonly isRight: boolean
  readonly findings: readonly Finding[]
}

/**
 * Adds up marks and criteria from proposed verdicts and overrides. An override removes what was critical
 * about its item.
 */
export function propose(
  marked: Marked,
  criteria: readonly Criterion[],
  overrides: readonly Override[],
): Proposal {
  const items = itemsOf(marked).map((item) => override(item, overrides))
  const critical = items.flatMap((item) =>
    item.findings
      .filter((finding) => finding.seriousness === 'critical')
      .map((finding) => ({ item: item.key, finding })),
  )
  const judged = criteria.flatMap((criterion): CriterionProposal[] => {
    const shown = items.filter((item) => criterion.evidence.includes(evidenceOf(item.key)))
    // A sheet with readings has been permitted: the stages allow no other way.
    const isPermitted = marked.readings.length > 0 && criterion.evidence.includes('process.permission')
    // What this exercise cannot show is not judged: nothing is met by having nothing wrong.
    if (shown.length === 0 && !isPermitted) return []
    const because = shown.filter((item) => !item.isRight).map((item) => item.key)
    return [{ code: criterion.code, met: because.length === 0, because }]
  })
  return {
    // Half marks for following through are kept until the end.
    mark: Math.round(items.reduce((sum, item) => sum + item.mark, 0)),
    outOf: items.reduce((sum, item) => sum + item.outOf, 0),
    critical,
    criteria: judged,
    met: critical.length === 0 && judged.every((criterion) => criterion.met),
  }
}

function itemsOf({ design, readings, work }: Marked): Item[] {
  return [
    ...design.map((mark): Item => ({ ...resultOf(mark), key: `design.${mark.node}` })),
    ...readings.map((mark): Item => ({ ...resultOf(mark), key: `reading.${mark.reading}` })),
    ...work.map((mark): Item => ({ ...resultOf(mark), key: `work.${mark.group}` })),
  ]
}

const resultOf = ({
  mark,
  outOf,
  verdict,
  findings,
}: Omit<Item, 'key' | 'isRight'> & { readonly verdict: string }): Omit<Item, 'key'> => ({
  mark,
  outOf,
  findings,
  isRight: verdict === 'right' || verdict === 'carried',
})

function override(item: Item, overrides: readonly Override[]): Item {
  const ownOverride = overrides.find((candidate) => candidate.item === item.key)
  if (!ownOverride) return item
  const isRight = ownOverride.verdict === 'right'
  return { ...item, isRight, mark: isRight ? item.outOf : 0, findings: isRight ? [] : item.findings }
}
