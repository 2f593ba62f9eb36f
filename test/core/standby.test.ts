/* A source that takes over where the grid is gone: in the bay, under test, in design, record, inspection
   and questions. BS 7671 551 and 514.15.1, from memory; first principles for currents. */
import { describe, expect, it } from 'vitest'
import { energiseInOrder } from '#core/bay/behaviour/energise'
import { fedEnds } from '#core/bay/behaviour/fed-ends'
import { MAINS, networkOf, solveBay } from '#core/bay/behaviour/network-of'
import { magnitude } from '#core/bay/network/complex'
import { trace } from '#core/bay/behaviour/trace'
import { tracePoint } from '#core/bay/behaviour/trace-point'
import { spiceListing } from '#core/bay/network/spice'
import { simulate } from '#core/bay/behaviour/simulate'
import { deadState, isEnergised, workingState, type BayState } from '#core/bay/behaviour/state'
import { prepare } from '#core/bay/instruments/setup'
import { readVoltage } from '#core/bay/instruments/voltage'
import { standbyLineOhm } from '#core/bay/build/standby'
import { layoutBay } from '#core/bay/layout/layout'
import type { Rig } from '#core/bay/model/rig'
import { rigProblems } from '#core/bay/model/check'
import { indexParts } from '#core/bay/model/terminals'
import { installationAdvice } from '#core/design/advice'
import { referenceDesign } from '#core/design/reference'
import { BLANK_EXERCISE } from '#core/exercise/form/blank'
import { readForm } from '#core/exercise/form/read-form'
import { toForm } from '#core/exercise/form/to-form'
import { inspectionItems } from '#core/inspection/items'
import { DEFAULT_POLICY } from '#core/policies/policy'
import { expectedReadings } from '#core/testing/expected/expected'
import { scheduleOf } from '#core/testing/plan/schedule'
import { sourcesOf } from '#core/testing/records/test-record'
import { findingSentence } from '#words/findings/findings'
import { happeningSentence } from '#words/happenings'
import { runSpice } from '../support/spice'
import { rigOf, splitBoard } from '../support/bay'
import { RULES, anInstallation } from '../support/task'

const intake = (source: 'generator' | 'battery', powerW = 6000, phases: 1 | 3 = 1) => ({
  ...anInstallation().intake,
  phases,
  standby: { source, powerW },
})
const made = (source: 'generator' | 'battery' = 'generator') => splitBoard({ intake: intake(source) })
const rig = rigOf(made())
const lamp = 'c2p1'
const volts = (state: BayState, ref: string) => {
  const solved = solveBay(rig, state)
  if (!solved.ok) throw new Error('not solved')
  const [a, b] = [solved.volt(ref), solved.volt(ref.replace('.L', '.N'))]
  return Math.hypot(a.re - b.re, a.im - b.im)
}
const follow = (state: BayState, actions: Parameters<typeof simulate>[2], untilS = 10) =>
  simulate(rig, state, actions, { untilS })
const gone = [{ atS: 1, kind: 'supply', on: false }] as const

