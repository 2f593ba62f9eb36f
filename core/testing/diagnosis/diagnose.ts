import type { Rig } from '../../bay/model/rig'
import type { Outcomes } from '../expected/predict'
import type { BayTest } from '../kinds/kind'
import { readTestsOf, testsOf } from '../plan/schedule'
import { faultHypotheses } from './fault-hypotheses'
import { SOUND, UNLISTED } from './hypothesis'
import { nextTest, type NextTest } from './next-test'
import { openCauses, readToTheEnd } from './open-cause'
import { pairsOf } from './pairs'
import { byCost, distinct, shared } from './rank'
import { settle, type Settled } from './settle'
import { settlePairs } from './sized-pairs'
import { slipHypotheses } from './slips'
import { explainsAny, score, studyOf, type Candidate, type FromOtherBay, type Study } from './study'

export interface Diagnosis {
  readonly candidates: readonly Candidate[]
  /** Readings that a sound bay does not explain. */
  readonly odd: readonly string[]
  readonly next: NextTest | null
}

export interface DiagnoseOptions {
  /** Two causes at once are tried when no single one explains the sheet. */
  readonly pairs: boolean
  /** By test, the other bay whose reading stands here. */
  readonly fromOtherBay?: FromOtherBay
  /** Hears of the single causes while two at once are still being tried. */
  readonly onFirst?: (first: Diagnosis) => void
  /** 0 to 1. */
  readonly onProgress?: (share: number) => void
}

/** What is left unexplained by the best single cause before pairs are tried. */
const UNEXPLAINED = 6
const SHOWN = 6
/** Of the way through, when the single causes are done. */
const SINGLES = 0.7
/** So many causes between two words of progress. */
const STRIDE = 20

/**
 * Ranks causes of a sheet of readings: every fault that the catalogue knows, slips at the bench and on paper,
 * by how well the bay as it would then be reads.
 */
export function diagnose(
  intended: Rig,
  observed: Outcomes,
  { pairs, fromOtherBay, onFirst, onProgress }: DiagnoseOptions = { pairs: true },
): Diagnosis {
  const tests = testsOf(intended)
  const study = studyOf(intended, readTestsOf(intended), observed, fromOtherBay)
  if (study.odd.size === 0)
    return { candidates: shared([score(study, SOUND, study.sound)]), odd: [], next: null }

  const suspects = suspectsOf(study, tests)
  const hypotheses = faultHypotheses(study.intended, suspects.circuits)
  const slips = slipHypotheses(study)
    .filter(({ outcomes }) => explainsAny(study, outcomes))
    .map(({ hypothesis, outcomes }) => score(study, hypothesis, outcomes))
  const settled = settle(study, openCauses(study, hypotheses, suspects.circuits), slips, {
    byHypothesis: new Map(hypotheses.map((entry) => [entry.hypothesis, entry])),
    wanted: SHOWN,
  })
  const singles = [...settled.candidates].sort(byCost)
  const best = singles[0]
  const isUnexplained = !best || best.cost - best.hypothesis.priorCost > UNEXPLAINED
  const judged = singles.filter(({ hypothesis }) => !hypothesis.isScalable)
  const odd = [...study.odd]
  if (!pairs || !isUnexplained) return told(judged)
  onFirst?.({ candidates: shownOf(study, judged), odd, next: null })
  return told([...judged, ...pairsFrom(study, settled, onProgress)])

  function told(causes: readonly Candidate[]): Diagnosis {
    onProgress?.(1)
    const candidates = shownOf(study, causes)
    const open = tests.filter(({ key }) => !observed.has(key))
    return { candidates, odd, next: nextTest(study, candidates, open, suspects.circuits) }
  }
}

/** "None of these" has its share, and never leads while a reading is odd. */
const shownOf = (study: Study, causes: readonly Candidate[]): Candidate[] =>
  shared([...distinct([...causes].sort(byCost)).slice(0, SHOWN - 1), unlisted(study)])

/** Two causes at once; for these every single one is read to the end. */
function pairsFrom(
  study: Study,
  { candidates, open }: Settled,
  onProgress: DiagnoseOptions['onProgress'],
): Candidate[] {
  const read = open.flatMap((cause, i) => {
    if (i % STRIDE === 0) onProgress?.((SINGLES * i) / open.length)
    return readToTheEnd(study, cause) ?? []
  })
  const singles = [...candidates, ...read].sort(byCost)
  return settlePairs(
    study,
    pairsOf(study, singles, (share) => onProgress?.(SINGLES + (1 - SINGLES) * share)),
  )
}

/** None of the causes: it explains no odd reading. */
function unlisted(study: Study): Candidate {
  const none = score(study, UNLISTED, study.sound)
  return { ...none, fits: { ...none.fits, ...Object.fromEntries([...study.odd].map((key) => [key, false])) } }
}

/** Where causes are looked for. */
interface Suspects {
  readonly circuits: ReadonlySet<string>
  /** Something that all share is odd: every circuit is suspected. */
  readonly isEverywhere: boolean
}

function suspectsOf({ measured, odd }: Study, tests: readonly BayTest[]): Suspects {
  const oddCircuits = new Set(
    measured.flatMap(({ key, circuit }) => (circuit && odd.has(key) ? [circuit] : [])),
  )
  const isShared = measured.some(({ key, circuit }) => circuit === null && odd.has(key))
  const isEverywhere = oddCircuits.size === 0 || isShared
  return {
    circuits: isEverywhere ? new Set(tests.flatMap(({ circuit }) => circuit ?? [])) : oddCircuits,
    isEverywhere,
  }
}
