import { onlyCircuits, predictAll } from '../expected/predict'
import type { FaultHypothesis } from './fault-hypotheses'
import type { Hypothesis } from './hypothesis'
import { byCost, distinct } from './rank'
import { fittingSize, withinSizes } from './sized'
import { bringsNearer, score, type Candidate, type Study } from './study'

/** Sizes this near each other read alike: a tenth, as a logarithm. */
const SAME_SIZE = 0.1
const ROUNDS = 2
/** So many causes are solved again at their own size; those behind were far from the first. */
const MOST_SOLVED = 80

export interface Settling {
  /** What each scalable hypothesis was made from. */
  readonly byHypothesis: ReadonlyMap<Hypothesis, FaultHypothesis>
  /** Circuits that the bay is cut down to where a cause names none. */
  readonly suspects: ReadonlySet<string>
  /** So many different causes are wanted. */
  readonly wanted: number
}

/**
 * Causes without a size of their own were ranked as if any size explained any reading, which flatters them. The
 * best of them are solved again, each at the one size that explains the sheet best, until those in front are
 * all judged by what they really read.
 */
export function settle(study: Study, ranked: readonly Candidate[], settling: Settling): Candidate[] {
  const waiting = [...ranked].sort(byCost)
  const settled: Candidate[] = []
  let solved = 0
  while (waiting.length > 0 && distinct(settled).length < settling.wanted && solved < MOST_SOLVED) {
    const candidate = waiting.shift()!
    const from = candidate.hypothesis.isScalable ? settling.byHypothesis.get(candidate.hypothesis) : undefined
    if (!from) {
      settled.push(candidate)
      continue
    }
    solved += 1
    const sized = atItsSize(study, { candidate, from, circuits: from.circuits ?? settling.suspects })
    if (!sized) continue
    const place = waiting.findIndex(({ cost }) => cost > sized.cost)
    waiting.splice(place === -1 ? waiting.length : place, 0, sized)
  }
  return [...settled, ...waiting]
}

interface Unsized {
  readonly candidate: Candidate
  readonly from: FaultHypothesis
  readonly circuits: ReadonlySet<string>
}

/** This cause at the size that explains the sheet best; undefined where none explains an odd reading. */
function atItsSize(study: Study, { candidate: one, from, circuits }: Unsized): Candidate | undefined {
  const felt = study.measured.filter(({ key }) => isMoved(study, one, key))
  const settled = { ...one.hypothesis, isScalable: false }
  let best: Candidate | undefined
  let outcomes = one.outcomes
  let size = 1
  for (let round = 0; round <= ROUNDS; round += 1) {
    const faults = settled.faults.map((fault) => ({ ...fault, size }))
    const scored = score(study, { ...settled, faults }, outcomes)
    if (bringsNearer(study, outcomes) && scored.cost < (best?.cost ?? Infinity)) best = scored
    const times = fittingSize(study, outcomes)
    if (times === undefined) break
    const next = withinSizes(size * times)
    if (Math.abs(Math.log(next / size)) < SAME_SIZE) break
    size = next
    const bay = onlyCircuits(from.kind.apply(study.intended, from.place, size), circuits)
    outcomes = new Map([...study.sound, ...predictAll(bay, felt)])
  }
  return best
}

const isMoved = ({ sound }: Study, { outcomes }: Candidate, key: string): boolean =>
  JSON.stringify(outcomes.get(key)) !== JSON.stringify(sound.get(key))
