import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CIRCUIT_CHAIN } from '#core/design/circuit-chain'
import type { StepKey } from '#core/design/model/step-keys'
import type { Task } from '#core/design/model/task'
import type { StepMark } from '#core/assessment/marking/mark-step'
import { findingSentence } from '#words/findings/findings'
import { aTask, followTask, markTask, typed, worked } from '../support/task'
import { tasks } from '../support/arbitrary'

const solved = (task: Task) => {
  const design = worked(task)
  return design.ok ? design.values : undefined
}
const markOf = (marks: readonly StepMark[], key: StepKey) => marks.find((mark) => mark.step === key)!
const wrongWith = (task: Task, key: StepKey, text: string) =>
  markOf(markTask(task, { ...typed(solved(task)!), [key]: text }), key)

test('the worked design passes its own marking, whatever the circuit', () => {
  fc.assert(
    fc.property(tasks, (task) => {
      const values = solved(task)
      fc.pre(values !== undefined)
      for (const mark of markTask(task, typed(values!)))
        expect(mark, mark.step).toMatchObject({ verdict: 'right', mark: mark.outOf, findings: [] })
    }),
  )
})

test('one slip in Ib, correct from there on: wrong once, right for your figures below', () => {
  const task = aTask()
  const marks = markTask(task, typed(followTask(task, { ib: 23 })))
  expect(markOf(marks, 'ib').verdict).toBe('wrong')
  expect(markOf(marks, 'in')).toMatchObject({ verdict: 'carried', value: 25, own: 25, reference: 16 })
  expect(markOf(marks, 'itMin').verdict).toBe('carried')
  expect(markOf(marks, 'csa')).toMatchObject({ verdict: 'carried', value: 6 }) // 25 ÷ 0.752 = 33.2 A: 4 mm² carries 32
  expect(markOf(marks, 'voltDrop').verdict).toBe('carried')
  expect(markOf(marks, 'ca').verdict).toBe('right')
  expect(marks.filter((mark) => mark.verdict === 'wrong').map((mark) => mark.step)).toEqual(['ib'])
})

test('whatever single value goes wrong, no later step is punished for it', () => {
  fc.assert(
    fc.property(
      tasks,
      fc.constantFrom<StepKey>('ib', 'itMin', 'voltDropPerAm', 'ohmPerM', 'r1r2', 'r1r2Hot'),
      fc.double({ min: 1.1, max: 1.35, noNaN: true }),
      (task, key, factor) => {
        const values = solved(task)
        fc.pre(values !== undefined)
        const followed = followTask(task, { [key]: Number((values![key] * factor).toPrecision(5)) })
        // Their figures may lead to something that is not made; then there is nothing to follow.
        fc.pre(Object.keys(values!).every((step) => followed[step as StepKey] !== undefined))
        for (const mark of markTask(task, typed(followed)))
          if (mark.step !== key)
            expect(['right', 'carried'], `${mark.step} after ${key}`).toContain(mark.verdict)
      },
    ),
  )
})

test('a swap of units is recognised as such, on every calculated step', () => {
  const calculated = CIRCUIT_CHAIN.filter((step) => step.kind === 'calculated')
  fc.assert(
    fc.property(tasks, fc.constantFrom(...calculated), fc.constantFrom(1e3, 1e-3), (task, step, factor) => {
      const values = solved(task)
      fc.pre(values !== undefined && values[step.key] > 0)
      const marks = markTask(task, typed({ ...values!, [step.key]: values![step.key] * factor }))
      expect(markOf(marks, step.key).findings[0]).toMatchObject({
        code: 'slip.unit',
        params: { times: 1000 },
      })
    }),
  )
})

