/* Whatever is typed, the answer is a sentence: nothing crashes, nothing reads “NaN” or “undefined”. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { CIRCUIT_STEP_KEYS } from '#core/design/model/step-keys'
import { composeFeedback } from '#words/feedback'
import { propose } from '#core/assessment/marking/proposal'
import { criteriaOf, type Framework } from '#core/assessment/outcomes/framework'
import { READING_EVIDENCE } from '#core/testing/kinds/kind'
import { findingSentence } from '#words/findings/findings'
import { PROBLEMS } from '#words/problems'
import { ROSTER_PROBLEM } from '#words/roster'
import framework from '../../frameworks/workshop-unit.json'
import { tasks } from '../support/arbitrary'
import { judgeTask, markTask, worked } from '../support/task'

/** What people type: numbers of any size, with and without units, and anything else. */
const typed = fc.oneof(
  fc.double({ min: 0.001, max: 5000, noNaN: true }).map((n) => n.toPrecision(3)),
  fc
    .tuple(
      fc.integer({ min: 0, max: 999 }),
      fc.constantFrom('A', 'mA', 'V', 'ohm', 'mΩ/m', 'kW', 'MΩ', '%', 'mm²'),
    )
    .map(([n, unit]) => `${n} ${unit}`),
  fc.constantFrom('', '>999', '>50', '✓', '✗', 'none', 'LIM', '-4', '1,2', '0'),
  fc.string({ maxLength: 12 }),
)
const sheet = (keys: readonly string[]) => fc.record(Object.fromEntries(keys.map((key) => [key, typed])))
const isSentence = (text: string) => {
  expect(text).not.toMatch(/NaN|undefined|Infinity|\[object/)
  expect(text).toMatch(/[.!?]$/)
}

test('any answers and any readings on any circuit are marked, with sentences and feedback', () => {
  fc.assert(
    fc.property(tasks, sheet(CIRCUIT_STEP_KEYS), sheet(READING_EVIDENCE), (task, answers, readings) => {
      const design = worked(task)
      fc.pre(design.ok)
      if (!design.ok) return
      const marked = {
        design: markTask(task, answers),
        readings: [...judgeTask(task, readings).values()],
        work: [],
      }
      for (const { findings, mark, outOf } of [...marked.design, ...marked.readings]) {
        findings.forEach((finding) => isSentence(findingSentence(finding)))
        expect(mark === 0 || mark === outOf).toBe(true)
      }
      isSentence(composeFeedback(marked, [], propose(marked, criteriaOf(framework as Framework), [])))
    }),
    { numRuns: 300 },
  )
})

test('the order in which boxes were filled changes no mark', () => {
  fc.assert(
    fc.property(tasks, sheet(CIRCUIT_STEP_KEYS), (task, answers) => {
      fc.pre(worked(task).ok)
      const reversed = Object.fromEntries(Object.entries(answers).reverse())
      expect(markTask(task, reversed)).toEqual(markTask(task, answers))
    }),
  )
})

test('marking looks and does not touch: the same sheet twice gives the same marks', () => {
  fc.assert(
    fc.property(tasks, sheet(READING_EVIDENCE), (task, readings) => {
      const design = worked(task)
      fc.pre(design.ok)
      if (!design.ok) return
      const frozen = Object.freeze({ ...readings })
      expect(judgeTask(Object.freeze(task), frozen)).toEqual(judgeTask(task, readings))
    }),
  )
})

test('every refusal says something, and most say what to do', () => {
  const texts = [...Object.values(PROBLEMS).map(({ sentence }) => sentence), ...Object.values(ROSTER_PROBLEM)]
  texts.forEach(isSentence)
  expect(new Set(texts).size).toBe(texts.length)
})
