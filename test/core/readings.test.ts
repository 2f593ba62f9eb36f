import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { energiseGate } from '#core/testing/judge/gate'
import type { Readings } from '#core/testing/readings'
import type { ReadingKey } from '#core/testing/kinds/kinds'
import { findingSentence } from '#words/findings/findings'
import { aTask, bayOfTask, expectedByKind, judgeTask, worked } from '../support/task'
import { tasks } from '../support/arbitrary'

// 2.5/2.5 mm² over 28 m: R1 + R2 0.415 Ω at 20 °C, Ze 0.35 Ω, Zs 0.765 Ω cold, limit 0.8 × 2.73 = 2.18 Ω.
const task = aTask()
const GOOD: Readings = {
  r1r2: '0.42',
  irLN: '>999',
  irLE: '>999',
  irNE: '640',
  polarity: '✓',
  ze: '0.34',
  zs: '0.77',
  rcdTime: '24',
}
const judged = (changes: Readings) => judgeTask(task, { ...GOOD, ...changes })
const first = (key: ReadingKey, text: string) => judged({ [key]: text }).get(key)!

test('a good sheet has nothing to say', () => {
  for (const mark of judged({}).values())
    expect(mark, mark.reading).toMatchObject({ verdict: 'right', findings: [] })
})

test('readings worked from the design are right on every circuit', () => {
  fc.assert(
    fc.property(tasks, (any) => {
      const design = worked(any)
      fc.pre(design.ok)
      if (!design.ok) return
      const cold = design.values.r1r2
      const sheet = {
        ...GOOD,
        r1r2: cold.toFixed(2),
        ze: any.supply.zeOhm.toFixed(2),
        zs: (any.supply.zeOhm + cold).toFixed(2),
      }
      const wrong = [...judgeTask(any, sheet).values()].filter((mark) => mark.verdict !== 'right')
      // Only a Zs that is beyond the cold limit may be refused: the hot design was just inside the table.
      for (const mark of wrong) expect(mark.findings[0]!.code).toBe('limit.passed')
    }),
  )
})

describe('each odd reading is named with its likeliest cause', () => {
  test.each<[string, ReadingKey, string, string, RegExp]>([
    ['leads not nulled', 'r1r2', '0.61', 'band.outside', /Leads not nulled/],
    ['decimal shifted', 'r1r2', '0.042', 'band.outside', /decimal point/],
    ['one conductor alone', 'r1r2', '0.21', 'band.outside', /one conductor alone/],
    ['the next cable size drawn in', 'r1r2', '0.26', 'band.outside', /It fits 4 mm²/],
    ['insulation just below the minimum', 'irLE', '0.99', 'limit.passed', /below the limit of 1 MΩ/],
    ['insulation below the minimum', 'irLE', '0.6', 'limit.passed', /below the limit of 1 MΩ/],
    ['insulation low for new work', 'irLE', '12', 'band.belowNewWork', /above the minimum.*still connected/],
    ['“>” where no range ends', 'irLE', '>50', 'form.notARangeEnd', /end of the range/],
    ['a number for polarity', 'polarity', '0.4', 'form.tickWanted', /never a number/],
    ['polarity crossed', 'polarity', '✗', 'limit.polarity', /before anything is energised/],
    ['a tick for a resistance', 'r1r2', '✓', 'form.numberWanted', /measured number/],
    ['Zs below Ze', 'zs', '0.2', 'band.outside', /parallel path/i],
    ['Zs above the limit', 'zs', '2.4', 'limit.passed', /above the limit of 2\.18 Ω/],
    ['trip too slow', 'rcdTime', '320', 'limit.passed', /above the limit of 300 ms/],
    ['trip too fast to be one', 'rcdTime', '1', 'band.outside', /Quicker than a device/],
    ['an invented reading', 'r1r2', '0.415', 'across.tooExact', /to the last digit/],
  ])('%s', (_name, key, text, code, words) => {
    const { findings } = first(key, text)
    expect(findings.map((finding) => finding.code)).toContain(code)
    expect(findings.map(findingSentence).join(' ')).toMatch(words)
  })

  test('a reading copied from another bay fits that bay', () => {
    // 37 m of the same cable: (7.41 + 7.41) × 37 ÷ 1000 = 0.548 Ω.
    const others = [{ bay: 4, expected: bayOfTask(aTask({ lengthM: 37 })).expected }]
    const mark = judgeTask(task, { ...GOOD, r1r2: '0.55' }, others).get('r1r2')!
    expect(findingSentence(mark.findings[0]!)).toContain('It fits bay 4, not this one')
  })

  test('Zs that fits the bay is not blamed for a dead reading that does not', () => {
    const marks = judged({ r1r2: '0.09' })
    expect(marks.get('zs')).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'across.zsFits', seriousness: 'note' }],
    })
    expect(marks.get('r1r2')!.verdict).toBe('wrong')
  })

  // A tenth of the rest of its family, though above 1 MΩ; common practice, no source.
  test('one insulation reading far below the others is a finding, though above the minimum', () => {
    const low = judged({ irNE: '>999', irLN: '90', irLE: '>999' }).get('irLN')!
    expect(low.findings.map(({ code }) => code)).toContain('across.insulationLow')
    expect(judged({ irNE: '>999', irLN: '101', irLE: '>999' }).get('irLN')!.verdict).toBe('right')
    expect(judged({ irLN: '>1000', irLE: '100', irNE: '>1000' }).get('irLE')!.verdict).toBe('right')
  })
})

describe('the gate before live tests', () => {
  const gate = (changes: Readings) => energiseGate([...judged(changes).values()])
  test('opens on complete dead tests within limits, before any live reading exists', () => {
    expect(gate({ ze: '', zs: '', rcdTime: '' })).toEqual({ missing: [], beyond: [], open: true })
  })
  test('a reading that is odd but within limits leaves the decision to the assessor', () => {
    expect(gate({ r1r2: '0.61' }).open).toBe(true)
  })
  test.each<[Readings, object]>([
    [{ irNE: '' }, { missing: ['c1.irNE'], open: false }],
    [{ irNE: '0.4' }, { beyond: ['c1.irNE'], open: false }],
    [{ polarity: '✗' }, { beyond: ['c1.polarity@c1p4'], open: false }],
    [{ r1r2: 'ok' }, { beyond: ['c1.r1r2@c1p4'], open: false }],
    [{ r1r2: '1.95' }, { beyond: ['c1.r1r2@c1p4'], open: false }],
  ])('stays shut on %o', (changes, expected) => expect(gate(changes)).toMatchObject(expected))
})

test('a bay without an RCD asks for no operating time', () => {
  const asked = (residualA: number | null, family: 'rcbo' | 'breaker') => [
    ...expectedByKind(aTask({ residualA, device: { family, curve: 'B' }, use: 'fixed' })).keys(),
  ]
  expect(asked(null, 'breaker')).toEqual(['r1r2', 'irLN', 'irLE', 'irNE', 'polarity', 'ze', 'zs'])
  expect(asked(0.03, 'rcbo')).toContain('rcdTime')
})
