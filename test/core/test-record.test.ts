/* The records of a tested board: what fills itself, what has to be typed, and what stands in the way of a signature. The
   information asked for is that of BS 7671 Part 6 and Appendix 6, from memory. */
import { describe, expect, it } from 'vitest'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { bayUnderTest } from '#core/testing/judge/bay-under-test'
import { judgeReadings } from '#core/testing/judge/judge'
import type { Readings } from '#core/testing/readings'
import { testBay } from '#core/testing/tester'
import type { RecordFacts, RecordKind } from '#core/testing/records/record-shape'
import { testRecord } from '#core/testing/records/test-record'
import { namedRecord } from '#words/test-record'
import { anExercise, anInstallation, aCircuit } from '../support/task'

const INSTRUMENT = { name: 'Multi 1', serial: 'DT-0117', dueOn: '2027-01-01' }

/** A board that was tested throughout by a simulated tester. */
function tested(parts: Partial<RecordFacts> = {}, circuits = [aCircuit()]): RecordFacts {
  const exercise = anExercise({ tests: WHOLE_BOARD, installation: anInstallation({ circuits }) })
  const bay = bayUnderTest(exercise, 'bay')!
  const readings: Readings = Object.fromEntries(
    [...testBay(bay.rig, bay.schedule)].map(({ test, shown }) => [test.key, shown]),
  )
  return {
    edition: exercise.edition,
    installation: exercise.installation,
    design: designOf(assignmentOf(exercise)),
    readings,
    marks: judgeReadings(bay, readings).marks,
    names: Object.fromEntries(circuits.map(({ id, name }) => [id, name])),
    instrument: INSTRUMENT,
    isTested: true,
    apprentice: 'Sade',
    permittedBy: 'Mira',
    today: '2026-11-12',
    ...parts,
  }
}
/** Every box filled with what it offers, or a word. */
function filled(kind: RecordKind, facts: RecordFacts): Record<string, string> {
  const boxes = testRecord(kind, facts, { circuit: 'c1' }).parts.flatMap(({ items }) => items)
  return Object.fromEntries(
    boxes.filter(({ isTyped }) => isTyped).map(({ key, choices }) => [key, choices?.[0] ?? 'as agreed']),
  )
}
const item = (kind: RecordKind, facts: RecordFacts, key: string) =>
  testRecord(kind, facts, filled(kind, facts))
    .parts.flatMap(({ items }) => items)
    .find((one) => one.key === key)

describe('a record that can be signed', () => {
  it.each(['minor', 'installation'] as const)(
    '%s: complete and without a failure, nothing stands in the way',
    (kind) => {
      const facts = tested()
      const record = testRecord(kind, facts, filled(kind, facts))
      expect([record.missing, record.failing]).toEqual([[], []])
      expect(record.circuits).toEqual(['c1'])
    },
  )
})

describe('what stands in the way', () => {
  it('an empty box, by its name', () => {
    const facts = tested()
    const { extent: _, ...boxes } = filled('installation', facts)
    expect(testRecord('installation', facts, boxes).missing).toEqual([{ code: 'box', key: 'extent' }])
  })
  it('a limitation without its reason', () => {
    const facts = tested()
    const boxes = { ...filled('installation', facts), bondingGas: 'LIM' }
    expect(testRecord('installation', facts, boxes).missing).toEqual([{ code: 'reason', key: 'bondingGas' }])
    expect(testRecord('installation', facts, { ...boxes, 'why.bondingGas': 'no gas' }).missing).toEqual([])
  })
  it('a reading that was not taken, and live tests that are not handed in', () => {
    const facts = tested({ isTested: false })
    const first = facts.marks.find(({ outOf }) => outOf > 0)!
    const marks = facts.marks.map((mark) =>
      mark === first ? { ...mark, verdict: 'missing' as const } : mark,
    )
    const { missing } = testRecord('installation', { ...facts, marks }, filled('installation', facts))
    expect(missing).toEqual([{ code: 'readings', count: 1 }, { code: 'liveTests' }])
  })
  it('an instrument past its calibration date, whatever it read', () => {
    const late = tested({ instrument: { ...INSTRUMENT, dueOn: '2026-11-11' } })
    expect(testRecord('minor', late, filled('minor', late)).failing).toEqual([{ code: 'instrument' }])
    const onTheDay = tested({ instrument: { ...INSTRUMENT, dueOn: '2026-11-12' } })
    expect(testRecord('minor', onTheDay, filled('minor', onTheDay)).failing).toEqual([])
  })
})

describe('sources beside the supply', () => {
  const circuits = [
    aCircuit(),
    aCircuit({ id: 'c2', name: 'Shed roof', way: 2, infeed: 'photovoltaic', use: 'fixed', residualA: null }),
  ]
  it('are named with their circuit, and the notice of multiple supplies is asked for', () => {
    const facts = tested({}, circuits)
    const { missing } = testRecord('installation', facts, {})
    expect(missing).toContainEqual({ code: 'box', key: 'multipleSuppliesNotice' })
    const words = namedRecord(testRecord('installation', facts, filled('installation', facts)), facts.names)
    const boxes = words.parts.flatMap(({ items }) => items)
    expect(boxes.find(({ key }) => key === 'otherSources')).toMatchObject({ value: 'solar PV (Shed roof)' })
  })
  it('are asked about in minor works only of the circuit that brings one in', () => {
    const facts = tested({}, circuits)
    expect(item('minor', facts, 'otherSources')).toBeUndefined()
    const own = testRecord('minor', facts, { ...filled('minor', facts), circuit: 'c2' })
    expect(own.parts.flatMap(({ items }) => items).some(({ key }) => key === 'otherSources')).toBe(true)
  })
  it('are not spoken of where there is none', () => {
    expect(item('installation', tested(), 'otherSources')).toBeUndefined()
  })
})
