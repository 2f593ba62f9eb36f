/* What a bay does as it is built: the behaviours that people find surprising, as a specification. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Action, Happening } from '#core/bay/behaviour/happenings'
import { solveBay } from '#core/bay/behaviour/network-of'
import { simulate } from '#core/bay/behaviour/simulate'
import { deadState, workingState, type BayState } from '#core/bay/behaviour/state'
import { trace } from '#core/bay/behaviour/trace'
import { watchDevice } from '#core/bay/behaviour/watch'
import { magnitude } from '#core/bay/network/complex'
import { swapTerminals } from '#core/bay/faults/edit'
import { possibleFaults } from '#core/bay/faults/catalogue'
import { rigProblems } from '#core/bay/model/check'
import type { DevicePart, Rig } from '#core/bay/model/rig'
import { aBay, aRing, rigOf, someLights, splitBoard, wireBetween, withFault } from '../support/bay'
import { aBoard, aCircuit, anInstallation } from '../support/task'
import { anElectronicLoad, withLoad } from '../support/bay-parts'

const tripped = (happenings: readonly Happening[]) =>
  happenings.flatMap((happening) =>
    happening.kind === 'tripped' ? [`${happening.part} ${happening.cause}`] : [],
  )
const dark = (happenings: readonly Happening[]) =>
  happenings.flatMap((happening) => (happening.kind === 'dark' ? [happening.part] : []))

/** All on but the lights; then these actions a second apart. */
function run(
  rig: Rig,
  ...acts: (Action extends infer A ? (A extends Action ? Omit<A, 'atS'> : never) : never)[]
) {
  const state: BayState = { ...workingState(rig), thrown: {} }
  return simulate(rig, state, acts.map((act, i) => ({ ...act, atS: i + 1 })) as Action[], { untilS: 100 })
}
const lightOn = { kind: 'throw', part: 'c2p0', on: true } as const
const plugIn = (part: string) => ({ kind: 'use', part, on: true }) as const

describe('a sound bay', () => {
  const rig = aBay()

  it('is a rig without a problem', () => expect(rigProblems(rig, { isWired: true })).toEqual([]))
  it('carries its load and trips nothing', () => {
    const { happenings } = run(rig, lightOn, plugIn('c1p3'))
    expect(tripped(happenings)).toEqual([])
    expect(
      happenings
        .filter(({ kind }) => kind === 'lit')
        .map((happening) => 'part' in happening && happening.part),
    ).toEqual(['c2p1', 'c2p2', 'c1p3'])
  })
  it('shows each RCD no more than its leakage', () => {
    const solved = solveBay(rig, { ...workingState(rig), inUse: { c2p1: true, c1p2: true } })
    if (!solved.ok) throw new Error(solved.name)
    for (const part of rig.parts)
      if (part.kind === 'device' && part.residual)
        expect(watchDevice(part, solved).residualA).toBeLessThan(1e-5)
  })
  it('finds what is put into it by its own name, though the same place held something else before', () => {
    const put = (name: string) =>
      solveBay(rig, workingState(rig), {
        add: [{ kind: 'impedance', name, from: 'c1p1.L', to: 'c1p1.E', ohm: { re: 23_000, im: 0 } }],
      })
    for (const name of ['hand', 'meter']) {
      const solved = put(name)
      if (!solved.ok) throw new Error(solved.name)
      // 230 V over 23 kΩ.
      expect(magnitude(solved.ampere(name))).toBeCloseTo(0.01, 4)
    }
  })
  it('trips one device when its test button is held, and only its half goes dark', () => {
    const { happenings } = run(rig, lightOn, plugIn('c1p1'), { kind: 'test', part: 'b1rcdB' })
    expect(tripped(happenings)).toEqual(['b1rcdB residual'])
    expect(dark(happenings)).toEqual(['c2p1', 'c2p2'])
  })
  it('a short circuit trips the breaker at once and a dead fault to earth the RCD', () => {
    expect(
      tripped(
        run(rig, { kind: 'fault', leak: { id: 'f', from: 'c1p3.L', to: 'c1p3.N', ohm: 0.01 } }).happenings,
      ),
    ).toEqual(['b1w1 short'])
    // At a dead fault both act within a half-wave: neither waits for the other.
    expect(
      tripped(
        run(rig, { kind: 'fault', leak: { id: 'f', from: 'c1p3.L', to: 'c1p3.E', ohm: 0.01 } }).happenings,
      ).sort(),
    ).toEqual(['b1rcdA residual', 'b1w1 short'])
    expect(
      tripped(
        run(rig, { kind: 'fault', leak: { id: 'f', from: 'c1p3.L', to: 'c1p3.E', ohm: 2_000 } }).happenings,
      ),
    ).toEqual(['b1rcdA residual'])
  })
  it('keeps a leak below half of IΔn', () =>
    expect(
      tripped(
        run(rig, { kind: 'fault', leak: { id: 'f', from: 'c1p3.L', to: 'c1p3.E', ohm: 230 / 0.014 } })
          .happenings,
      ),
    ).toEqual([]))
  it('overloads for minutes before the breaker opens', () => {
    const { happenings } = simulate(
      withLoad(aBay(), 'c1p1', 11_500),
      { ...workingState(rig), thrown: {} },
      [{ atS: 0, ...plugIn('c1p1') }],
      { untilS: 3600 },
    )
    const trip = happenings.find((happening) => happening.kind === 'tripped')
    expect(trip).toMatchObject({ part: 'b1w1', cause: 'overload' })
    expect(trip!.atS).toBeGreaterThan(60)
  })
  it('finds the way from supply to lamp and back, and no way past an open switch', () => {
    const closed = workingState(rig)
    const path = trace(rig, closed, 'supply.L', 'c2p1.L')!
    expect(path.filter(({ kind }) => kind === 'part').map(({ through }) => through)).toEqual([
      'meter',
      'b1main',
      'b1rcdB',
      'b1w2',
      'c2p0',
    ])
    expect(trace(rig, { ...closed, thrown: {} }, 'supply.L', 'c2p1.L')).toBeUndefined()
    expect(trace(rig, closed, 'c2p1.N', 'supply.N')!.some(({ to }) => to.startsWith('b1nB.'))).toBe(true)
  })
})

