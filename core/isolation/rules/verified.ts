import type { Act } from '../model/act'
import { isAcceptedProof, type Pass, type Site } from '../model/rule'

/** Indicators that can prove a point dead. */
export const CAN_PROVE = new Set<Act['indicator']>(['two-pole', 'plug-in', undefined])

/**
 * The last test that decides: at the point of work, with an indicator that can prove anything; -1 where there
 * is none.
 */
export const decidingTest = (acts: readonly Act[], before = acts.length): number =>
  acts.findLastIndex(
    ({ kind, atPoint, indicator }, i) =>
      i < before && kind === 'testDead' && atPoint !== false && CAN_PROVE.has(indicator),
  )

/** Two acts were made with one indicator, as far as anybody put it down. */
export const isSameIndicator = (a: Act, b: Act): boolean =>
  a.indicator === undefined || b.indicator === undefined || a.indicator === b.indicator

/** The accepted proofs that showed something, before and after a test. */
export function proofsAround(acts: readonly Act[], test: number, site: Site, before: number) {
  const isProof = ({ kind, proof }: Act) => kind === 'prove' && isAcceptedProof(proof, site)
  return {
    first: acts.findLastIndex((act, i) => i < test && act.shows === true && isProof(act)),
    after: acts.findIndex((act, i) => i > test && i < before && isProof(act)),
  }
}

/**
 * Live, dead, live with one indicator before this place, and no other one taken between: where its second proof is, or
 * -1. Any such sequence will do, whatever was forgotten before it.
 */
export function verifiedAt({ acts }: Pick<Pass, 'acts'>, site: Site, before = acts.length): number {
  for (let test = decidingTest(acts, before); test !== -1; test = decidingTest(acts, test)) {
    const { first, after } = proofsAround(acts, test, site, before)
    if (first === -1 || after === -1 || acts[test]!.shows || !acts[after]!.shows) continue
    const isOne =
      acts[first]!.indicator === acts[after]!.indicator && isSameIndicator(acts[first]!, acts[test]!)
    if (isOne && !acts.slice(first, after).some(({ kind }) => kind === 'take')) return after
  }
  return -1
}
