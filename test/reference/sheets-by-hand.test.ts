/*
 * Sixty whole schedules whose readings come from plain arithmetic, not from the network of the bay: R = Σ r ×
 * L with the mΩ/m of the On-Site Guide, Table I1 (from memory: 1.0 18.10, 1.5 12.10, 2.5 7.41, 4 4.61, 6
 * 3.08), Zs = Ze + (R1 + R2), Ipf = U0 ÷ Ze where neutral and earth are one conductor. Healthy sheets scatter
 * as instruments and cut lengths do; the others have one thing wrong, worked into every reading that it
 * touches. What an assessor would name is common practice, no source.
 */
import { describe, expect, it } from 'vitest'
import { referenceDesign } from '#core/design/reference'
import type { Circuit } from '#core/installation/installation'
import { diagnose } from '#core/testing/diagnosis/diagnose'
import { expectedReadings } from '#core/testing/expected/expected'
import { judgeReadings, type JudgedBay } from '#core/testing/judge/judge'
import { readSheet } from '#core/testing/parse/read-sheet'
import { readTestsOf, scheduleOf } from '#core/testing/plan/schedule'
import { rigOf, splitBoard } from '../support/bay'
import { RULES, aCircuit } from '../support/task'

const OHM_M: Readonly<Record<number, number>> = {
  1: 18.1e-3,
  1.5: 12.1e-3,
  2.5: 7.41e-3,
  4: 4.61e-3,
  6: 3.08e-3,
}
/** Cpc of flat twin and earth by its line, mm²; BS 6004, from memory. */
const CPC: Readonly<Record<number, number>> = { 1: 1, 1.5: 1, 2.5: 1.5, 4: 1.5, 6: 2.5 }
const BONDING_OHM = 4 * 1.83e-3

/** A generator of its own: numbers from 0 to 1, the same for the same seed. */
function numbers(seed: number): () => number {
  let state = (seed * 2654435761) % 4294967296
  return () => (state = (state * 1664525 + 1013904223) % 4294967296) / 4294967296
}

const flat = (parts: Partial<Circuit>): Circuit =>
  aCircuit({
    cable: { kind: 'flat-twin-earth', method: 'C' },
    ambientC: 30,
    grouping: { circuits: 1, arrangement: 'bunched' },
    ...parts,
  })

/** One board of three radials: sockets, lamps, a heater; what is drawn and what its arithmetic says. */
function board(seed: number) {
  const next = numbers(seed)
  const whole = (from: number, to: number) => from + Math.floor(next() * (to - from + 1))
  const zeOhm = 0.12 + 0.2 * next()
  const circuits = [
    flat({
      id: 'c1',
      way: 1,
      points: whole(3, 6),
      lengthM: whole(14, 30),
      load: { basis: 'power', powerW: 4000, powerFactor: 1 },
    }),
    flat({
      id: 'c2',
      name: 'Lighting',
      way: 2,
      use: 'lighting',
      load: { basis: 'lamps', count: 3, eachW: 60, isDischarge: false },
      points: whole(2, 4),
      isSpread: true,
      lengthM: whole(12, 32),
      residualA: 0.03,
    }),
    flat({
      id: 'c3',
      name: 'Heater',
      way: 3,
      use: 'fixed',
      points: 1,
      lengthM: whole(8, 20),
      load: { basis: 'power', powerW: whole(2, 6) * 1000, powerFactor: 1 },
    }),
  ]
  const intake = { ...splitBoard().intake, zeOhm, ipfA: 230 / zeOhm }
  const installation = splitBoard({ intake, circuits })
  const design = referenceDesign(installation, RULES)
  const rig = rigOf(installation)
  const schedule = scheduleOf(rig, { edition: '18-A2', rcdTests: 'edition' })
  const judged: JudgedBay = {
    schedule,
    design,
    expected: expectedReadings(rig, design, schedule),
    edition: '18-A2',
    arrangement: intake.arrangement,
  }
  const csaOf = new Map(design.circuits.map(({ scope, values }) => [scope, values.csa!]))
  return { circuits, csaOf, rig, schedule, judged, zeOhm, next, whole }
}
type Bay = ReturnType<typeof board>

