import { diagnose, type Diagnosis } from '#core/testing/diagnosis/diagnose'
import { testsOf } from '#core/testing/diagnosis/bay-test'
import { readSheet } from '#core/testing/diagnosis/read-sheet'
import type { Readings } from '#core/testing/readings'
import type { Rig } from '#core/bay/model/rig'

export interface DiagnosisJob {
  readonly rig: Rig
  readonly readings: Readings
}
export type DiagnosisNews =
  { readonly is: 'progress'; readonly share: number } | { readonly is: 'done'; readonly diagnosis: Diagnosis }

/** Looks for causes away from the page, and says how far it is. */
addEventListener('message', ({ data }: MessageEvent<DiagnosisJob>) => {
  const tests = testsOf(data.rig)
  const known = new Set(tests.map(({ key }) => key))
  const { outcomes } = readSheet(
    tests,
    Object.fromEntries(Object.entries(data.readings).filter(([key]) => known.has(key))),
  )
  const diagnosis = diagnose(data.rig, outcomes, {
    pairs: true,
    onProgress: (share) => postMessage({ is: 'progress', share } satisfies DiagnosisNews),
  })
  postMessage({ is: 'done', diagnosis } satisfies DiagnosisNews)
})
