import { applyFaults } from '../../bay/faults/catalogue'
import type { Rig } from '../../bay/model/rig'
import { indexParts, partIdOf } from '../../bay/model/terminals'
import { FITS, cost } from '../expected/fit'
import type { BayTest } from '../kinds/kind'
import { isDead } from '../kinds/kinds'
import type { Candidate, Study } from './study'

/** So many causes are weighed against each other, and so many places of one. */
const WEIGHED = 4
const MOST_PLACES = 8

/** The measurement that separates the best candidates most. */
export interface NextTest {
  readonly test: BayTest
  readonly separates: number
}

interface Cause {
  readonly rig: Rig
  readonly share: number
}

/**
 * Of the tests not made yet, the one whose outcome differs most among the candidates; a live one only where
 * no dead one tells them apart.
 */
export function nextTest(
  study: Study,
  candidates: readonly Candidate[],
  open: readonly BayTest[],
  suspects: ReadonlySet<string>,
): NextTest | null {
  const parts = indexParts(study.intended)
  const weighed = candidates.slice(0, WEIGHED)
  // Where the causes are, and where something was odd; the other circuits would tell nothing and cost time.
  const places = weighed.flatMap(({ hypothesis }) => hypothesis.at)
  const circuits = new Set([...suspects, ...places.flatMap((at) => parts.get(partIdOf(at))?.circuit ?? [])])
  const bayTests = open.filter(({ circuit }) => circuit === null || circuits.has(circuit))
  const causes = weighed.flatMap((candidate) => placesOf(study.intended, candidate))
  const [dead, live] = [bayTests.filter(({ key }) => isDead(key)), bayTests.filter(({ key }) => !isDead(key))]
  return mostTelling(study, causes, dead) ?? mostTelling(study, causes, live)
}

/** A cause at several places is several: telling them apart is what is wanted next. */
function placesOf(intended: Rig, { hypothesis, share, elsewhere }: Candidate): Cause[] {
  const places = [hypothesis.faults, ...elsewhere.slice(0, MOST_PLACES - 1).map((fault) => [fault])]
  return places.flatMap((faults) => {
    const faulted = applyFaults(intended, faults)
    return faulted.ok ? [{ rig: faulted.rig, share: share / places.length }] : []
  })
}

function mostTelling({ reader }: Study, places: readonly Cause[], open: readonly BayTest[]): NextTest | null {
  const causes = places.map(({ rig, share }) => ({ outcomes: reader.read(rig, open), share }))
  let best: NextTest | null = null
  for (const test of open) {
    let separates = 0
    causes.forEach((a, i) =>
      causes.slice(i + 1).forEach((b) => {
        const [one, other] = [a.outcomes.get(test.key), b.outcomes.get(test.key)]
        if (one && other && cost(test.kind, one, other) > FITS) separates += a.share * b.share
      }),
    )
    if (separates > (best?.separates ?? 0)) best = { test, separates }
  }
  return best
}