describe('what surprises people', () => {
  it('neutral on the other RCD’s bar: all well until the light goes on, then both trip', () => {
    const sound = aBay()
    const rig = withFault(sound, 'neutralOnOtherBar', `${wireBetween(sound, 'b1nB', 'c2p1')} b1nA`)
    expect(tripped(run(rig, plugIn('c1p1')).happenings)).toEqual([])
    expect(tripped(run(rig, lightOn).happenings).sort()).toEqual(['b1rcdA residual', 'b1rcdB residual'])
  })

  it('borrowed neutral: works for years on one device', () => {
    const one = rigOf(
      splitBoard({
        circuits: [
          someLights({ id: 'c1', way: 1, device: { family: 'breaker', curve: 'B' }, residualA: null }),
          someLights({ residualA: null }),
        ],
      }),
    )
    const rig = withFault(one, 'borrowedNeutral', 'c2p1 c1p1')
    expect(tripped(run(rig, lightOn).happenings)).toEqual([])
    // Isolate circuit 1 and open its neutral: the open end stands at line voltage through the other circuit's lamp.
    const opened = withFault(rig, 'neutralOpen', wireBetween(rig, 'b1n', 'c1p1'))
    const solved = solveBay(opened, {
      ...workingState(opened),
      closed: { ...workingState(opened).closed, b1w1: false },
    })
    if (!solved.ok) throw new Error(solved.name)
    expect(magnitude(solved.volt('c1p1.N'))).toBeGreaterThan(200)
  })

  it('neutral touching earth on a circuit that is off: nothing without load, a trip with a heater on another', () => {
    const rig = rigOf(
      splitBoard({
        circuits: [
          aRing(),
          someLights({ residualA: 0.03 }),
          aRing({
            id: 'c3',
            name: 'Heaters',
            way: 3,
            topology: 'radial',
            points: 2,
            spurs: 0,
            load: { basis: 'current', currentA: 10, powerFactor: 1 },
          }),
        ],
      }),
    )
    const off = (state: BayState): BayState => ({
      ...state,
      thrown: {},
      closed: { ...state.closed, b1w1: false },
    })
    // Circuits 1 and 3 share device A; circuit 1 is switched off and its neutral touches its earth.
    const touched = withFault(rig, 'shortNE', 'c1p3')
    expect(tripped(simulate(touched, off(workingState(touched)), []).happenings)).toEqual([])
    expect(
      tripped(simulate(touched, off(workingState(touched)), [{ atS: 1, ...plugIn('c3p1') }]).happenings),
    ).toEqual(['b1rcdA residual'])
  })

  it('broken neutral: the lamp is dark and its neutral terminal is live', () => {
    const sound = aBay()
    const rig = withFault(sound, 'neutralOpen', wireBetween(sound, 'b1nB', 'c2p1'))
    const { happenings } = run(rig, lightOn)
    expect(happenings.some(({ kind }) => kind === 'lit')).toBe(false)
    const solved = solveBay(rig, workingState(rig))
    if (!solved.ok) throw new Error(solved.name)
    expect(magnitude(solved.volt('c2p1.N'))).toBeGreaterThan(225)
  })

  it('polarity: the lamp works, and its holder is live with the switch off', () => {
    const rig = withFault(aBay(), 'polarityAtBoard', 'c2')
    expect(run(rig, lightOn).happenings.some(({ kind }) => kind === 'lit')).toBe(true)
    const solved = solveBay(rig, { ...workingState(rig), thrown: {} })
    if (!solved.ok) throw new Error(solved.name)
    expect(magnitude(solved.volt('c2p1.L'))).toBeGreaterThan(225)
  })

  it('lost neutral in three phases: the lightly loaded one rises towards line voltage', () => {
    const lamp = (line: 'L1' | 'L2' | 'L3', i: number, eachW: number) =>
      someLights({
        id: `c${i}`,
        name: `Light ${line}`,
        way: 1,
        line,
        residualA: null,
        points: 1,
        load: { basis: 'lamps', count: 1, eachW, isDischarge: false },
      })
    const rig = rigOf(
      anInstallation({
        intake: { arrangement: 'TN-S', phases: 3, zeOhm: 0.3, ipfA: 3000, mainFuseA: 100, neutralMm2: 25 },
        boards: [aBoard({ phases: 3 })],
        circuits: [lamp('L1', 1, 500), lamp('L2', 2, 500), lamp('L3', 3, 40)],
      }),
    )
    const lost = withFault(rig, 'supplyNeutralLost', wireBetween(rig, 'supply.N', 'meter.N in'))
    const { happenings } = simulate(lost, workingState(lost), [])
    const over = happenings.filter((happening) => happening.kind === 'overvoltage')
    expect(over.map((entry) => 'part' in entry && entry.part)).toEqual(['c3p1'])
    expect((over[0] as { volt: number }).volt).toBeGreaterThan(300)
    expect((over[0] as { volt: number }).volt).toBeLessThan(400)
  })

  it('a reversed device of marked terminals trips and does not break', () => {
    const rig = aBay()
    const marked: Rig = {
      ...rig,
      parts: rig.parts.map((part) =>
        part.id === 'b1w1' ? { ...(part as DevicePart), marking: 'line-load' } : part,
      ),
    }
    const fault = { kind: 'fault', leak: { id: 'f', from: 'c1p3.L', to: 'c1p3.N', ohm: 0.01 } } as const
    expect(run(marked, fault).happenings.some(({ kind }) => kind === 'failedToBreak')).toBe(false)
    expect(
      run(withFault(marked, 'deviceReversed', 'b1w1'), fault).happenings.some(
        ({ kind }) => kind === 'failedToBreak',
      ),
    ).toBe(true)
  })

  it('leakage adds up: electronics behind one device trip it together though none would alone', () => {
    const loads = [1, 2, 3, 4, 5].reduce((rig, i) => anElectronicLoad(rig, `c1p${i}`, 6e-3), aBay())
    expect(tripped(run(loads, plugIn('c1p1')).happenings)).toEqual([])
    expect(
      tripped(
        run(loads, plugIn('c1p1'), plugIn('c1p2'), plugIn('c1p3'), plugIn('c1p4'), plugIn('c1p5')).happenings,
      ),
    ).toEqual(['b1rcdA residual'])
  })
})

