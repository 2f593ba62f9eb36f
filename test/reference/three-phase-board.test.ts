/* Tests of a board on three lines against circuit laws. Insulation of a whole board is that of its circuits in parallel
   (1/R = Σ 1/Rn), the lowest of three pairs is written down for a three-phase circuit, and a phase sequence indicator
   turns the other way when two lines are exchanged: GN 3 practice, from memory; the laws are those of any text book. */
import { describe, expect, it } from 'vitest'
import { lathe, practiceInstallation, sockets, lights, THREE_LINES } from '#core/bay/practice/installations'
import type { Leak, Rig } from '#core/bay/model/rig'
import { predictAll } from '#core/testing/expected/predict'
import { scheduleOf, type ScheduleTest } from '#core/testing/plan/schedule'
import { TESTER, showTest, testBay } from '#core/testing/tester'
import { rigOf, splitBoard } from '../support/bay'
import { aCircuit } from '../support/task'

const RULES = { edition: '18-A2', rcdTests: 'edition' } as const
const THREE = rigOf(
  practiceInstallation([lathe({ id: 'c1', way: 1 }), sockets({ id: 'c2', way: 2, line: 'L2' })], {
    intake: THREE_LINES,
    board: { phases: 3 },
  }),
)
const ONE = rigOf(practiceInstallation([sockets(), lights()]))
const scheduled = (rig: Rig) => scheduleOf(rig, RULES)
const of = (rig: Rig, kind: string, circuit: string | null = null): ScheduleTest =>
  scheduled(rig).find((test) => test.kind === kind && (circuit === null || test.circuit === circuit))!
const IDEAL = { ...TESTER, conductorC: 20, error: 0 }
const shown = (rig: Rig, test: ScheduleTest) => showTest(rig, test, IDEAL)
const withLeaks = (rig: Rig, ...leaks: readonly Omit<Leak, 'id'>[]): Rig => ({
  ...rig,
  leaks: [...rig.leaks, ...leaks.map((leak, i) => ({ ...leak, id: `leak${i}` }))],
})
const ohmOf = (rig: Rig, test: ScheduleTest): number => {
  const outcome = predictAll(rig, [test]).get(test.key)!
  if (outcome.is !== 'value') throw new Error(`${test.key} shows ${outcome.is}`)
  return outcome.value
}

describe('phase sequence', () => {
  const test = of(THREE, 'rotation')
  it('is looked at once at the incoming lines of a three-phase supply, and nowhere else', () => {
    expect(scheduled(THREE).filter(({ kind }) => kind === 'rotation')).toMatchObject([
      { circuit: null, isDead: false },
    ])
    expect(scheduled(ONE).some(({ kind }) => kind === 'rotation')).toBe(false)
  })
  it('is L1 L2 L3 as supplied; two lines exchanged it is the other way', () => {
    expect(shown(THREE, test)).toBe('✓')
    const supply = THREE.parts.find(({ kind }) => kind === 'supply')!.id
    const other: Readonly<Record<string, string>> = {
      [`${supply}.L1`]: `${supply}.L2`,
      [`${supply}.L2`]: `${supply}.L1`,
    }
    const crossed: Rig = {
      ...THREE,
      wires: THREE.wires.map((wire) => ({
        ...wire,
        from: other[wire.from] ?? wire.from,
        to: other[wire.to] ?? wire.to,
      })),
    }
    expect(shown(crossed, test)).toBe('✗')
  })
})

describe('insulation between the lines of a three-phase circuit', () => {
  const test = of(THREE, 'irLL', 'c1')
  const way = THREE.parts.find((part) => part.kind === 'device' && part.circuit === 'c1')!.id
  const between = (a: string, b: string, ohm: number): Omit<Leak, 'id'> => ({
    from: `${way}.${a} out`,
    to: `${way}.${b} out`,
    ohm,
  })
  it('is the lowest of the three pairs, whichever pair it is', () => {
    for (const [a, b] of [
      ['L1', 'L2'],
      ['L2', 'L3'],
      ['L3', 'L1'],
    ] as const) {
      const lines = withLeaks(THREE, between(a, b, 2e6))
      expect(ohmOf(lines, test) / 2e6).toBeCloseTo(1, 1)
    }
  })
  it('of two leaks is that of the lower one', () => {
    const lines = withLeaks(THREE, between('L1', 'L2', 50e6), between('L2', 'L3', 1e6))
    expect(ohmOf(lines, test) / 1e6).toBeCloseTo(1, 1)
  })
  it('is asked of circuits with three lines only', () => {
    expect(scheduled(THREE).filter(({ kind }) => kind === 'irLL')).toMatchObject([{ circuit: 'c1' }])
  })
})

describe('insulation of the whole board in one reading', () => {
  it.each([
    ['irBoardE', 'E'],
    ['irBoardLN', 'N'],
  ] as const)('%s is that of its circuits in parallel', (kind, to) => {
    const [r1, r2] = [6e6, 3e6]
    const leaks = [
      { from: 'c1p1.L', to: `c1p1.${to}`, ohm: r1 },
      { from: 'c2p1.L', to: `c2p1.${to}`, ohm: r2 },
    ]
    const single = rigOf(
      splitBoard({
        circuits: [
          aCircuit({ id: 'c1', name: 'Bench', way: 1 }),
          aCircuit({ id: 'c2', name: 'Store', way: 2 }),
        ],
      }),
    )
    const test = of(single, kind)
    const both = 1 / (1 / r1 + 1 / r2)
    expect(ohmOf(withLeaks(single, ...leaks), test) / both).toBeCloseTo(1, 1)
    expect(ohmOf(withLeaks(single, leaks[0]!), test) / r1).toBeCloseTo(1, 1)
  })
})

describe('a tester put to the whole of such a board', () => {
  it('makes every test that is scheduled and asked, and shows something for each', () => {
    const made = [
      ...testBay(
        THREE,
        scheduled(THREE).filter(({ isAsked }) => isAsked),
      ),
    ]
    expect(made.map(({ test }) => test.key).sort()).toEqual(
      scheduled(THREE)
        .filter(({ isAsked }) => isAsked)
        .map(({ key }) => key)
        .sort(),
    )
    for (const { test, shown: text } of made) expect(text, test.key).not.toMatch(/NaN|undefined|^$/)
  })
  it('an AFDD that is there opens at its button', () => {
    const arcs = rigOf(
      splitBoard({ circuits: [aCircuit({ id: 'c1', way: 1, device: { family: 'afdd', curve: 'B' } })] }),
    )
    expect(shown(arcs, of(arcs, 'afddButton', 'c1'))).toBe('✓')
  })
})