describe('the bay', () => {
  it('is a bay that can be, with everything on its drawing, and every conductor where it belongs', () => {
    expect(rigProblems(rig, { isWired: true })).toEqual([])
    const { terminals } = layoutBay(rig)
    for (const ref of ['changeover.L grid', 'changeover.N standby', 'changeover.L out', 'standby.E'])
      expect(terminals.has(ref)).toBe(true)
  })
  it('stands at its voltage from the grid, and from the standby source once that has taken over', () => {
    const working = workingState(rig)
    expect(volts(working, `${lamp}.L`)).toBeGreaterThan(220)
    const dark = follow(working, gone, 2)
    expect(volts(dark.state, `${lamp}.L`)).toBeLessThan(1)
    const over = follow(working, gone, 10)
    expect(over.state.thrown.changeover).toBe(true)
    expect(volts(over.state, `${lamp}.L`)).toBeGreaterThan(215)
    const parts = indexParts(rig)
    expect(over.happenings.map((one) => happeningSentence(one, parts))).toContain(
      'Change-over goes over to the standby source.',
    )
  })
  it('goes back when the grid is back, and its source stops', () => {
    const { state } = follow(workingState(rig), [...gone, { atS: 20, kind: 'supply', on: true }], 60)
    expect([state.thrown.changeover, state.inUse.standby]).toEqual([false, false])
    expect(volts(state, `${lamp}.L`)).toBeGreaterThan(220)
  })
  it('keeps the bay live with the supply off: nobody wires it, and an instrument says so', () => {
    const { state } = follow(workingState(rig), gone, 10)
    expect(state.isSupplyOn).toBe(false)
    expect(isEnergised(rig.parts, state)).toBe(true)
    expect(isEnergised(rig.parts, workingState(rig))).toBe(true)
    expect(isEnergised(rig.parts, deadState(rig))).toBe(false)
    const open = { ...state, closed: { ...state.closed, b1main: false } }
    const shown = readVoltage(prepare(rig, open), { at: `${lamp}.L`, to: `${lamp}.N` })
    expect(shown.hazards.map(({ code }) => code)).not.toContain('supplyOff')
  })
  it('starts nothing at a bay that has never had the grid', () => {
    const { state } = follow(deadState(rig), [{ atS: 1, kind: 'close', part: 'b1main', on: true }], 60)
    expect(state.thrown.changeover ?? false).toBe(false)
    const energised = follow(deadState(rig), energiseInOrder(rig), 60)
    expect(energised.state.thrown.changeover ?? false).toBe(false)
  })
  it('one that a hand puts over, or that has no neutral, is solved too', () => {
    const lines = ['L1', 'L2', 'L3'] as const
    const bare: Rig = {
      ...rig,
      parts: [
        ...rig.parts,
        { kind: 'changeover', id: 'x', name: 'X', board: null, circuit: null, poles: lines, afterS: 1 },
        {
          kind: 'changeover',
          id: 'y',
          name: 'Y',
          board: null,
          circuit: null,
          poles: ['L', 'N'],
          afterS: null,
        },
      ],
    }
    const { happenings, state } = simulate(bare, workingState(bare), gone, { untilS: 10 })
    expect(happenings.some(({ kind }) => kind === 'unsolved')).toBe(false)
    expect([state.thrown.changeover, state.thrown.x ?? false, state.thrown.y ?? false]).toEqual([
      true,
      false,
      false,
    ])
  })
  it('never joins both: on either side the other is parted in every pole', () => {
    for (const isOver of [false, true]) {
      const state = { ...workingState(rig), thrown: { changeover: isOver }, inUse: { standby: isOver } }
      const solved = solveBay(rig, state)
      if (!solved.ok) throw new Error('not solved')
      for (const pole of ['L', 'N'])
        expect(magnitude(solved.ampere(`changeover:${pole} ${isOver ? 'grid' : 'standby'}`))).toBe(0)
    }
  })
  it('what is behind it is traced through it, from the grid, and stands off while it is over', () => {
    const point = rig.parts.find(({ id }) => id === lamp)!
    for (const { pole, steps } of tracePoint(rig, workingState(rig), point).filter(
      ({ pole }) => pole !== 'E',
    )) {
      expect([pole, steps?.some(({ through }) => through === 'changeover')]).toEqual([pole, true])
      expect(steps![0]!.from).toBe(`supply.${pole}`)
    }
    const over = { ...workingState(rig), thrown: { ...workingState(rig).thrown, changeover: true } }
    expect(trace(rig, over, 'supply.L', `${lamp}.L`)).toBeUndefined()
    expect(trace(rig, over, 'standby.L', `${lamp}.L`)).toBeDefined()
  })
  it('feeds what is behind it from the same end as the grid, so that no device is fed from its load end', () => {
    for (const [id, ends] of fedEnds(rig)) expect([id, ends.out]).toEqual([id, false])
  })
})

