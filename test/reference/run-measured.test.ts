/* What was measured on a run against its drawing, and the one cause behind several deviations. Tolerance, former and what each slip leaves: common practice, no source. */
import { describe, expect, it } from 'vitest'
import { gainMm } from '#core/containment/bending'
import { dimensionsOf, readEntry } from '#core/containment/dimensions'
import { judgeRun } from '#core/containment/measure'
import { usualFormer } from '#core/containment/containment-run'
import { patternSentence } from '#words/containment'

import { FORMER, offset, run, straight } from '../support/run'

describe('measured at the bay', () => {
  const containmentRun = run([
    straight('right', 600),
    straight('up', 400),
    straight('right', 500),
    straight('down', 350, 'end'),
  ])
  const gain = gainMm(FORMER, 90)
  const entries = (offs: readonly number[]) =>
    Object.fromEntries(offs.map((off, i) => [`s${i + 1}`, `${off >= 0 ? '+' : ''}${off.toFixed(1)}`]))
  const patterns = (values: Readonly<Record<string, string>>, of = containmentRun) =>
    judgeRun(of, FORMER, values).patterns.map(
      (pattern) => (expect(patternSentence(pattern).length).toBeGreaterThan(30), pattern.is),
    )
  it('asks for every straight, bubble and way, and for height and travel of a detour', () => {
    expect(
      dimensionsOf(run([straight('right', 900, 'end', { detour: offset })])).map(({ key }) => key),
    ).toEqual(['s1', 'b1', 'h1', 't1'])
  })
  it('takes what is off, or what the tape says', () => {
    const length = { kind: 'length', nominalMm: 600 } as const
    expect([['+3'], ['−2'], ['603'], ['603 mm'], ['0']].map(([text]) => readEntry(text!, length))).toEqual(
      [3, -2, 3, 3, 0].map((offMm) => ({ is: 'off', offMm })),
    )
    expect(['about 600', '-'].map((text) => readEntry(text, length).is)).toEqual(['unreadable', 'unreadable'])
  })
  it('within two millimetres is right, and no pattern', () => {
    const judged = judgeRun(containmentRun, FORMER, { ...entries([1, -2, 2, 0]), b1: '✓', w2: '✓' })
    expect(judged).toMatchObject({ mark: 6, patterns: [] })
  })
  it('a forgotten bend gain, taken off twice, half a tube, the same everywhere, growing, mirrored', () => {
    expect(patterns(entries([1, gain, gain + 1, gain - 1]))).toEqual(['gainForgotten'])
    expect(patterns(entries([0, -gain, -gain - 1, -gain + 1]))).toEqual(['gainTwice'])
    expect(patterns(entries([10, 20, 20, 10]))).toEqual(['fromOutside'])
    expect(patterns(entries([6, 6, 7, 5]))).toEqual(['constant'])
    expect(patterns(entries([5, 10, 15, 20]))).toEqual(['cumulative'])
    expect(patterns({ w2: '✗', w3: '✗', w4: '✗' })).toEqual(['mirrored'])
    expect(patterns(entries([0, 9, -7, 1]))).toEqual([])
  })
  it('an offset bent to another angle is told by height and travel', () => {
    const shifted = run([straight('right', 900, 'end', { detour: offset })])
    expect(patterns({ h1: '+0', t1: '-44' }, shifted)).toEqual(['offsetAngle'])
  })
  it('a usual former is at least two and a half diameters inside', () => {
    for (const material of ['pvc', 'steel'] as const)
      expect(usualFormer({ material, sizeMm: 20 }).radiusMm - 10).toBeGreaterThanOrEqual(2.5 * 20)
  })
})
