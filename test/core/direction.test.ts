/* Which end of a device is fed, and what follows from a second source (BS 7671 A3:2024 530.3.201, from memory). */
import { describe, expect, test } from 'vitest'
import { compareRigs } from '#core/bay/compare/compare'
import { fedEnds, isFedWrong } from '#core/bay/behaviour/fed-ends'
import { solveBay } from '#core/bay/behaviour/network-of'
import { simulate } from '#core/bay/behaviour/simulate'
import { magnitude, subtract } from '#core/bay/network/complex'
import { workingState, type BayState } from '#core/bay/behaviour/state'
import { watchDevice } from '#core/bay/behaviour/watch'
import type { DevicePart, Rig } from '#core/bay/model/rig'
import { installationAdvice } from '#core/design/advice'
import { referenceDesign } from '#core/design/reference'
import { readForm } from '#core/exercise/form/read-form'
import { toForm } from '#core/exercise/form/to-form'
import { inspectionItems } from '#core/inspection/items'
import type { Circuit, Installation } from '#core/installation/installation'
import { DEFAULT_POLICY } from '#core/policies/policy'
import type { Edition } from '#core/regulations/editions'
import { findingSentence } from '#words/findings/findings'
import { aBattery, aRing, rigOf, someLights } from '../support/bay'
import { RULES, aBoard, aCircuit, anExercise, anInstallation } from '../support/task'

const withBattery = (parts: Partial<Circuit> = {}): Installation =>
  anInstallation({ boards: [aBoard({ ways: 6 })], circuits: [aRing(), someLights(), aBattery(parts)] })
const designAt = (installation: Installation, edition: Edition) =>
  referenceDesign(installation, { ...RULES, edition })
const codes = (installation: Installation, edition: Edition = '18-A3') =>
  installationAdvice(installation, designAt(installation, edition)).map(
    ({ scope, finding }) => `${scope} ${finding.code}`,
  )
function solvedBay(rig: Rig, state: BayState) {
  const solved = solveBay(rig, state)
  if (!solved.ok) throw new Error(solved.name)
  return solved
}
const deviceOf = (rig: Rig, id: string) => rig.parts.find((part): part is DevicePart => part.id === id)!

describe('which end is fed', () => {
  test('of every device that only loads lie behind: its supply end alone', () => {
    const ends = fedEnds(
      rigOf(anInstallation({ boards: [aBoard({ ways: 6 })], circuits: [aRing(), someLights()] })),
    )
    for (const [id, fed] of ends) expect(fed, id).toEqual({ in: true, out: false })
  })

  test('a battery feeds its own device from behind, and the main switch with it; the lights stay as they were', () => {
    const ends = fedEnds(rigOf(withBattery()))
    expect(ends.get('b1w3')).toEqual({ in: true, out: true })
    expect(ends.get('b1main')).toEqual({ in: true, out: true })
    expect(ends.get('b1w2')).toMatchObject({ out: false })
  })

  test('through a board further out, back to the origin', () => {
    const rig = rigOf(
      anInstallation({
        boards: [aBoard({ ways: 6 }), aBoard({ id: 'b2', name: 'Shed', ways: 4, fedBy: 'f1' })],
        circuits: [
          aCircuit({
            id: 'f1',
            name: 'Shed',
            way: 1,
            use: 'distribution',
            load: { basis: 'board' },
            device: { family: 'breaker', curve: 'C' },
            residualA: null,
          }),
          aBattery({ board: 'b2', way: 1 }),
        ],
      }),
    )
    expect([...fedEnds(rig)].filter(([, { in: a, out: b }]) => a && b).map(([id]) => id)).toEqual(
      expect.arrayContaining(['b1main', 'b1w1', 'b2main', 'b2w1']),
    )
  })

  test('a device marked line and load is fed wrong where power comes from behind it', () => {
    const rig = rigOf(withBattery({ marking: 'line-load' }))
    const ends = fedEnds(rig)
    const wrong = rig.parts.filter((part) => part.kind === 'device' && isFedWrong(part, ends.get(part.id)))
    expect(wrong.map(({ id }) => id)).toEqual(['b1w3'])
  })
})

test('beyond a cut in the busbar nothing is fed from this side', () => {
  const rig = rigOf(withBattery())
  const cut = {
    ...rig,
    busbars: rig.busbars.map((busbar) => ({ ...busbar, cutAfter: busbar.teeth.map((_, i) => i) })),
  }
  expect(fedEnds(cut).get('b1w3')).toEqual({ in: false, out: true })
  expect(fedEnds(cut).get('b1main')).toMatchObject({ out: false })
})

test('the bay as built names a unidirectional device that is fed at its load end, and no other', () => {
  const reversed = (parts: Partial<Circuit>) => {
    const rig = rigOf(withBattery(parts))
    return compareRigs(rig, rig).flatMap(({ code, at }) => (code === 'deviceReversed' ? at : []))
  }
  expect(reversed({})).toEqual([])
  expect(reversed({ marking: 'line-load' })).toEqual(['b1w3.L in'])
})