describe('a fault on the standby source', () => {
  it('drives a few times its rated current: 6 kW is 26 A, a generator of that size 104 A, first principles', () => {
    const ohm = standbyLineOhm({ source: 'generator', powerW: 6000 }, 1)
    expect(230 / ohm).toBeCloseTo((4 * 6000) / 230, 6)
    expect(230 / standbyLineOhm({ source: 'battery', powerW: 6000 }, 1)).toBeCloseTo((1.5 * 6000) / 230, 6)
    expect(230 / standbyLineOhm({ source: 'generator', powerW: 18_000 }, 3)).toBeCloseTo(230 / ohm, 6)
  })
  it('an RCD still opens on earth, by a current that comes back over the joined neutral', () => {
    const { state } = follow(workingState(rig), gone, 10)
    const leak = { id: 'f', from: 'c1p1.L', to: 'c1p1.E', ohm: 0.05 }
    const { happenings } = follow(state, [{ atS: 1, kind: 'fault', leak }])
    const first = happenings.find((one) => one.kind === 'tripped')!
    expect(first).toMatchObject({ part: 'b1rcdA', cause: 'residual' })
  })
  it('agrees with ngspice, on either side', () => {
    for (const isOver of [false, true]) {
      const state = {
        ...workingState(rig),
        thrown: { changeover: isOver },
        inUse: { standby: isOver, c1p1: true },
      }
      const ours = solveBay(rig, state)
      if (!ours.ok) throw new Error('not solved')
      const listing = spiceListing(networkOf(rig, state, MAINS), 'standby')!
      const theirs = runSpice(listing.text)
      for (const node of ['c1p1.L', 'c1p1.N', 'changeover.L out', 'standby.N']) {
        const [a, b] = [ours.volt(node), theirs.get(`v(${listing.nodes.get(node)!})`)!]
        expect(Math.hypot(a.re - b.re, a.im - b.im)).toBeLessThan(1e-6 * 230)
      }
    }
  })
})

describe('under test', () => {
  it('every expected reading is as without it, but for its own contact', () => {
    const expected = (installation: ReturnType<typeof made>) => {
      const bay = rigOf(installation)
      return expectedReadings(
        bay,
        referenceDesign(installation, RULES),
        scheduleOf(bay, { edition: '18-A2', rcdTests: 'all' }),
      )
    }
    const [withIt, without] = [expected(made()), expected(splitBoard({ intake: anInstallation().intake }))]
    expect([...withIt.keys()]).toEqual([...without.keys()])
    for (const [key, { value }] of without)
      if (value !== undefined) expect(Math.abs(withIt.get(key)!.value! / value - 1)).toBeLessThan(0.03)
  })
})

describe('design, record and inspection', () => {
  it('name it, what it does not carry, and that island mode is not computed', () => {
    const small = splitBoard({ intake: intake('battery', 1500) })
    const codes = (one: typeof small) =>
      installationAdvice(one, referenceDesign(one, RULES)).map(({ finding }) => finding.code)
    expect(codes(small)).toEqual(expect.arrayContaining(['advice.standby', 'advice.standbyTooSmall']))
    expect(codes(splitBoard({ intake: intake('generator', 40_000) }))).not.toContain('advice.standbyTooSmall')
    expect(codes(splitBoard())).not.toContain('advice.standby')
    const said = installationAdvice(small, referenceDesign(small, RULES)).flatMap(({ finding }) =>
      findingSentence(finding),
    )
    expect(said.join(' ')).toMatch(/With the battery in charge .* 551\.4.*the battery gives 1\.5 kW/)
    expect(sourcesOf(made())).toEqual([{ infeed: 'generator', circuit: null }])
    const notices = (one: typeof rig) => inspectionItems(one).filter(({ what }) => what === 'sources')
    expect(notices(rig)).toHaveLength(1)
    expect(notices(rigOf(splitBoard()))).toHaveLength(0)
  })
})

describe('on the form', () => {
  const filled = (boxes: Record<string, string>) =>
    readForm({ ...BLANK_EXERCISE, code: 'X-1', title: 'Board', criteria: 'a', ...boxes }, DEFAULT_POLICY)
  it('goes out and comes back the same; a form from before has none', () => {
    const { exercise } = filled({ standby: 'generator', standbyPower: '6 kW' })
    expect(exercise!.installation.intake.standby).toEqual({ source: 'generator', powerW: 6000 })
    expect(filled({ ...toForm(exercise!) }).exercise).toEqual(exercise)
    const { standby: _, standbyPower: __, ...before } = BLANK_EXERCISE
    const read = readForm({ ...before, code: 'X-1', title: 'Board', criteria: 'a' }, DEFAULT_POLICY)
    expect(read.problems).toEqual({})
    expect(read.exercise!.installation.intake).not.toHaveProperty('standby')
  })
  it('what was typed for its power stands in nobody’s way once there is none', () => {
    expect(filled({ standby: 'none', standbyPower: 'six' }).problems).toEqual({})
  })
  it('its power is asked for, and one that cannot be is named', () => {
    expect(filled({ standby: 'battery', standbyPower: '' }).problems).toEqual({
      standbyPower: { code: 'fill' },
    })
    expect(filled({ standby: 'battery', standbyPower: '-2 kW' }).problems).toHaveProperty('standbyPower')
  })
})
