import { expose } from 'comlink'
import type { Rig } from '#core/bay/model/rig'
import { diagnose, type Diagnosis } from '#core/testing/diagnosis/diagnose'
import type { FromOtherBay } from '#core/testing/diagnosis/study'
import { readSheet } from '#core/testing/parse/read-sheet'
import { readTestsOf } from '#core/testing/plan/schedule'
import type { Readings } from '#core/testing/readings'

/** The bay of the last search: what was worked out about it serves the next sheet too. */
let last: { readonly text: string; readonly rig: Rig } | undefined
function knownRig(rig: Rig): Rig {
  const text = JSON.stringify(rig)
  if (last?.text !== text) last = { text, rig }
  return last.rig
}

/** Looks for causes away from the page. */
function diagnoseSheet(
  rig: Rig,
  readings: Readings,
  fromOtherBay: FromOtherBay,
  onProgress: (share: number) => void,
  onFirst: (first: Diagnosis) => void,
): Diagnosis {
  const tests = readTestsOf(rig)
  const known = new Set(tests.map(({ key }) => key))
  const knownReadings = Object.fromEntries(Object.entries(readings).filter(([key]) => known.has(key)))
  const { outcomes } = readSheet(tests, knownReadings)
  return diagnose(knownRig(rig), outcomes, { pairs: true, fromOtherBay, onProgress, onFirst })
}

const offer = { diagnoseSheet }
export type DiagnosisOffer = typeof offer
expose(offer)