describe('at the bay', () => {
  const running = (rig: Rig) => ({ ...workingState(rig), inUse: { c3p1: true } })

  test('a battery of 3 kW sends 3 kW ÷ 230 V back through its device', () => {
    const rig = rigOf(withBattery())
    const solved = solvedBay(rig, running(rig))
    const reading = watchDevice(deviceOf(rig, 'b1w3'), solved)
    expect(reading.isReversed).toBe(true)
    // What it sends raises the voltage at its end: U = U0 + I × r, and I = U × 3000 W ÷ U0².
    const volt = magnitude(subtract(solved.volt('c3p1.L'), solved.volt('c3p1.N')))
    expect(volt).toBeGreaterThan(230)
    expect(reading.ampere).toBeCloseTo((volt * 3000) / 230 ** 2, 2)
  })

  test('without the supply it gives nothing: it has stopped by itself', () => {
    const rig = rigOf(withBattery())
    const solved = solvedBay(rig, { ...running(rig), isSupplyOn: false })
    expect(Math.hypot(solved.volt('c3p1.L').re, solved.volt('c3p1.L').im)).toBeLessThan(1)
  })

  test.each([
    ['either' as const, 'tripped'],
    ['line-load' as const, 'failedToBreak'],
  ])('an earth fault trips the RCBO while the battery feeds: marked %s it %s', (marking, last) => {
    const rig = rigOf(withBattery({ marking }))
    const leak = { id: 'damp', from: 'c3p1.L', to: 'c3p1.E', ohm: 2000 }
    const { happenings } = simulate(rig, running(rig), [{ kind: 'fault', atS: 1, leak }])
    const kinds = happenings.filter((one) => 'part' in one && one.part === 'b1w3').map(({ kind }) => kind)
    expect(kinds).toContain('tripped')
    expect(kinds.includes('failedToBreak')).toBe(last === 'failedToBreak')
  })
})

describe('in the design', () => {
  const flow = (installation: Installation, edition: Edition, scope: string) =>
    designAt(installation, edition).circuits.find((one) => one.scope === scope)!.values.direction

  test('asked only where the installation has a second source, and bidirectional where it lies behind', () => {
    const plain = anInstallation({ boards: [aBoard({ ways: 6 })], circuits: [aRing(), someLights()] })
    expect(flow(plain, '18-A3', 'c1')).toBeUndefined()
    expect([flow(withBattery(), '18-A3', 'c3'), flow(withBattery(), '18-A3', 'c1')]).toEqual([1, 0])
    const step = designAt(withBattery(), '18-A3').circuits[2]!.steps.find(({ key }) => key === 'direction')!
    expect(step.working).toBe('a battery feeds back through it')
  })

  test('a device marked line and load is advised against at its circuit, two supplies at the board', () => {
    expect(codes(withBattery())).toEqual(
      expect.arrayContaining(['c3 advice.infeed', 'b1 advice.infeedBoard']),
    )
    expect(codes(withBattery())).not.toContain('c3 advice.oneWay')
    expect(codes(withBattery({ marking: 'line-load' }))).toContain('c3 advice.oneWay')
    const [finding] = installationAdvice(
      withBattery({ marking: 'line-load' }),
      designAt(withBattery({ marking: 'line-load' }), '18-A3'),
    ).filter((one) => one.finding.code === 'advice.oneWay')
    expect(findingSentence(finding!.finding)).toContain('a battery feeds its load end')
  })

  test('marked line and load on a circuit that only takes power is nothing to say', () => {
    const circuits = [aRing({ marking: 'line-load' }), aBattery()]
    expect(codes(anInstallation({ boards: [aBoard({ ways: 6 })], circuits }))).not.toContain(
      'c1 advice.oneWay',
    )
  })

  test('goes through the boxes of the builder and back; a form from before has no second source', () => {
    const exercise = anExercise({ installation: withBattery({ marking: 'line-load' }) })
    const form = toForm(exercise)
    expect(readForm(form, DEFAULT_POLICY).exercise!.installation.circuits[2]).toMatchObject({
      infeed: 'battery',
      marking: 'line-load',
    })
    const { 'c3.infeed': _i, 'c3.marking': _m, ...before } = form
    const read = readForm(before, DEFAULT_POLICY).exercise!.installation.circuits[2]!
    expect([read.infeed, read.marking]).toEqual([undefined, undefined])
    expect(readForm({ ...form, 'c3.infeed': 'windmill' }, DEFAULT_POLICY).problems).toHaveProperty(
      'c3.infeed',
    )
  })
})

test('the inspection of a bay with two supplies looks at the direction of its devices and at the notice', () => {
  const keys = inspectionItems(rigOf(withBattery())).map(({ key }) => key)
  expect(keys).toEqual(expect.arrayContaining(['direction-b1w3', 'direction-b1main', 'sources-b1']))
  const plain = inspectionItems(
    rigOf(anInstallation({ boards: [aBoard({ ways: 6 })], circuits: [someLights()] })),
  )
  expect(plain.filter(({ what }) => what === 'direction' || what === 'sources')).toEqual([])
})

describe('at the board', () => {
  const boardValues = (installation: Installation) => designAt(installation, '18-A3').boards[0]!.values
  test('what only gives is no demand, a battery is charged from here too; the busbar carries both sources', () => {
    const sockets = anInstallation({ boards: [aBoard({ ways: 6 })], circuits: [aRing(), someLights()] })
    const plain = boardValues(sockets)
    const modules = boardValues(withBattery({ infeed: 'photovoltaic' }))
    const charged = boardValues(withBattery())
    expect(modules.demand).toBeCloseTo(plain.demand!, 6)
    expect(charged.demand! - plain.demand!).toBeGreaterThan(10)
    // 551.7.2 by hand: a main switch of 100 A and 3000 ÷ 230 = 13.0 A beside it need more than 100 A of busbar.
    expect(plain.busbar).toBe(100)
    expect(modules.busbar).toBe(125)
  })
})
