/* Steps 2 and 3 of a ring final circuit, the whole board's insulation, an electrode, an AFDD: each against arithmetic done here.
   Resistance per metre: On-Site Guide Table I1, from memory (2.5 mm² 7.41, 1.5 mm² 12.10 mΩ/m). The readings round a ring and their quarter: Guidance Note 3, from memory.
   Two paths in parallel for each socket-outlet: Ohm's law. */
import { describe, expect, it } from 'vitest'
import { referenceDesign } from '#core/design/reference'
import type { Rig } from '#core/bay/model/rig'
import { expectedReadings } from '#core/testing/expected/expected'
import { predictAll } from '#core/testing/expected/predict'
import { judgeReadings, type JudgedBay } from '#core/testing/judge/judge'
import { scheduleOf, testsOf } from '#core/testing/plan/schedule'
import type { Readings } from '#core/testing/readings'
import { TESTER, testBay } from '#core/testing/tester'
import { aRing, rigOf, someLights, splitBoard, withFault } from '../support/bay'
import { RULES, aBoard, aCircuit, anInstallation } from '../support/task'

const LINE_OHM_M = 7.41e-3
const CPC_OHM_M = 12.1e-3

const installation = splitBoard({ circuits: [aRing({ points: 8, lengthM: 54 }), someLights()] })
const design = referenceDesign(installation, RULES)
const rig = rigOf(installation)
const schedule = scheduleOf(rig, { edition: '18-A2', rcdTests: 'edition' })
const bay: JudgedBay = {
  schedule,
  design,
  expected: expectedReadings(rig, design, schedule),
  edition: '18-A2',
  arrangement: installation.intake.arrangement,
}

/** Metres of line from the board to each socket-outlet along the ring, and all the way round. */
function metres(of: Rig): { readonly at: ReadonlyMap<string, number>; readonly round: number } {
  const lines = of.wires.filter(({ run, colour }) => run === 'c1run' && colour === 'brown')
  const left = [...lines]
  const at = new Map<string, number>()
  const partOf = (ref: string) => ref.split('.')[0]!
  let [place, sum] = ['', 0]
  for (let next = left.shift(); next;) {
    const [a, b] = [partOf(next.from), partOf(next.to)]
    const isFrom = place === '' ? !a.startsWith('c1p') : a === place
    const to: string = isFrom ? b : a
    sum += next.lengthM
    if (to.startsWith('c1p')) at.set(to, sum)
    place = to
    const i = left.findIndex(({ from, to: end }) => partOf(from) === place || partOf(end) === place)
    next = i < 0 ? undefined : left.splice(i, 1)[0]
  }
  return { at, round: sum }
}

const parallel = (a: number, b: number): number => (a * b) / (a + b)

describe('a ring cross-connected at the board', () => {
  const { at, round } = metres(rig)
  const outcomes = predictAll(rig, testsOf(rig))
  const read = (key: string) => (outcomes.get(key) as { value: number }).value

  it('is known by its conductors from socket to socket', () => {
    expect(at.size).toBe(8)
    expect(read('c1.r1')).toBeCloseTo(round * LINE_OHM_M, 1)
  })

  it('step 2: a quarter of r1 + rn at every socket-outlet, within 0.01 Ω', () => {
    const quarter = (read('c1.r1') + read('c1.rn')) / 4
    for (const point of at.keys())
      expect(Math.abs(read(`c1.ringLN@${point}`) - quarter), point).toBeLessThan(0.01)
  })

  it('step 3: with a thinner cpc highest half way round and there R1 + R2, a little less towards the board', () => {
    const [r1, r2] = [read('c1.r1'), read('c1.r2')]
    expect(r2 / r1).toBeCloseTo(CPC_OHM_M / LINE_OHM_M, 1)
    for (const [point, metre] of at) {
      const x = metre / round
      const both = parallel(r1 * x + r2 * (1 - x), r1 * (1 - x) + r2 * x)
      expect(Math.abs(read(`c1.ringLE@${point}`) - both), point).toBeLessThan(0.01)
      expect(read(`c1.ringLE@${point}`)).toBeLessThanOrEqual((r1 + r2) / 4 + 0.005)
    }
  })

  it('each leg joined with itself reads (r1 + rn) × x × (1 − x): named as that, at every socket-outlet', () => {
    const both = read('c1.r1') + read('c1.rn')
    const typed = (leg: (x: number) => number): Readings =>
      Object.fromEntries(
        [...at].map(([point, metre]) => [`c1.ringLN@${point}`, leg(metre / round).toFixed(2)]),
      )
    const codes = (readings: Readings) =>
      judgeReadings(bay, readings).relations.map(({ finding }) => finding.code)
    expect(codes(typed((x) => both * x * (1 - x)))).toContain('ring.legsJoined')
    expect(codes(typed(() => both / 4))).toEqual([])
  })

  it('an open cpc explains what strays because of it, and what reads as it should stays right', () => {
    const cut = rig.wires.filter(({ run, colour }) => run === 'c1run' && colour === 'green-and-yellow')[4]!
    const outcomesOpen = predictAll(withFault(rig, 'earthOpen', cut.id), testsOf(rig))
    const readings = Object.fromEntries(
      [...outcomesOpen].flatMap(([key, outcome]) => {
        if (!key.startsWith('c1.') || !/r1|r2|rn|ring/.test(key)) return []
        if (outcome.is === 'over') return [[key, '>1999']]
        return outcome.is === 'value' ? [[key, outcome.value.toFixed(2)]] : []
      }),
    )
    const { marks, relations } = judgeReadings(bay, readings)
    expect(relations.map(({ finding }) => finding.code)).toContain('ring.open')
    const typed = marks.filter(({ reading }) => reading in readings)
    const isIn = (key: string) => {
      const { low, high } = bay.expected.get(key)!
      const value = Number(readings[key])
      return value >= low && value <= (high ?? Infinity)
    }
    const isFitting = ({ reading }: (typeof typed)[number]) => isIn(reading)
    expect(typed.filter(isFitting).length).toBeGreaterThan(3)
    for (const mark of typed.filter(isFitting)) expect(mark.verdict, mark.reading).toBe('right')
    for (const mark of typed.filter((one) => !isFitting(one)))
      expect(
        mark.findings.map(({ code }) => code),
        mark.reading,
      ).not.toContain('band.outside')
  })

  it('is not asked of a sheet, and takes no mark when it is left empty', () => {
    const steps = schedule.filter(({ kind }) => kind === 'ringLN' || kind === 'ringLE')
    expect(steps).toHaveLength(16)
    expect(steps.some(({ isAsked }) => isAsked)).toBe(false)
  })
})