/**
 * What stands in the way of the plain arithmetic: ohms added to R1, R2 or every continuity reading; another
 * cpc.
 */
interface Wrong {
  readonly leadsOhm?: number
  readonly jointOhm?: Readonly<Record<string, number>>
  readonly cpcMm2?: Readonly<Record<string, number>>
}

/** Every asked reading of the sheet, and R1 + R2 and Zs of every point, as somebody would write it down. */
function sheetOf(bay: Bay, wrong: Wrong = {}): Record<string, string> {
  const scatter = (ohm: number) => ohm * (1 + 0.05 * (bay.next() - 0.5))
  const ohms = (ohm: number) => `${scatter(ohm).toFixed(2)} Ω`
  const r1r2 = (circuit: Circuit, point: string) => {
    const line = bay.csaOf.get(circuit.id)!
    const cpc = wrong.cpcMm2?.[circuit.id] ?? CPC[line]!
    const share = circuit.points === 1 ? 1 : Number(point.split('p')[1]) / circuit.points
    return (OHM_M[line]! + OHM_M[cpc]!) * circuit.lengthM * share + (wrong.jointOhm?.[circuit.id] ?? 0)
  }
  const leads = wrong.leadsOhm ?? 0
  const written = (key: string, kind: string, circuit: Circuit | undefined): string | undefined => {
    const point = key.split('@')[1] ?? ''
    switch (kind) {
      case 'bonding':
        return ohms(BONDING_OHM + leads)
      case 'r1r2':
        return ohms(r1r2(circuit!, point) + leads)
      case 'irLN':
      case 'irLE':
      case 'irNE':
        return bay.next() < 0.5 ? '>999 MΩ' : `${bay.whole(200, 990)} MΩ`
      case 'polarity':
      case 'rcdButton':
      case 'functional':
        return '✓'
      case 'ze':
        return ohms(bay.zeOhm)
      case 'pfc':
        return `${(scatter(230 / bay.zeOhm) / 1e3).toFixed(2)} kA`
      case 'zs':
        return ohms(bay.zeOhm + r1r2(circuit!, point))
      case 'rcd':
        return `${bay.whole(20, 34)} ms`
      default:
        return undefined
    }
  }
  return Object.fromEntries(
    bay.schedule.flatMap(({ key, kind, circuit, isAsked }) => {
      if (!isAsked && kind !== 'r1r2' && kind !== 'zs') return []
      const text = written(
        key,
        kind,
        bay.circuits.find(({ id }) => id === circuit),
      )
      return text === undefined ? [] : [[key, text]]
    }),
  )
}

const seriousOf = ({ judged }: Bay, sheet: Record<string, string>): string[] => {
  const { marks, relations } = judgeReadings(judged, sheet)
  return (
    [
      ...marks
        .filter(({ reading }) => reading in sheet)
        .flatMap(({ reading, findings }) => findings.map((finding) => ({ at: reading, finding }))),
      ...relations.map(({ finding }) => ({ at: 'together', finding })),
    ]
      .filter(({ finding }) => finding.seriousness !== 'note')
      .map(({ at, finding }) => `${at} ${finding.code}`)
      // Who tested with what stands at the head of the sheet, not among its readings.
      .filter((text) => !/instrument|leads.notRecorded/.test(text))
  )
}
const causesOf = ({ rig }: Bay, sheet: Record<string, string>): string[] =>
  diagnose(rig, readSheet(readTestsOf(rig), pick(rig, sheet)).outcomes, { pairs: false }).candidates.map(
    ({ hypothesis }) => hypothesis.faults[0]?.code ?? hypothesis.slip?.kind ?? 'none',
  )
