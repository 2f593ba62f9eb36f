import type { Rig } from '../../bay/model/rig'
import { onlyCircuits, predictAll, type Outcomes } from '../expected/predict'
import type { BayTest } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import { readTestsOf, testsOf } from '../plan/schedule'
import { faultHypotheses, type FaultHypothesis } from './fault-hypotheses'
import { SOUND, UNLISTED } from './hypothesis'
import { nextTest, type NextTest } from './next-test'
import { pairsOf } from './pairs'
import { byCost, distinct, shared } from './rank'
import { settle } from './settle'
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
  { pairs, fromOtherBay, onProgress }: DiagnoseOptions = { pairs: true },
): Diagnosis {
  const tests = testsOf(intended)
  const study = studyOf(intended, readTestsOf(intended), observed, fromOtherBay)
  if (study.odd.size === 0)
    return { candidates: shared([score(study, SOUND, study.sound)]), odd: [], next: null }

  const suspects = suspectsOf(study, tests)
  const hypotheses = faultHypotheses(study.intended, suspects.circuits)
  const ranked = [
    ...faultCandidates(study, hypotheses, suspects, (share) => onProgress?.(SINGLES * share)),
    ...slipHypotheses(study)
      .filter(({ outcomes }) => explainsAny(study, outcomes))
      .map(({ hypothesis, outcomes }) => score(study, hypothesis, outcomes)),
  ]
  const singles = settle(study, ranked, {
    byHypothesis: new Map(hypotheses.map((entry) => [entry.hypothesis, entry])),
    suspects: suspects.circuits,
    wanted: SHOWN,
  }).sort(byCost)
  const best = singles[0]
  const isUnexplained = !best || best.cost - best.hypothesis.priorCost > UNEXPLAINED
  const both =
    pairs && isUnexplained
      ? settlePairs(
          study,
          pairsOf(study, singles, (share) => onProgress?.(SINGLES + (1 - SINGLES) * share)),
        )
      : []
  onProgress?.(1)
  // "None of these" has its share, and never leads while a reading is odd.
  const judged = singles.filter(({ hypothesis }) => !hypothesis.isScalable)
  const causes = distinct([...judged, ...both].sort(byCost)).slice(0, SHOWN - 1)
  const candidates = shared([...causes, unlisted(study)])
  const open = tests.filter(({ key }) => !observed.has(key))
  return { candidates, odd: [...study.odd], next: nextTest(intended, candidates, open, suspects.circuits) }
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

function faultCandidates(
  study: Study,
  hypotheses: readonly FaultHypothesis[],
  { circuits }: Suspects,
  onProgress: (share: number) => void,
): Candidate[] {
  const oddTests = study.measured.filter(({ key }) => study.odd.has(key))
  // A few ohms in series are nothing beside megohms, and no reason for a cross.
  const canShowResistance = oddTests.some(({ kind }) => kindOf(kind).fit.by === 'amount')
  return hypotheses.flatMap((hypothesis, i) => {
    if (i % STRIDE === 0) onProgress(i / hypotheses.length)
    return hypothesis.kind.group === 'resistance' && !canShowResistance
      ? []
      : faultCandidate(study, hypothesis, circuits)
  })
}

/**
 * First the readings to be explained: what explains none of them is no cause, and the rest need not be
 * computed.
 */
function faultCandidate(
  study: Study,
  faultHypothesis: FaultHypothesis,
  suspects: ReadonlySet<string>,
): Candidate[] {
  const touched = faultHypothesis.circuits ?? suspects
  const canTrip = faultHypothesis.kind.group === 'thing' || faultHypothesis.kind.group === 'place'
  // What opens or crosses a conductor stops an RCD test too; that is computed where the reading asks for it.
  const isFelt = ({ key, circuit, kind }: BayTest) =>
    (circuit === null ? faultHypothesis.circuits === null : touched.has(circuit)) &&
    (kindOf(kind).fit.by !== 'limit' || canTrip || study.odd.has(key))
  const felt = study.measured.filter(isFelt)
  const bay = onlyCircuits(faultHypothesis.faulted, touched)
  const explained = predictAll(
    bay,
    felt.filter(({ key }) => study.odd.has(key)),
  )
  if (!explainsAny(study, explained)) return []
  const rest = predictAll(
    bay,
    felt.filter(({ key }) => !study.odd.has(key)),
  )
  return [score(study, faultHypothesis.hypothesis, new Map([...study.sound, ...explained, ...rest]))]
}
