import { kindOfKey, type EvidenceKind } from '#core/assessment/outcomes/kinds'
import { criteriaOf } from '#core/assessment/outcomes/framework'
import { agreement, type Pair } from '#core/statistics/agreement'
import type { AgreementRow, DifferenceView, VerificationView } from '#schemas/evidence-views'
import type { DecidedCriterion, SampledDecision, SecondMarking } from '../repos/second-markings'
import type { Context } from './context'
import { frameworkInForce } from './evidence'

/** A decision with what it says of its criteria, and what a second assessor said. */
export interface Judged {
  readonly decision: SampledDecision
  readonly said: readonly DecidedCriterion[]
  readonly second: SecondMarking
}

/** Criteria that both judged, with what each said. */
const pairsOf = ({ said, second }: Judged) =>
  said.flatMap(({ code, met }) => {
    const other = second.verdicts.find((verdict) => verdict.code === code)
    return other ? [{ code, first: met, second: other.met, reason: other.reason }] : []
  })
export const differs = (judged: Judged): boolean => pairsOf(judged).some((pair) => pair.first !== pair.second)

export function differenceOf(context: Context, judged: Judged): DifferenceView {
  const { decision, second } = judged
  const texts = new Map(criteriaOf(frameworkInForce(context)).map(({ code, text }) => [code, text]))
  return {
    secondId: second.id,
    decisionId: decision.id,
    attemptId: decision.attemptId,
    person: decision.person,
    exerciseTitle: decision.exerciseTitle,
    first: { by: decision.by, at: decision.at },
    second: { by: second.by, at: second.at },
    criteria: pairsOf(judged).map((pair) => ({ ...pair, text: texts.get(pair.code) ?? '' })),
    settled: second.settled,
  }
}

/** Work that two or more have judged beside the first: everybody’s verdicts in one table. */
export function standardisationOf(
  context: Context,
  judged: readonly Judged[],
): VerificationView['standardisation'] {
  const texts = new Map(criteriaOf(frameworkInForce(context)).map(({ code, text }) => [code, text]))
  const byDecision = new Map<number, Judged[]>()
  for (const one of judged) byDecision.set(one.decision.id, [...(byDecision.get(one.decision.id) ?? []), one])
  return [...byDecision.values()]
    .filter((all) => all.length > 1)
    .map((all) => {
      const { decision, said } = all[0]!
      return {
        decisionId: decision.id,
        exerciseTitle: decision.exerciseTitle,
        judges: [decision.by, ...all.map(({ second }) => second.by)],
        criteria: said.map(({ code, met }) => ({
          code,
          text: texts.get(code) ?? '',
          met: [
            met,
            ...all.map(({ second }) => second.verdicts.find((verdict) => verdict.code === code)?.met ?? null),
          ],
        })),
      }
    })
}

/** A whole sheet on a scale of five: how many of its criteria were met, in quarters. */
const SHEET_LEVELS = 5
const sheetLevel = (met: number, of: number): number =>
  Math.round(((SHEET_LEVELS - 1) * met) / Math.max(of, 1))

export function agreements(context: Context, judged: readonly Judged[]): VerificationView['agreement'] {
  const kindOf = new Map<string, EvidenceKind>(
    criteriaOf(frameworkInForce(context)).map(({ code, evidence }) => [code, kindOfKey(evidence[0]!)]),
  )
  const pairs = judged.flatMap((one) =>
    pairsOf(one).map(({ code, first, second }) => ({
      pair: [Number(first), Number(second)] as Pair,
      assessor: one.decision.by,
      criterion: code,
      kind: kindOf.get(code) ?? 'written',
    })),
  )
  const rows = (key: 'assessor' | 'criterion' | 'kind'): AgreementRow[] =>
    [...new Set(pairs.map((pair) => pair[key]))].sort().map((of) => ({
      of,
      agreement: agreement(
        pairs.filter((pair) => pair[key] === of).map(({ pair }) => pair),
        2,
      ),
    }))
  const sheets = judged.map((one): Pair => {
    const both = pairsOf(one)
    return [
      sheetLevel(both.filter(({ first }) => first).length, both.length),
      sheetLevel(both.filter(({ second }) => second).length, both.length),
    ]
  })
  return {
    all: agreement(
      pairs.map(({ pair }) => pair),
      2,
    ),
    sheets: agreement(sheets, SHEET_LEVELS),
    byAssessor: rows('assessor'),
    byCriterion: rows('criterion'),
    byKind: rows('kind'),
  }
}
