import type { Rig } from '../../bay/model/rig'
import type { Fault } from '../../bay/faults/fault'
import { FITS, cost, isSameDirection } from '../expected/fit'
import type { Outcomes } from '../expected/predict'
import { readerOf, type BayReader } from '../expected/reader'
import type { BayTest, Outcome } from '../kinds/kind'
import type { Hypothesis } from './hypothesis'

/** A sheet of readings laid beside what the sound bay shows. */
export interface Study {
  readonly intended: Rig
  /** Reads the intended bay and what causes make of it. */
  readonly reader: BayReader
  readonly observed: Outcomes
  /** Tests that were made. */
  readonly measured: readonly BayTest[]
  readonly sound: Outcomes
  /** What each reading leaves unexplained at the sound bay, by test. */
  readonly soundCosts: ReadonlyMap<string, number>
  /** Readings outside the band of a sound bay: the band that the judge goes by. */
  readonly odd: ReadonlySet<string>
  /** Their tests. */
  readonly oddTests: readonly BayTest[]
  /** By test, the other bay whose reading stands here. */
  readonly fromOtherBay: FromOtherBay
}

export type FromOtherBay = ReadonlyMap<string, string>
/** Nothing is known of other bays. */
export const NO_OTHER_BAY: FromOtherBay = new Map()

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

/** A cause explains a reading when it leaves at least this much less unexplained. */
const LEAST_GAIN = 0.5
/** And brings it nearer at all when it leaves this much less. */
const NEARER = 0.02
/** A reading in the right direction but of another size, of a cause without a fixed size. */
const OTHER_SIZE = 0.6

export function studyOf(
  intended: Rig,
  tests: readonly BayTest[],
  observed: Outcomes,
  fromOtherBay: FromOtherBay = NO_OTHER_BAY,
): Study {
  const measured = tests.filter(({ key }) => observed.has(key))
  const reader = readerOf(intended)
  const sound = reader.read(intended, measured)
  const soundCosts = new Map(
    measured.flatMap(({ key, kind }) => {
      const base = sound.get(key)
      return base ? [[key, cost(kind, observed.get(key)!, base)] as const] : []
    }),
  )
  const odd = new Set([...soundCosts].flatMap(([key, left]) => (left > 0 ? key : [])))
  const oddTests = measured.filter(({ key }) => odd.has(key))
  return { intended, reader, observed, measured, sound, soundCosts, odd, oddTests, fromOtherBay }
}

/** What one reading leaves unexplained by a hypothesis; of one without a size, if it strays the same way, little. */
export function leftBy(
  { observed }: Study,
  { isScalable }: Hypothesis,
  { key, kind }: BayTest,
  { expected, base }: { readonly expected: Outcome; readonly base: Outcome },
): number {
  const seen = observed.get(key)!
  const plain = cost(kind, seen, expected)
  return isScalable && plain > OTHER_SIZE && isSameDirection(seen, expected, base) ? OTHER_SIZE : plain
}

/** What a hypothesis costs on this sheet, and which readings it fits. */
export function score(study: Study, hypothesis: Hypothesis, outcomes: Outcomes): Candidate {
  const { measured, sound } = study
  let sum = hypothesis.priorCost
  const fits: Record<string, boolean> = {}
  for (const test of measured) {
    const base = sound.get(test.key)
    const expected = outcomes.get(test.key) ?? base
    if (!expected || !base) continue
    const left = leftBy(study, hypothesis, test, { expected, base })
    fits[test.key] = left <= FITS
    sum += left
  }
  return { hypothesis, cost: sum, share: 0, fits, outcomes, elsewhere: [] }
}

/** Do these outcomes bring any odd reading nearer, at the size that they have? */
export const bringsNearer = ({ observed, oddTests, sound }: Study, outcomes: Outcomes): boolean =>
  oddTests.some(({ key, kind }) => {
    const [seen, expected, base] = [observed.get(key)!, outcomes.get(key), sound.get(key)]
    return (
      expected !== undefined &&
      base !== undefined &&
      cost(kind, seen, expected) < cost(kind, seen, base) - NEARER
    )
  })

/** Do these outcomes bring any odd reading nearer, or move it the way it strayed? */
export const explainsAny = ({ observed, oddTests, sound }: Study, outcomes: Outcomes): boolean =>
  oddTests.some(({ key, kind }) => {
    const expected = outcomes.get(key)
    if (!expected) return false
    const [seen, base] = [observed.get(key)!, sound.get(key)!]
    return (
      cost(kind, seen, expected) < cost(kind, seen, base) - LEAST_GAIN ||
      isSameDirection(seen, expected, base)
    )
  })
