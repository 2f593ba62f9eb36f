/* Looking for faults: marked for method and answer. The order of working (look, isolate, dead before live, halve, prove after the repair) is common practice, no source. */
import { describe, expect, it } from 'vitest'
import { AIMS, faultsFor } from '#core/testing/fault-finding/aims'
import type { FaultFindingStep } from '#core/testing/fault-finding/steps'
import { judgeFaultFinding, type FaultFindingRule } from '#core/testing/fault-finding/judge'
import { applyFaults, possibleFaults } from '#core/bay/faults/catalogue'
import type { Fault } from '#core/bay/faults/fault'
import { symptomsOf } from '#core/testing/fault-finding/symptom'
import { placeWords } from '#words/faults'
import { reportSentences, symptomSentences } from '#words/fault-finding'
import { previewPlant } from '#core/testing/fault-finding/preview'
import { faultFindingSentence } from '#words/fault-finding'
import { practiceBay } from '#core/bay/practice/bays'
import { aBay } from '../support/bay'

const rig = aBay()
const fault = faultsFor(rig, AIMS[0]!).find(
  ({ code, place }) => code === 'lineOpen' && rig.wires.find(({ id }) => id === place)?.to === 'c2p2.L',
)!
const steps = (list: readonly object[]) =>
  list.map((step, i) => ({ ...step, atS: i * 20 })) as FaultFindingStep[]
const test = (key: string, read: string) => ({ do: 'test', test: key, read }) as const
const good = [
  { do: 'look' },
  { do: 'isolate' },
  test('c2.r1r2@c2p1', '0.4 Ω'),
  test('c2.r1r2@c2p2', '>1999 Ω'),
  { do: 'think', text: 'Between the two lamps.' },
  { do: 'conclude', ...fault },
  { do: 'repair' },
  test('c2.r1r2@c2p2', '0.58 Ω'),
  { do: 'restore' },
] as const
const states = (list: readonly object[]) =>
  Object.fromEntries(
    judgeFaultFinding(rig, [fault], steps(list)).marks.map(({ rule, state }) => [rule, state]),
  ) as Record<FaultFindingRule, string>
const without = (drop: (step: { readonly do: string; readonly test?: string }, i: number) => boolean) =>
  good.filter((step, i) => !drop(step as never, i))

describe('a search', () => {
  it('looked, isolated, measured dead, reasoned, found, repaired, proved: met, ten of ten', () => {
    const verdict = judgeFaultFinding(rig, [fault], steps(good))
    expect(verdict).toMatchObject({ met: true, mark: 10 })
    for (const mark of verdict.marks) expect(faultFindingSentence(mark).length).toBeGreaterThan(10)
  })
  it('each omission breaks its own rule', () => {
    expect(states(without((step) => step.do === 'isolate'))).toMatchObject({
      isolation: 'broken',
      answer: 'kept',
    })
    expect(judgeFaultFinding(rig, [fault], steps(without((step) => step.do === 'isolate'))).met).toBe(false)
    expect(states(without((step) => step.do === 'think'))).toMatchObject({
      reasoned: 'broken',
      isolation: 'kept',
    })
    expect(states(without((step) => step.do === 'look'))).toMatchObject({ leastDanger: 'part' })
    expect(states(without((step, i) => step.do === 'test' && i > 5))).toMatchObject({
      proof: 'broken',
      restore: 'broken',
    })
    expect(states(without((step) => step.do === 'conclude'))).toMatchObject({ answer: 'broken' })
  })
  it('nothing done is nothing kept', () => {
    expect(Object.values(states([]))).not.toContain('kept')
    expect(judgeFaultFinding(rig, [fault], [])).toMatchObject({ met: false })
  })
  it('a live test first, the right kind at the wrong place, something else measured afterwards', () => {
    expect(states([test('c2.zs@c2p2', 'no reading'), ...good.slice(1)])).toMatchObject({
      leastDanger: 'broken',
    })
    const other = faultsFor(rig, AIMS[0]!).find(
      ({ code, place }) => code === 'lineOpen' && rig.wires.find(({ id }) => id === place)?.to === 'c1p1.L',
    )!
    expect(
      states(good.map((step) => (step.do === 'conclude' ? { do: 'conclude', ...other } : step))),
    ).toMatchObject({ answer: 'part' })
    expect(
      states(good.map((step, i) => (step.do === 'test' && i > 5 ? test('c2.irLE', '>999 MΩ') : step))),
    ).toMatchObject({ proof: 'part' })
    expect(
      states(good.map((step, i) => (step.do === 'test' && i > 5 ? test('c2.r1r2@c2p2', '>1999 Ω') : step))),
    ).toMatchObject({ proof: 'broken' })
  })
  it('a fault that no dead test shows: energising to see it happen is sound, after looking', () => {
    // A neutral on the other RCD's bar: continuity, insulation and polarity are as they should be.
    const onOtherBar = faultsFor(rig, AIMS[3]!).find(({ code }) => code === 'neutralOnOtherBar')!
    const logOf = (first: object) =>
      steps([
        { do: 'look' },
        first,
        { do: 'isolate' },
        { do: 'think', text: 'Both RCDs open together: one neutral is on the wrong bar.' },
        { do: 'conclude', ...onOtherBar },
        { do: 'repair' },
        { do: 'restore' },
      ])
    const state = (rule: FaultFindingRule, faults: readonly Fault[], log: FaultFindingStep[]) =>
      judgeFaultFinding(rig, faults, log).marks.find((mark) => mark.rule === rule)!.state
    const live = logOf(test('c1.rcd@c1p1', '>500 ms'))
    expect(state('leastDanger', [onOtherBar], live)).toBe('kept')
    expect(state('leastDanger', [fault], live)).toBe('part')
  })
  it('walking a long circuit point by point is not halving', () => {
    const ring = practiceBay('ring')!.rig()
    const walk = ['c2p1', 'c2p2', 'c2p3', 'c2p4', 'c2p5'].map(
      (point) => ({ do: 'test', test: `c2.r1r2@${point}`, read: '0.5 Ω', atS: 0 }) as const,
    )
    const split = (log: readonly FaultFindingStep[]) =>
      judgeFaultFinding(ring, [fault], log).marks.find(({ rule }) => rule === 'split')!.state
    expect(split(walk)).toBe('broken')
    expect(split([walk[2]!, walk[4]!, walk[3]!])).toBe('kept')
  })
})

