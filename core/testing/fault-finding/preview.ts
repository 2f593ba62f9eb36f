import { testsOf } from '../plan/schedule'
import { diagnose } from '../diagnosis/diagnose'
import { FITS, cost } from '../expected/fit'
import { predictAll } from '../expected/predict'
import type { Outcome } from '../kinds/kind'
import { applyFaults } from '../../bay/faults/catalogue'
import type { Fault } from '../../bay/faults/fault'
import type { Rig } from '../../bay/model/rig'
import { symptomsOf, type Symptom } from './symptom'

/** What planted faults will show, before anybody looks for them. */
export interface PlantPreview {
  /** Readings that leave their band, with what they would be. */
  readonly readings: readonly { readonly test: string; readonly sound: Outcome; readonly faulty: Outcome }[]
  readonly symptoms: readonly Symptom[]
  /** Where the true cause stands among those that explain the readings, from 1; null where no test shows it. */
  readonly rank: number | null
  /** Other causes that the tests leave about as likely. */
  readonly alike: number
  readonly difficulty: 'easy' | 'fair' | 'hard' | 'not by tests'
}

/** Causes with at least this share of the best one's belief cannot be told from it. */
const ALIKE_SHARE = 0.3
/** So many odd readings point at the place by themselves. */
const EASY_READINGS = 3
/** More causes than this left alike are hard to tell apart. */
const FAIR_ALIKE = 2

function difficultyOf(readings: number, alike: number): PlantPreview['difficulty'] {
  if (readings === 0) return 'not by tests'
  if (alike === 0 && readings >= EASY_READINGS) return 'easy'
  return alike <= FAIR_ALIKE ? 'fair' : 'hard'
}

/**
 * Computes the readings and behaviour that these faults give, and whether the tests tell them from other
 * causes. Some tenths of a second.
 */
export function previewPlant(meant: Rig, faults: readonly Fault[]): PlantPreview | undefined {
  const faulted = applyFaults(meant, faults)
  if (!faulted.ok) return undefined
  const tests = testsOf(meant)
  const [sound, faulty] = [predictAll(meant, tests), predictAll(faulted.rig, tests)]
  const readings = tests.flatMap(({ key, kind }) => {
    const [a, b] = [sound.get(key), faulty.get(key)]
    return a && b && cost(kind, b, a) > FITS ? [{ test: key, sound: a, faulty: b }] : []
  })
  const { candidates } = diagnose(meant, faulty, { pairs: faults.length > 1 })
  const isTrue = (named: readonly Fault[], elsewhere: readonly Fault[]) =>
    faults.every(({ code, place }) =>
      [...named, ...elsewhere].some((fault) => fault.code === code && fault.place === place),
    )
  const at = candidates.findIndex(({ hypothesis, elsewhere }) => isTrue(hypothesis.faults, elsewhere))
  const best = candidates[0]?.share ?? 1
  const alike =
    candidates.filter(({ share }, i) => i !== at && share >= ALIKE_SHARE * best).length +
    (at >= 0 ? candidates[at]!.elsewhere.length : 0)
  const symptoms = symptomsOf(faulted.rig, meant)
  const rank = readings.length === 0 || at < 0 ? null : at + 1
  return { readings, symptoms, rank, alike, difficulty: difficultyOf(readings.length, alike) }
}