const pick = (rig: Bay['rig'], sheet: Record<string, string>) => {
  const known = new Set(readTestsOf(rig).map(({ key }) => key))
  return Object.fromEntries(Object.entries(sheet).filter(([key]) => known.has(key)))
}
const keyOf = ({ schedule }: Bay, kind: string, circuit: string): string =>
  schedule.findLast((test) => test.kind === kind && test.circuit === circuit)!.key

describe('thirty-six healthy sheets', () => {
  it.each(Array.from({ length: 36 }, (_, i) => i + 1))(
    'board %d: nothing above a remark, nothing odd',
    (seed) => {
      const bay = board(seed)
      const sheet = sheetOf(bay)
      expect(seriousOf(bay, sheet)).toEqual([])
      expect(causesOf(bay, sheet)[0]).toBe('none')
    },
  )
})

/**
 * One thing wrong: what it does to the sheet, what must stand out, and the causes that a competent assessor
 * would name.
 */
interface Case {
  readonly name: string
  readonly sheet: (bay: Bay) => Record<string, string>
  readonly at: (bay: Bay) => string
  readonly causes: readonly string[]
}
const CASES: readonly Case[] = [
  {
    name: 'leads not nulled, 0.25 Ω in every continuity reading',
    sheet: (bay) => sheetOf(bay, { leadsOhm: 0.25 }),
    at: (bay) => keyOf(bay, 'r1r2', 'c1'),
    causes: ['leads'],
  },
  {
    name: 'a loose joint of 1.2 Ω at the board, in every R1 + R2 and Zs of its circuit',
    sheet: (bay) => sheetOf(bay, { jointOhm: { c1: 1.2 } }),
    at: (bay) => keyOf(bay, 'zs', 'c1'),
    causes: ['loose'],
  },
  {
    name: 'neutral and earth of the lighting touch: 0.00 MΩ',
    sheet: (bay) => ({ ...sheetOf(bay), [keyOf(bay, 'irNE', 'c2')]: '0.00 MΩ' }),
    at: (bay) => keyOf(bay, 'irNE', 'c2'),
    causes: ['shortNE', 'trappedNeutral', 'neutralAndEarth'],
  },
  {
    name: 'a decimal point moved in one Zs',
    sheet: (bay) => {
      const sheet = sheetOf(bay)
      const key = keyOf(bay, 'zs', 'c3')
      return { ...sheet, [key]: `${(Number.parseFloat(sheet[key]!) * 10).toFixed(1)} Ω` }
    },
    at: (bay) => keyOf(bay, 'zs', 'c3'),
    causes: ['decimal'],
  },
  {
    name: 'an RCD that opens after 420 ms',
    sheet: (bay) => ({ ...sheetOf(bay), [keyOf(bay, 'rcd', 'c1')]: '420 ms' }),
    at: (bay) => keyOf(bay, 'rcd', 'c1'),
    causes: ['residualSlow', 'residualDelayed'],
  },
  {
    name: 'a damp accessory: 0.3 MΩ from line to earth',
    sheet: (bay) => ({ ...sheetOf(bay), [keyOf(bay, 'irLE', 'c1')]: '0.30 MΩ' }),
    at: (bay) => keyOf(bay, 'irLE', 'c1'),
    causes: ['damp', 'oldInsulation', 'trappedLine'],
  },
]

describe('twenty-four sheets with one thing wrong', () => {
  const rows = CASES.flatMap((entry) =>
    [101, 102, 103, 104].map((seed) => [entry.name, seed, entry] as const),
  )
  it.each(rows)('%s (board %d)', (_name, seed, { sheet: make, at, causes }) => {
    const bay = board(seed)
    const sheet = make(bay)
    expect(seriousOf(bay, sheet).join('; ')).toContain(at(bay))
    expect(causes).toContain(causesOf(bay, sheet)[0])
  })
})
