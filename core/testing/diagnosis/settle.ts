import { MOST_COST } from '../expected/fit'
import { isSameOutcome } from '../kinds/kind'
import type { FaultHypothesis } from './fault-hypotheses'
import type { Hypothesis } from './hypothesis'
import { readOn, type OpenCause } from './open-cause'
import { distinct } from './rank'
import { fittingSize, type AtSize } from './sized'
import { bringsNearer, score, type Candidate, type Study } from './study'

/** Sizes this near each other read alike, as a logarithm. */
const SAME_SIZE = 0.03
const ROUNDS = 3
/** So many causes are solved again at their own size; those behind were far from the first. */
const MOST_SOLVED = 80
/** Causes that cost as much to the next whole figure are told as one at several places. */
const SAME_COST = 1

export interface Settling {
  /** What each scalable hypothesis was made from. */
  readonly byHypothesis: ReadonlyMap<Hypothesis, FaultHypothesis>
  /** So many different causes are wanted. */
  readonly wanted: number
}

export interface Settled {
  /** Read to the end; those in front at their own size. */
  readonly candidates: readonly Candidate[]
  /** Not read to the end: they cost more than what is wanted. */
  readonly open: readonly OpenCause[]
}

/** `rank` keeps equals in the order of the catalogue. */
type Waiting = { readonly cost: number; readonly rank: number } & (
  { readonly open: OpenCause } | { readonly candidate: Candidate }
)

/** Those that wait, the cheapest at the end. */
function queueOf(open: readonly OpenCause[], ranked: readonly Candidate[]) {
  const waiting: Waiting[] = [
    ...open.map((cause, rank) => ({ cost: cause.bound, rank, open: cause })),
    ...ranked.map((candidate, i) => ({ cost: candidate.cost, rank: open.length + i, candidate })),
  ].sort((a, b) => b.cost - a.cost || b.rank - a.rank)
  const put = (one: Waiting): void => {
    let [low, high] = [0, waiting.length]
    while (low < high) {
      const middle = (low + high) >> 1
      const other = waiting[middle]!
      if (other.cost > one.cost || (other.cost === one.cost && other.rank > one.rank)) low = middle + 1
      else high = middle
    }
    waiting.splice(low, 0, one)
  }
  return { waiting, put }
}

/**
 * Always the cheapest is read on, by what it costs at the least, until so many different ones are known that none of
 * the others can come before them, or the rest leaves a whole reading more unexplained than the best. Causes without a
 * size of their own look as if any size explained any reading; once they are in front they are solved again, each at
 * the one size that explains the sheet best.
 */
export function settle(
  study: Study,
  open: readonly OpenCause[],
  ranked: readonly Candidate[],
  { byHypothesis, wanted }: Settling,
): Settled {
  const { waiting, put } = queueOf(open, ranked)
  const settled: Candidate[] = []
  let [different, solved] = [0, 0]
  while (waiting.length > 0 && solved < MOST_SOLVED) {
    const least = waiting.at(-1)!.cost
    if (different >= wanted && least > settled.at(-1)!.cost + SAME_COST) break
    if (different > 0 && least > settled[0]!.cost + MOST_COST) break
    const next = waiting.pop()!
    if ('open' in next) {
      const read = readOn(study, next.open)
      if (read === null) continue
      const { rank } = next
      put(
        'felt' in read ? { cost: read.bound, rank, open: read } : { cost: read.cost, rank, candidate: read },
      )
      continue
    }
    const { candidate } = next
    const from = candidate.hypothesis.isScalable ? byHypothesis.get(candidate.hypothesis) : undefined
    if (!from) {
      settled.push(candidate)
      different = distinct(settled).length
      continue
    }
    solved += 1
    const sized = atItsSize(study, { candidate, from })
    if (sized) put({ cost: sized.cost, rank: next.rank, candidate: sized })
  }
  return {
    candidates: [...settled, ...waiting.flatMap((one) => ('open' in one ? [] : one.candidate))],
    open: waiting.flatMap((one) => ('open' in one ? one.open : [])),
  }
}

interface Unsized {
  readonly candidate: Candidate
  readonly from: FaultHypothesis
}

/** This cause at the size that explains the sheet best; undefined where none explains an odd reading. */
function atItsSize(study: Study, { candidate: one, from }: Unsized): Candidate | undefined {
  const felt = study.measured.filter(({ key }) => isMoved(study, one, key))
  const settled = { ...one.hypothesis, isScalable: false }
  let best: Candidate | undefined
  const solved: AtSize[] = [{ size: 1, outcomes: one.outcomes }]
  for (let round = 0; round <= ROUNDS; round += 1) {
    const { size, outcomes } = solved.at(-1)!
    const faults = settled.faults.map((fault) => ({ ...fault, size }))
    const scored = score(study, { ...settled, faults }, outcomes)
    if (bringsNearer(study, outcomes) && scored.cost < (best?.cost ?? Infinity)) best = scored
    const next = fittingSize(study, solved, felt)
    if (next === undefined || Math.abs(Math.log(next / size)) < SAME_SIZE) break
    const bay = from.kind.apply(study.intended, from.place, next)
    solved.push({ size: next, outcomes: new Map([...study.sound, ...study.reader.read(bay, felt)]) })
  }
  return best
}

const isMoved = ({ sound }: Study, { outcomes }: Candidate, key: string): boolean =>
  !isSameOutcome(outcomes.get(key), sound.get(key))
