/* Maximum demand by the On-Site Guide, Table A2 (from memory of the table), worked by hand line by line. */
import { bookOf } from '#core/regulations/book/book'
import { installationAdvice } from '#core/design/advice'
import { referenceDesign } from '#core/design/reference'
import type { Circuit } from '#core/installation/installation'
import { aBoard, aCircuit, anInstallation, RULES } from '../support/task'
import { describe, expect, test } from 'vitest'
import { maximumDemand } from '#core/design/board/demand'
import type { BoardTask, Contribution } from '#core/design/board/board-task'
import type { Premises } from '#core/regulations/diversity'
import type { Use } from '#core/regulations/supply'

const circuit = (use: Use, currentA: number, parts: Partial<Contribution> = {}): Contribution => ({
  circuit: `${use}${currentA}`,
  use,
  currentA,
  infeedA: 0,
  phases: 1,
  line: 'L1',
  ...parts,
})
const boardTask = (premises: Premises, contributions: Contribution[], phases: 1 | 3 = 1): BoardTask => ({
  edition: '18-A2',
  book: bookOf('18-A2'),
  premises,
  consequence: 'none',
  arrangement: 'TN-C-S',
  phases,
  isOrigin: true,
  mainFuseA: 500,
  neutralMm2: 25,
  above: { family: 'fuse-cartridge', curve: null, ratingA: 500 },
  contributions,
})
function demand(task: BoardTask): { readonly value: number; readonly working: string } {
  const step = maximumDemand.derive(task, {})
  if (!step.ok) throw new Error('no demand')
  return step
}
const demandA = (...about: Parameters<typeof boardTask>) => demand(boardTask(...about)).value

describe.each<[string, Use, number[], Partial<Record<Premises, number>>]>([
  // 0.66, 0.9 and 0.75 of 8 + 4 A
  ['lighting', 'lighting', [8, 4], { dwelling: 7.92, commercial: 10.8, 'guest-house': 9, industrial: 10.8 }],
  // home: 10 + 0.5 × (26 − 10); business: 13 + 0.75 × 13; hotel: 13 + 0.8 × 8 + 0.6 × 5
  ['space heating', 'heating', [13, 8, 5], { dwelling: 18, commercial: 22.75, 'guest-house': 22.4 }],
  ['heating below 10 A', 'heating', [4, 3], { dwelling: 7, commercial: 6.25, 'guest-house': 6.4 }],
  // home: 10 + 0.3 × (50 − 10); business and hotel: 30 + 0.8 × 15 + 0.6 × 5
  ['cooking', 'cooker', [30, 15, 5], { dwelling: 22, commercial: 45, 'guest-house': 45 }],
  // business: 20 + 0.8 × 10 + 0.6 × 6 + 0.6 × 4; hotel: 20 + 0.5 × 20; no entry for a home
  ['motors', 'motor', [10, 20, 6, 4], { commercial: 34, 'guest-house': 30, dwelling: 40 }],
  [
    'instantaneous water heaters',
    'shower',
    [40, 36, 32],
    { dwelling: 84, commercial: 84, 'guest-house': 84 },
  ],
  [
    'water heaters with a thermostat',
    'immersion',
    [13, 13],
    { dwelling: 26, commercial: 26, 'guest-house': 26 },
  ],
  ['storage heaters and warm floors', 'storage-heating', [12, 15], { dwelling: 27, commercial: 27 }],
  ['socket circuits', 'sockets', [32, 32, 20], { dwelling: 52.8, commercial: 58, 'guest-house': 58 }],
])('%s', (_name, use, currents, byPremises) => {
  test.each(Object.entries(byPremises) as [Premises, number][])('%s', (premises, expected) => {
    expect(
      demandA(
        premises,
        currents.map((ampere) => circuit(use, ampere)),
      ),
    ).toBeCloseTo(expected, 9)
  })
})

test('a household cooker: Ib has the table in it already, and two of them are one sum', () => {
  // 9.5 kW with a socket on its unit: 10 + 0.3 × 31.304 + 5 = 24.391 A
  const one = circuit('cooker', 24.3913, { householdCooker: { hasSocket: true } })
  expect(demandA('dwelling', [one])).toBeCloseTo(24.3913, 3)
  // A second of 20 A full load without a socket: 10 + 0.3 × (41.304 + 20 − 10) + 5
  const two = circuit('cooker', 13, { circuit: 'second', householdCooker: { hasSocket: false } })
  expect(demandA('dwelling', [one, two])).toBeCloseTo(30.391, 3)
})

test('each line of a three-phase board by itself: its largest motor counts in full', () => {
  const motors = [
    circuit('motor', 20),
    circuit('motor', 18, { line: 'L2' }),
    circuit('motor', 12, { line: 'L2' }),
    circuit('motor', 5, { phases: 3 }),
  ]
  // L1: 20 + 0.8 × 5 = 24; L2: 18 + 0.8 × 12 + 0.6 × 5 = 30.6; L3: 5
  const task = boardTask('industrial', motors, 3)
  expect(demand(task).value).toBeCloseTo(30.6, 9)
  expect(demand(task).working).toBe('on L2\nmotor: 18.0 + 0.80 × 12.0 + 0.60 × 5.0 = 30.6 A')
  // All together first: L2 would be 0.8 × 18 + 0.6 × 12 + 0.6 × 5 = 24.6, and L1 20 + 0.6 × 5 = 23.
  expect(maximumDemand.accept!(task, {}, 24.6)).toMatchObject({ accepted: true, note: 'diversityOverAll' })
  expect(maximumDemand.accept!(task, {}, 23)).toBeUndefined()
})

test('shown line by line, each use with its rule, and together', () => {
  const { working } = demand(
    boardTask('dwelling', [
      circuit('lighting', 4),
      circuit('lighting', 2),
      circuit('sockets', 32),
      circuit('sockets', 20),
      circuit('heating', 26),
    ]),
  )
  expect(working.split('\n')).toEqual([
    'lighting: 0.66 × (4.0 + 2.0) = 4.0 A',
    'sockets: 32.0 + 0.40 × 20.0 = 40.0 A',
    'heating: 10 + 0.5 × (26.0 − 10) = 18.0 A',
    'together 62.0 A',
  ])
})

test('unequal lines of a board: the neutral by phasor sum, said on the board', () => {
  const sockets = (id: string, way: number, line: 'L1' | 'L2', powerW: number) =>
    aCircuit({ id, way, line, load: { basis: 'power', powerW, powerFactor: 1 }, use: 'fixed', lengthM: 8 })
  const intake = { ...anInstallation().intake, phases: 3 as const }
  const adviceOf = (circuits: Circuit[]) => {
    const installation = anInstallation({ intake, boards: [aBoard({ phases: 3 })], circuits })
    return installationAdvice(installation, referenceDesign(installation, RULES)).filter(
      ({ finding }) => finding.code === 'advice.unequalLines',
    )
  }
  // 20 A on L1, 10 A on L2: the neutral carries |20 + 10∠−120°| = √(400 + 100 − 200) = 17.3 A.
  const [advice] = adviceOf([sockets('c1', 1, 'L1', 4600), sockets('c2', 2, 'L2', 2300)])
  expect(advice).toMatchObject({ scope: 'b1', finding: { params: { l1: 20, l2: 10, l3: 0 } } })
  expect((advice!.finding.params as { neutralA: number }).neutralA).toBeCloseTo(17.32, 2)
  const even = (['L1', 'L2', 'L3'] as const).map((line, i) => ({
    ...sockets(`c${i + 1}`, i + 1, 'L1', 2300),
    line,
  }))
  expect(adviceOf(even)).toEqual([])
})