describe('what a planted fault shows beforehand', () => {
  it('readings, behaviour and whether the tests tell it apart', () => {
    const preview = previewPlant(rig, [fault])!
    expect(preview.readings.map(({ test: key }) => key)).toContain('c2.r1r2@c2p2')
    expect(symptomSentences(rig, preview.symptoms).join(' ')).toContain('Does not work: Lamp 2.2')
    expect(preview.rank).toBeLessThanOrEqual(2)
  })
  it('the report says what the bay does: sockets are tried too, by name, with what was done before', () => {
    const bay = practiceBay('heaters')!.rig()
    const report = (code: string, at: (words: string) => boolean) => {
      const { place } = possibleFaults(bay).find(
        ({ kind, place: where }) => kind.code === code && at(placeWords(bay, where.at)),
      )!
      const faulted = applyFaults(bay, [{ code, place: place.key }])
      return faulted.ok ? reportSentences(bay, symptomsOf(faulted.rig, bay)).join(' ') : ''
    }
    expect(report('lineOpen', (words) => words.endsWith('Socket 3.2 · L'))).toBe('Does not work: Socket 3.2.')
    expect(report('shortNE', (words) => words.includes('Socket 3.1'))).toMatch(
      /^RCD A opens when a heater is plugged in at Socket \d/,
    )
    expect(report('shortLE', (words) => words.includes('Lamp 2.1'))).toMatch(
      /opens when Switch 2 is turned on/,
    )
    // No currents and times: nobody reports them.
    expect(report('shortLE', (words) => words.includes('Lamp 2.1'))).not.toMatch(/\d A\b|ms/)
    expect(report('earthOpen', (words) => words.includes('Lamp 2.1'))).toBe('')
  })
  it('places carry the name that the chart gives the circuit, also at a bar and at a busbar', () => {
    const bay = practiceBay('heaters')!.rig()
    const chart = bay.runs.map(({ name }) => name)
    const words = possibleFaults(bay)
      .filter(({ kind }) => ['lineOpen', 'neutralOpen', 'earthOpen', 'loose', 'damp'].includes(kind.code))
      .map(({ place }) => placeWords(bay, place.at))
    const unnamed = words.filter((where) => !chart.some((name) => where.startsWith(name)))
    expect(
      unnamed.every((where) => /Main|Supply|RCD|Meter|pipe/.test(where)),
      unnamed.join('; '),
    ).toBe(true)
    const teeth = possibleFaults(bay).filter(({ kind }) => kind.code === 'toothMissing')
    expect(placeWords(bay, teeth[0]!.place.at)).toMatch(/busbar’s finger in Way 1/)
  })
  it('every aim has faults in the bay for searching, and every one can be planted', () => {
    const bay = practiceBay('ring')!.rig()
    for (const aim of AIMS) {
      const faults = faultsFor(bay, aim)
      expect(faults.length, aim.code).toBeGreaterThan(2)
      expect(previewPlant(bay, [faults[Math.floor(faults.length / 2)]!])).toBeDefined()
    }
  })
})
