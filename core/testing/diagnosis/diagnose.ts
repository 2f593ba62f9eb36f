import { applyFaults } from '../../bay/faults/catalogue'
import type { Fault } from '../../bay/faults/fault'
import type { Rig } from '../../bay/model/rig'
import { isDead } from '../readings'
import { indexParts, partIdOf } from '../../bay/model/terminals'
import { testsOf, type BayTest } from './bay-test'
import { cost, isSameDirection } from './fit'
import { SOUND, faultHypotheses, slipHypotheses, type Hypothesis } from './hypothesis'
import { onlyCircuits, predictAll, type Outcome, type Outcomes } from './predict'

export interface Candidate {
  readonly hypothesis: Hypothesis
  /** What it costs: its rarity and what it leaves unexplained; the least is the best. */
  readonly cost: number
  /** Share among the candidates shown, 0 to 1. No certainty: only as good as the catalogue. */
  readonly share: number
  /** Of each reading, whether it fits this cause. */
  readonly fits: Readonly<Record<string, boolean>>
  readonly outcomes: Outcomes
  /** The same kind of fault at other places, which these readings do not tell from this one. */
  readonly elsewhere: readonly Fault[]
}

export interface Diagnosis {
  readonly candidates: readonly Candidate[]
  /** Readings that a sound bay does not explain. */
  readonly odd: readonly string[]
  /** The measurement that separates the best candidates most. */
  readonly next: { readonly test: BayTest; readonly separates: number } | null
}

export interface DiagnoseOptions {
  /** Two causes at once are tried when no single one explains the sheet. */
  readonly pairs: boolean
  /** 0 to 1. */
  readonly onProgress?: (share: number) => void
}

/** A reading that costs more than this does not fit. */
export const FITS = 1.5
/** What is left unexplained by the best single cause before pairs are tried. */
const UNEXPLAINED = 6
const SHOWN = 6
/** A cause explains a reading when it leaves at least this much less unexplained. */
const LEAST_GAIN = 0.5
/** Singles that are paired, and what a second cause costs. */
const PAIRED = 14
const SECOND = 1.5
/** A pair this much worse than the best is not shown anyway. */
const HOPELESS = 4
/** So many causes are weighed against each other, and so many places of one. */
const WEIGHED = 4
const MOST_PLACES = 8
/** A reading in the right direction but of another size, of a cause without a fixed size. */
const OTHER_SIZE = 0.6