describe('every fault of the catalogue', () => {
  const rig = rigOf(
    splitBoard({
      circuits: [
        aRing(),
        someLights(),
        someLights({ id: 'c3', name: 'More lights', way: 3, residualA: 0.03 }),
      ],
    }),
  )
  const fed = rigOf(
    splitBoard({
      boards: [aBoard({ ways: 6 }), aBoard({ id: 'b2', name: 'Second', ways: 4, fedBy: 'c2' })],
      circuits: [
        aRing(),
        aCircuit({
          id: 'c2',
          name: 'Feed',
          way: 2,
          use: 'distribution',
          load: { basis: 'board' },
          lengthM: 10,
        }),
        someLights({ id: 'c3', board: 'b2', way: 1 }),
      ],
    }),
  )
  it.each([
    ['one board', rig],
    ['a board behind a board', fed],
  ])('makes a rig that is still a bay, and changes something: %s', (_, sound) => {
    const all = possibleFaults(sound)
    expect(new Set(all.map(({ kind, place }) => `${kind.code} ${place.key}`)).size).toBe(all.length)
    for (const { kind, place } of all) {
      const faulted = kind.apply(sound, place)
      expect(
        rigProblems(faulted).map(({ code }) => code),
        `${kind.code} ${place.key}`,
      ).toEqual([])
      expect(faulted, `${kind.code} ${place.key}`).not.toBe(sound)
    }
  })

  it.each([
    ['one board', rig],
    ['a board behind a board', fed],
  ])('leaves room for a second one wherever that says it can be: %s', (_, sound) => {
    const first = new Map(
      possibleFaults(sound).map((possibleFault) => [possibleFault.kind.code, possibleFault]),
    )
    for (const one of first.values()) {
      const faulted = one.kind.apply(sound, one.place)
      for (const { kind, place } of possibleFaults(faulted))
        expect(
          kind.apply(faulted, place),
          `${kind.code} ${place.key} after ${one.kind.code} ${one.place.key}`,
        ).not.toBe(faulted)
    }
  })

  // Kirchhoff's current law at every node is checked by the solver itself; a bay that broke it would not be solved.
  it('is solved, energised or dead, in any position of its switches', () => {
    const all = possibleFaults(rig)
    const working = workingState(rig)
    fc.assert(
      fc.property(
        fc.nat(all.length - 1),
        fc.nat(all.length - 1),
        fc.array(fc.constantFrom(...Object.keys(working.closed), 'c2p0', 'c1p1', 'c1p4'), { maxLength: 6 }),
        fc.boolean(),
        (a, b, turned, isOn) => {
          const faulted = all[a]!.kind.apply(rig, all[a]!.place)
          const two = all[b]!.kind.places(faulted).find(({ key }) => key === all[b]!.place.key)
          const made = two ? all[b]!.kind.apply(faulted, two) : faulted
          const turn = (marks: BayState['closed']) =>
            Object.fromEntries(
              Object.keys({ ...marks, ...Object.fromEntries(turned.map((id) => [id, true])) }).map((id) => [
                id,
                turned.includes(id) ? !marks[id] : (marks[id] ?? false),
              ]),
            )
          const state: BayState = {
            ...working,
            isSupplyOn: isOn,
            closed: turn(working.closed),
            thrown: turn(working.thrown),
            inUse: turn(working.inUse),
          }
          const solved = solveBay(made, state)
          expect(solved.ok, solved.ok ? '' : `${solved.reason} ${solved.name}`).toBe(true)
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('the two ends of a ring', () => {
  it('may be interchanged: nothing changes', () => {
    const rig = aBay()
    const ends = (bar: string) =>
      rig.wires.flatMap(({ run, from, to }) =>
        run === 'c1run' ? [from, to].filter((ref) => ref.startsWith(`${bar}.`)) : [],
      )
    const interchanged = [ends('b1nA'), ends('b1e')].reduce(
      (made, [one, other]) => swapTerminals(made, one!, other!),
      rig,
    )
    expect(interchanged).not.toEqual(rig)
    const volt = (entry: Rig) => {
      const solved = solveBay(entry, { ...workingState(entry), inUse: { c1p2: true } })
      return solved.ok ? magnitude(solved.volt('c1p2.L')) : NaN
    }
    expect(volt(interchanged)).toBeCloseTo(volt(rig), 9)
  })
})

it('a dead bay has no voltage anywhere', () => {
  const rig = aBay()
  const solved = solveBay(rig, deadState(rig))
  if (!solved.ok) throw new Error(solved.name)
  for (const { from } of rig.wires) expect(magnitude(solved.volt(from))).toBeLessThan(1e-6)
})
