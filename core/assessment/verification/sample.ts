export const SAMPLE_REASONS = [
  'critical',
  'borderline',
  'overridden',
  'newAssessor',
  'newExercise',
  'random',
] as const
/** Why a decision should be looked at by a second person. */
export type SampleReason = (typeof SAMPLE_REASONS)[number]

/** A decision as far as its risk is concerned. */
export interface RiskyDecision {
  readonly id: number
  readonly byId: number
  readonly exerciseId: number
  /** ISO 8601 UTC. */
  readonly at: string
  readonly met: boolean
  readonly overrides: number
  readonly critical: number
  /** How many criteria it decides, and of how many it says not yet. */
  readonly criteria: number
  readonly unmet: number
}

/** The first decisions of somebody, and of a new exercise, that are all looked at. */
const FIRST_OF_ASSESSOR = 5
const FIRST_OF_EXERCISE = 3

/** A figure from 0 to 99 that a decision keeps: what is sampled once stays sampled. */
export function drawOf(id: number): number {
  let x = (id + 0x9e3779b9) | 0
  x = Math.imul(x ^ (x >>> 16), 0x85ebca6b)
  x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35)
  return ((x ^ (x >>> 16)) >>> 0) % 100
}

/** One criterion stands between met and not yet. */
const isBorderline = ({ criteria, unmet }: RiskyDecision): boolean => criteria > 1 && unmet === 1

/**
 * Decisions that a second assessor should look at, the riskiest first: a critical breach, one criterion that decides, a
 * proposal that was overridden, a new assessor or exercise, and a share of all by chance.
 */
export function sampleOf<D extends RiskyDecision>(
  decisions: readonly D[],
  randomPercent: number,
): { readonly decision: D; readonly reasons: readonly SampleReason[] }[] {
  const [byAssessor, ofExercise] = [new Map<number, number>(), new Map<number, number>()]
  const count = (counts: Map<number, number>, key: number): number => {
    const n = (counts.get(key) ?? 0) + 1
    counts.set(key, n)
    return n
  }
  const sampled: { readonly decision: D; readonly reasons: readonly SampleReason[] }[] = []
  for (const decision of [...decisions].sort((a, b) => (a.at < b.at ? -1 : 1))) {
    // In the order of SAMPLE_REASONS: the first tells the rank.
    const reasons: SampleReason[] = []
    if (decision.critical > 0) reasons.push('critical')
    if (isBorderline(decision)) reasons.push('borderline')
    if (decision.overrides > 0) reasons.push('overridden')
    if (count(byAssessor, decision.byId) <= FIRST_OF_ASSESSOR) reasons.push('newAssessor')
    if (count(ofExercise, decision.exerciseId) <= FIRST_OF_EXERCISE) reasons.push('newExercise')
    if (drawOf(decision.id) < randomPercent) reasons.push('random')
    if (reasons.length > 0) sampled.push({ decision, reasons })
  }
  const rank = (reasons: readonly SampleReason[]) => SAMPLE_REASONS.indexOf(reasons[0]!)
  return sampled.sort((a, b) => rank(a.reasons) - rank(b.reasons) || (a.decision.at < b.decision.at ? 1 : -1))
}