/** Ranks causes of a sheet of readings: every fault that the catalogue knows, slips at the bench and on paper, by how well the bay as it would then be reads. */
export function diagnose(
  intended: Rig,
  observed: Outcomes,
  { pairs, onProgress }: DiagnoseOptions = { pairs: true },
): Diagnosis {
  const tests = testsOf(intended)
  const measured = tests.filter(({ key }) => observed.has(key))
  const sound = predictAll(intended, measured)
  const odd = new Set(
    measured
      .filter(({ key, kind }) => sound.has(key) && cost(kind, observed.get(key)!, sound.get(key)!) > FITS)
      .map(({ key }) => key),
  )
  const score = (hypothesis: Hypothesis, outcomes: Outcomes): Candidate => {
    let sum = hypothesis.priorCost
    const fits: Record<string, boolean> = {}
    for (const { key, kind } of measured) {
      const [seen, told, base] = [observed.get(key)!, outcomes.get(key) ?? sound.get(key), sound.get(key)]
      if (!told || !base) continue
      const plain = cost(kind, seen, told)
      const own =
        hypothesis.isScalable && plain > OTHER_SIZE && isSameDirection(seen, told, base) ? OTHER_SIZE : plain
      fits[key] = own <= FITS
      sum += own
    }
    return { hypothesis, cost: sum, share: 0, fits, outcomes, elsewhere: [] }
  }
  const none = score(SOUND, sound)
  if (odd.size === 0) return { candidates: shared([none]), odd: [], next: null }

  const suspects = new Set(measured.flatMap(({ key, circuit }) => (circuit && odd.has(key) ? [circuit] : [])))
  const everywhere = suspects.size === 0 || odd.has('ze')
  const all = new Set(tests.flatMap(({ circuit }) => circuit ?? []))
  const faults = faultHypotheses(intended, everywhere ? all : suspects)
  const candidates: Candidate[] = [none]
  const oddTests = measured.filter(({ key }) => odd.has(key))
  // A few ohms in series are nothing beside megohms, and no reason for a cross.
  const canShowResistance = oddTests.some(
    ({ kind }) => !kind.startsWith('ir') && kind !== 'polarity' && kind !== 'rcd',
  )
  const explainsAny = (outcomes: Outcomes): boolean =>
    oddTests.some(({ key, kind }) => {
      const [told, seen, base] = [outcomes.get(key), observed.get(key)!, sound.get(key)!]
      return (
        told !== undefined &&
        (cost(kind, seen, told) < cost(kind, seen, base) - LEAST_GAIN || isSameDirection(seen, told, base))
      )
    })
  faults.forEach(({ hypothesis, kind, made, circuits }, i) => {
    if (i % 20 === 0) onProgress?.((0.7 * i) / faults.length)
    const touched = circuits ?? (everywhere ? all : suspects)
    const isFelt = (test: BayTest) =>
      (test.circuit === null ? circuits === null : touched.has(test.circuit)) &&
      (test.kind !== 'rcd' || kind.group === 'thing' || kind.group === 'place')
    const own = onlyCircuits(made, touched)
    // First the readings to be explained: what explains none of them is no cause, and the rest need not be computed.
    if (kind.group === 'resistance' && !canShowResistance) return
    const felt = measured.filter(isFelt)
    const explained = predictAll(
      own,
      felt.filter(({ key }) => odd.has(key)),
    )
    if (!explainsAny(explained)) return
    const outcomes = new Map([
      ...sound,
      ...explained,
      ...predictAll(
        own,
        felt.filter(({ key }) => !odd.has(key)),
      ),
    ])
    candidates.push(score(hypothesis, outcomes))
  })
  const ofCircuit = (circuit: string) => measured.filter((test) => test.circuit === circuit)
  const slips = slipHypotheses(
    measured,
    observed,
    sound,
    odd,
    (circuit) =>
      predictAll(
        intended,
        ofCircuit(circuit).filter(({ kind }) => kind.startsWith('ir')),
        { lampsIn: true },
      ),
    (circuit) =>
      predictAll(
        intended,
        ofCircuit(circuit).filter(({ kind }) => kind === 'r1r2'),
        { switchesOn: false },
      ),
  )
  slips.forEach(({ hypothesis, outcomes }) => candidates.push(score(hypothesis, outcomes)))
  candidates.sort((a, b) => a.cost - b.cost)

  if (pairs && candidates[0]!.cost - candidates[0]!.hypothesis.priorCost > UNEXPLAINED)
    candidates.push(
      ...pairsOf(intended, candidates, sound, score, measured, observed, odd, (share) =>
        onProgress?.(0.7 + 0.3 * share),
      ),
    )
  candidates.sort((a, b) => a.cost - b.cost)
  onProgress?.(1)
  const best = shared(distinct(candidates).slice(0, SHOWN))
  return {
    candidates: best,
    odd: [...odd],
    next: nextTest(
      intended,
      best,
      tests.filter(({ key }) => !observed.has(key)),
      everywhere ? all : suspects,
    ),
  }
}

/** Two causes together: where they change different readings as each alone, else computed. */
function pairsOf(
  intended: Rig,
  singles: readonly Candidate[],
  sound: Outcomes,
  score: (hypothesis: Hypothesis, outcomes: Outcomes) => Candidate,
  measured: readonly BayTest[],
  observed: Outcomes,
  odd: ReadonlySet<string>,
  onProgress: (share: number) => void,
): Candidate[] {
  const changed = ({ outcomes }: Candidate) =>
    new Set([...outcomes].filter(([key, outcome]) => !isSame(outcome, sound.get(key))).map(([key]) => key))
  // Those that explain most readings, whatever they leave: a pair explains the rest.
  const gain = (one: Candidate) =>
    Object.values(one.fits).filter(Boolean).length - one.hypothesis.priorCost / 10
  const chosen = distinct(singles.filter(({ hypothesis }) => hypothesis !== SOUND))
    .sort((a, b) => gain(b) - gain(a))
    .slice(0, PAIRED)
    .map((one) => ({ one, changed: changed(one) }))
  const made: Candidate[] = []
  let best = Math.min(...singles.map((one) => one.cost))
  chosen.forEach((a, i) => {
    onProgress(i / chosen.length)
    for (const b of chosen.slice(i + 1)) {
      const overlap = [...a.changed].some((key) => b.changed.has(key))
      const hypothesis: Hypothesis = {
        faults: [...a.one.hypothesis.faults, ...b.one.hypothesis.faults],
        slip: a.one.hypothesis.slip ?? b.one.hypothesis.slip,
        at: [...a.one.hypothesis.at, ...b.one.hypothesis.at],
        priorCost: a.one.hypothesis.priorCost + b.one.hypothesis.priorCost + SECOND,
        isScalable: a.one.hypothesis.isScalable || b.one.hypothesis.isScalable,
      }
      const hasSlips = a.one.hypothesis.slip !== null || b.one.hypothesis.slip !== null
      if (!overlap)
        made.push(
          score(
            hypothesis,
            new Map([...sound, ...pick(a.one.outcomes, a.changed), ...pick(b.one.outcomes, b.changed)]),
          ),
        )
      else if (!hasSlips) {
        const both = applyFaults(intended, hypothesis.faults)
        if (!both.ok) continue
        const felt = measured.filter(({ key }) => a.changed.has(key) || b.changed.has(key))
        const isOdd = ({ key }: BayTest) => odd.has(key)
        const explained = predictAll(both.rig, felt.filter(isOdd))
        // What leaves the odd readings worse than the best so far need not be computed to the end.
        const least =
          hypothesis.priorCost +
          felt.filter(isOdd).reduce((sum, { key, kind }) => {
            const told = explained.get(key)
            return sum + (told && !hypothesis.isScalable ? cost(kind, observed.get(key)!, told) : 0)
          }, 0)
        if (least > best + HOPELESS) continue
        const candidate = score(
          hypothesis,
          new Map([
            ...sound,
            ...explained,
            ...predictAll(
              both.rig,
              felt.filter((test) => !isOdd(test)),
            ),
          ]),
        )
        best = Math.min(best, candidate.cost)
        made.push(candidate)
      }
    }
  })
  return made
}

