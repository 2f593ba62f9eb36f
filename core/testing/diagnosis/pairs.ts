import { applyFaults } from '../../bay/faults/catalogue'
import { cost } from '../expected/fit'
import type { Outcomes } from '../expected/predict'
import { isSameOutcome, type Outcome } from '../kinds/kind'
import type { Hypothesis } from './hypothesis'
import { distinct } from './rank'
import { score, type Candidate, type Study } from './study'

/** Singles that are paired, and what a second cause costs. */
const PAIRED = 14
const SECOND = 1.5
/** A pair this much worse than the best is not shown anyway. */
const HOPELESS = 4

/** A single cause with the readings that it changes. */
interface Single {
  readonly candidate: Candidate
  readonly changed: ReadonlySet<string>
}

/** Two causes together: where they change different readings as each alone, else computed. */
export function pairsOf(
  study: Study,
  singles: readonly Candidate[],
  onProgress: (share: number) => void,
): Candidate[] {
  const chosen = chooseSingles(study, singles)
  const candidates: Candidate[] = []
  let best = Math.min(...singles.map((single) => single.cost))
  chosen.forEach((a, i) => {
    onProgress(i / chosen.length)
    for (const b of chosen.slice(i + 1)) {
      const candidate = pairOf(study, a, b, best)
      if (!candidate) continue
      if (overlaps(a, b)) best = Math.min(best, candidate.cost)
      candidates.push(candidate)
    }
  })
  return candidates
}

/** Those that explain most readings, whatever they leave: a pair explains the rest. */
function chooseSingles({ sound }: Study, singles: readonly Candidate[]): Single[] {
  const gain = ({ fits, hypothesis }: Candidate) =>
    Object.values(fits).filter(Boolean).length - hypothesis.priorCost / 10
  return distinct(singles)
    .sort((a, b) => gain(b) - gain(a))
    .slice(0, PAIRED)
    .map((candidate) => ({ candidate, changed: changedBy(candidate, sound) }))
}

const changedBy = ({ outcomes }: Candidate, sound: Outcomes): ReadonlySet<string> =>
  new Set(
    [...outcomes].filter(([key, outcome]) => !isSameOutcome(outcome, sound.get(key))).map(([key]) => key),
  )
const overlaps = (a: Single, b: Single): boolean => [...a.changed].some((key) => b.changed.has(key))
const pick = ({ candidate, changed }: Single): [string, Outcome][] =>
  [...candidate.outcomes].filter(([key]) => changed.has(key))

function together(a: Hypothesis, b: Hypothesis): Hypothesis {
  return {
    faults: [...a.faults, ...b.faults],
    slip: a.slip ?? b.slip,
    at: [...a.at, ...b.at],
    priorCost: a.priorCost + b.priorCost + SECOND,
    isScalable: a.isScalable || b.isScalable,
  }
}

function pairOf(study: Study, a: Single, b: Single, best: number): Candidate | undefined {
  const [first, second] = [a.candidate.hypothesis, b.candidate.hypothesis]
  const hypothesis = together(first, second)
  if (!overlaps(a, b)) return score(study, hypothesis, new Map([...study.sound, ...pick(a), ...pick(b)]))
  if (first.slip !== null || second.slip !== null) return undefined
  const both = applyFaults(study.intended, hypothesis.faults)
  if (!both.ok) return undefined
  const felt = study.measured.filter(({ key }) => a.changed.has(key) || b.changed.has(key))
  const explained = study.reader.read(
    both.rig,
    felt.filter(({ key }) => study.odd.has(key)),
  )
  // What leaves the odd readings worse than the best so far need not be computed to the end.
  if (hypothesis.priorCost + leftBy(study, hypothesis, explained) > best + HOPELESS) return undefined
  const rest = study.reader.read(
    both.rig,
    felt.filter(({ key }) => !study.odd.has(key)),
  )
  return score(study, hypothesis, new Map([...study.sound, ...explained, ...rest]))
}

function leftBy({ observed, measured }: Study, { isScalable }: Hypothesis, explained: Outcomes): number {
  if (isScalable) return 0
  return measured.reduce((sum, { key, kind }) => {
    const expected = explained.get(key)
    return expected ? sum + cost(kind, observed.get(key)!, expected) : sum
  }, 0)
}