describe('insulation of the whole board', () => {
  const found = (readings: Readings) =>
    judgeReadings(bay, readings).relations.map(({ finding }) => finding.code)
  const circuits = { 'c1.irLE': '400', 'c1.irNE': '300', 'c2.irLE': '600', 'c2.irNE': '500' }
  /** 1 ÷ (1/400 + 1/300 + 1/600 + 1/500), MΩ. */
  const TOGETHER = 1 / (1 / 400 + 1 / 300 + 1 / 600 + 1 / 500)

  it('is all circuits in parallel', () => {
    expect(found({ ...circuits, irBoardE: TOGETHER.toFixed(0) })).toEqual([])
  })
  it('above one of its circuits it cannot be', () => {
    expect(found({ ...circuits, irBoardE: '>999' })).toContain('across.boardAboveMember')
  })
  it('far below all of them together, something else is still connected', () => {
    expect(found({ ...circuits, irBoardE: '2.0' })).toContain('across.boardBelowMembers')
  })
  it('below 1 MΩ it fails, BS 7671 Table 64 from memory', () => {
    const mark = judgeReadings(bay, { irBoardE: '0.4' }).marks.find(({ reading }) => reading === 'irBoardE')!
    expect(mark.findings[0]!.code).toBe('limit.passed')
  })
  it('the simulated tester reads it on a sound bay without a finding', () => {
    const readings = Object.fromEntries(
      [...testBay(rig, schedule, TESTER)].map(({ test, shown }) => [test.key, shown]),
    )
    expect(readings.irBoardE).toBeTruthy()
    const { marks } = judgeReadings(bay, readings)
    expect(
      marks.flatMap(({ findings }) => findings.filter(({ seriousness }) => seriousness !== 'note')),
    ).toEqual([])
  })
})

describe('an electrode and an AFDD', () => {
  const island = anInstallation({
    intake: { ...splitBoard().intake, arrangement: 'TT', zeOhm: 68 },
    boards: [aBoard({ ways: 6 })],
    circuits: [aRing({ device: { family: 'rcbo', curve: 'B' } })],
  })
  const tt = rigOf(island)
  const tests = scheduleOf(tt, { edition: '18-A2', rcdTests: 'edition' })

  it('the electrode alone is what was given, less the source’s own earth; its limit 50 V ÷ 30 mA (BS 7671 411.5.3, from memory)', () => {
    const expected = expectedReadings(tt, referenceDesign(island, RULES), tests).get('electrode')!
    expect(expected.value).toBeGreaterThan(67)
    expect(expected.value).toBeLessThanOrEqual(68)
    expect(expected.limit!.value).toBeCloseTo(50 / 0.03, 0)
  })
  it('only a TT supply has one', () => {
    expect(schedule.some(({ kind }) => kind === 'electrode')).toBe(false)
  })
  it('an AFDD is pressed once, where there is one', () => {
    const arcs = rigOf(
      splitBoard({
        circuits: [aCircuit({ id: 'c1', name: 'Bench', way: 1, device: { family: 'afdd', curve: 'B' } })],
      }),
    )
    const kinds = (of: Rig) =>
      scheduleOf(of, { edition: '18-A2', rcdTests: 'edition' }).filter(({ kind }) => kind === 'afddButton')
    expect(kinds(arcs)).toMatchObject([{ circuit: 'c1', isAsked: true, isDead: false }])
    expect(kinds(rig)).toEqual([])
  })
})