const isSame = (a: Outcome, b: Outcome | undefined): boolean => JSON.stringify(a) === JSON.stringify(b)
const pick = (outcomes: Outcomes, keys: ReadonlySet<string>): [string, Outcome][] =>
  [...outcomes].filter(([key]) => keys.has(key))

/** Causes of one kind that fit the same readings equally well are one candidate with several places: nothing measured so far tells them apart. */
function distinct(candidates: readonly Candidate[]): Candidate[] {
  const seen = new Map<string, Candidate>()
  for (const one of candidates) {
    const { hypothesis, fits } = one
    const key = `${hypothesis.faults.map(({ code }) => code).join()} ${JSON.stringify(hypothesis.slip)} ${Object.entries(
      fits,
    )
      .filter(([, fit]) => !fit)
      .map(([name]) => name)
      .join()} ${Math.round(one.cost)}`
    const known = seen.get(key)
    if (!known) seen.set(key, one)
    else if (hypothesis.faults.length === 1)
      seen.set(key, { ...known, elsewhere: [...known.elsewhere, ...hypothesis.faults] })
  }
  return [...seen.values()]
}

/** Shares of belief among these, by their costs. */
function shared(candidates: readonly Candidate[]): Candidate[] {
  const least = Math.min(...candidates.map((one) => one.cost))
  const weights = candidates.map((one) => Math.exp(least - one.cost))
  const total = weights.reduce((sum, one) => sum + one, 0)
  return candidates.map((one, i) => ({ ...one, share: weights[i]! / total }))
}

/** Of the tests not made yet, the one whose outcome differs most among the candidates; a live one only where no dead one tells them apart. */
function nextTest(
  intended: Rig,
  candidates: readonly Candidate[],
  open: readonly BayTest[],
  suspects: ReadonlySet<string>,
): Diagnosis['next'] {
  const parts = indexParts(intended)
  // Where the causes are, and where something was odd; the other circuits would tell nothing and cost time.
  const circuits = new Set([
    ...suspects,
    ...candidates
      .slice(0, WEIGHED)
      .flatMap(({ hypothesis }) => hypothesis.at.flatMap((at) => parts.get(partIdOf(at))?.circuit ?? [])),
  ])
  const own = open.filter(({ circuit }) => circuit === null || circuits.has(circuit))
  const causes = candidates.slice(0, WEIGHED).flatMap((one) => placesOf(intended, one, circuits))
  return (
    mostTelling(
      causes,
      own.filter(({ key }) => isDead(key)),
    ) ??
    mostTelling(
      causes,
      own.filter(({ key }) => !isDead(key)),
    )
  )
}

/** A cause at several places is several: telling them apart is what is wanted next. */
function placesOf(
  intended: Rig,
  { hypothesis, share, elsewhere }: Candidate,
  circuits: ReadonlySet<string>,
): Cause[] {
  const places = [hypothesis.faults, ...elsewhere.slice(0, MOST_PLACES - 1).map((fault) => [fault])]
  return places.flatMap((faults) => {
    const made = applyFaults(intended, faults)
    return made.ok ? [{ rig: onlyCircuits(made.rig, circuits), share: share / places.length }] : []
  })
}

interface Cause {
  readonly rig: Rig
  readonly share: number
}

function mostTelling(rigs: readonly Cause[], open: readonly BayTest[]): Diagnosis['next'] {
  const causes = rigs.map(({ rig, share }) => ({ outcomes: predictAll(rig, open), share }))
  let best: Diagnosis['next'] = null
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
