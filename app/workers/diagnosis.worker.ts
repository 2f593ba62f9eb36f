import { expose } from 'comlink'
import type { Rig } from '#core/bay/model/rig'
import { diagnose, type Diagnosis } from '#core/testing/diagnosis/diagnose'
import type { FromOtherBay } from '#core/testing/diagnosis/study'
import { readSheet } from '#core/testing/parse/read-sheet'
import { readTestsOf } from '#core/testing/plan/schedule'
import type { Readings } from '#core/testing/readings'

/** Looks for causes away from the page, and says how far it is, 0 to 1. */
function diagnoseSheet(
  rig: Rig,
  readings: Readings,
  fromOtherBay: FromOtherBay,
  onProgress: (share: number) => void,
): Diagnosis {
  const tests = readTestsOf(rig)
  const known = new Set(tests.map(({ key }) => key))
  const knownReadings = Object.fromEntries(Object.entries(readings).filter(([key]) => known.has(key)))
  return diagnose(rig, readSheet(tests, knownReadings).outcomes, { pairs: true, fromOtherBay, onProgress })
}

const offer = { diagnoseSheet }
export type DiagnosisOffer = typeof offer
expose(offer)
