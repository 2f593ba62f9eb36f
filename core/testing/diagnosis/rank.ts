import type { Candidate } from './study'

/**
 * Causes of one kind that fit the same readings equally well are one candidate with several places: nothing
 * measured so far tells them apart.
 */
export function distinct(candidates: readonly Candidate[]): Candidate[] {
  const seen = new Map<string, Candidate>()
  for (const candidate of candidates) {
    const { hypothesis, fits } = candidate
    const codes = hypothesis.faults.map(({ code }) => code).join()
    const unfit = Object.keys(fits).filter((key) => !fits[key])
    const key = `${codes} ${JSON.stringify(hypothesis.slip)} ${unfit.join()} ${Math.round(candidate.cost)}`
    const known = seen.get(key)
    if (!known) seen.set(key, candidate)
    else if (hypothesis.faults.length === 1)
      seen.set(key, { ...known, elsewhere: [...known.elsewhere, ...hypothesis.faults] })
  }
  return [...seen.values()]
}

/** Shares of belief among these, by their costs. */
export function shared(candidates: readonly Candidate[]): Candidate[] {
  const least = Math.min(...candidates.map((candidate) => candidate.cost))
  const weights = candidates.map((candidate) => Math.exp(least - candidate.cost))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return candidates.map((candidate, i) => ({ ...candidate, share: weights[i]! / total }))
}

export const byCost = (a: Candidate, b: Candidate): number => a.cost - b.cost