describe('slips by name', () => {
  const task = aTask() // 2.9 kW, 28 m, 35 °C, 2 circuits
  test.each<[string, StepKey, string, string]>([
    ['decimal point', 'ib', '126', 'slip.decimal'],
    ['400 V in a single-phase circuit', 'ib', '7.25', 'slip.lineVoltage'],
    ['row of 40 °C', 'ca', '0.87', 'slip.neighbour'],
    ['single layer for bunched', 'cg', '0.85', 'slip.neighbour'],
    ['upside-down factor', 'ca', '1.064', 'slip.invertedFactor'],
    ['multiplied factors', 'itMin', '12.03', 'slip.multipliedFactors'],
    ['Cg forgotten', 'itMin', '17.02', 'slip.factorForgotten'],
    ['Ib in place of In', 'itMin', '16.77', 'slip.loadForRating'],
    ['method A column', 'it', '20', 'slip.neighbour'],
    ['next size in mV/A/m', 'voltDropPerAm', '11', 'slip.neighbour'],
    ['length forgotten in the drop', 'voltDrop', '0.227', 'slip.lengthForgotten'],
    ['In in place of Ib in the drop', 'voltDrop', '8.06', 'slip.ratingForLoad'],
    ['line conductor alone per metre', 'ohmPerM', '7.41', 'slip.lineOnly'],
    ['length forgotten in R1 + R2', 'r1r2', '0.01482', 'slip.lengthForgotten'],
    ['hot value where the cold is asked', 'r1r2', '0.498', 'slip.hotForCold'],
    ['cold value where the hot is asked', 'r1r2Hot', '0.415', 'slip.coldForHot'],
    ['Ze forgotten', 'zs', '0.498', 'slip.externalForgotten'],
    ['cold conductors in Zs', 'zs', '0.765', 'slip.coldForHot'],
    ['R2 left out of Zs', 'zs', '0.599', 'slip.lineOnly'],
    ['C curve in place of B', 'zsMax', '1.37', 'slip.neighbour'],
    ['B20 in place of B16', 'zsMax', '2.19', 'slip.neighbour'],
  ])('%s', (_name, key, typed, code) => {
    const mark = wrongWith(task, key, typed)
    expect(mark.verdict).toBe('wrong')
    expect(mark.findings.map((finding) => finding.code)).toContain(code)
    expect(mark.findings.map(findingSentence).join(' ')).toMatch(/\w{3,}.*\.$/)
    expect(mark.findings.at(-1)!.regulation).toMatch(/BS 7671|On-Site Guide/)
  })

  test('power factor forgotten, or on the wrong side', () => {
    const motor = aTask({ load: { basis: 'power', powerW: 2300, powerFactor: 0.8 } }) // Ib 12.5 A
    expect(wrongWith(motor, 'ib', '10').findings[0]!.code).toBe('slip.powerFactorForgotten')
    expect(wrongWith(motor, 'ib', '8').findings[0]!.code).toBe('slip.powerFactorMultiplied')
  })
})

describe('choices', () => {
  const task = aTask()
  test('any conductor that satisfies is accepted, with a note; one that does not is not', () => {
    expect(wrongWith(task, 'csa', '4')).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'oneSizeUp', seriousness: 'note' }],
    })
    expect(wrongWith(task, 'csa', '10')).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'soundNotEconomical', seriousness: 'note' }],
    })
    expect(wrongWith(task, 'csa', '1.5').findings[0]!.code).toBe('size_capacity')
    expect(wrongWith(task, 'in', '10').findings[0]!.code).toBe('ratingBelowLoad')
  })
  test('an RCD left out where a rule asks for it is critical', () => {
    expect(wrongWith(task, 'residual', 'none').findings[0]).toMatchObject({
      code: 'residualMissing',
      seriousness: 'critical',
    })
    expect(wrongWith(task, 'residual', '300 mA').findings[0]).toMatchObject({
      code: 'residualTooLarge',
      seriousness: 'critical',
    })
  })
})

test('a voltage drop with the whole load at the furthest point is right for its premise, and says what spreading does', () => {
  const task = aTask({ isSpread: true, points: 4 })
  // Four equal loads along the way count 5 ÷ 8 of all of them at the end.
  const whole = solved(task)!.voltDrop! / (5 / 8)
  const mark = wrongWith(task, 'voltDrop', String(Number(whole.toFixed(3))))
  expect(mark).toMatchObject({ verdict: 'right', mark: mark.outOf })
  expect(mark.findings.map(findingSentence).join()).toMatch(/whole load at the furthest point/)
})

test('a right value that cannot follow from the figures above it is right, with a question', () => {
  const task = aTask()
  const marks = markTask(task, { ...typed(solved(task)!), ib: '23' })
  expect(markOf(marks, 'in')).toMatchObject({
    verdict: 'right',
    findings: [{ code: 'doesNotFollow', seriousness: 'note' }],
  })
})

test('somebody who went on with more digits than they wrote down is not punished for it', () => {
  // 2 × 3.08 mΩ/m × 28 m = 0.1725 Ω, written 0.17; × 1.20 = 0.207, written 0.21, though 0.17 × 1.20 is 0.204.
  const task = aTask({ load: { basis: 'power', powerW: 5290, powerFactor: 1 } })
  const marks = markTask(task, { ...typed(solved(task)!), r1r2: '0.17', r1r2Hot: '0.21', zs: '0.56' })
  expect(['r1r2', 'r1r2Hot', 'zs'].map((key) => markOf(marks, key as StepKey).verdict)).toEqual([
    'right',
    'right',
    'right',
  ])
  const slipped = markTask(aTask(), {
    ...typed(followTask(aTask(), { ib: 23 })),
    r1r2: '0.17',
    r1r2Hot: '0.21',
    zs: '0.56',
  })
  expect(markOf(slipped, 'r1r2Hot').verdict).toBe('carried')
})

test('rounding as people round is right; a rounder number than that is not', () => {
  const task = aTask()
  expect(wrongWith(task, 'ib', '12.6').verdict).toBe('right')
  expect(wrongWith(task, 'ib', '13').verdict).toBe('right')
  expect(wrongWith(task, 'ib', '14').verdict).toBe('wrong')
  expect(wrongWith(task, 'ib', 'twelve')).toMatchObject({
    verdict: 'missing',
    findings: [{ code: 'unreadable.notANumber' }],
  })
})
