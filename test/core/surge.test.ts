/* Surge protection on a board: in the bay, under test, laid out, on the form, in stores. BS 7671 534.4 and
   643.3.3, from memory. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { arrange, type Arranged } from '#core/arrangement/arrange'
import { boxesOf, laidBoard } from '#core/arrangement/from-installation'
import { measure } from '#core/arrangement/measure'
import { shortestLeadM, surgeLeadM } from '#core/arrangement/surge'
import { USUAL_WEIGHTS, wishesOf } from '#core/arrangement/wishes'
import { deadState, workingState } from '#core/bay/behaviour/state'
import { simulate } from '#core/bay/behaviour/simulate'
import { layoutBay } from '#core/bay/layout/layout'
import { rigProblems } from '#core/bay/model/check'
import type { Rig } from '#core/bay/model/rig'
import { boardNeeds } from '#core/design/materials/board-needs'
import { referenceDesign } from '#core/design/reference'
import { BLANK_EXERCISE } from '#core/exercise/form/blank'
import { readForm } from '#core/exercise/form/read-form'
import { toForm } from '#core/exercise/form/to-form'
import { structureProblems } from '#core/installation/check'
import type { Board } from '#core/installation/installation'
import { DEFAULT_POLICY } from '#core/policies/policy'
import { expectedReadings } from '#core/testing/expected/expected'
import { predict } from '#core/testing/expected/predict'
import { scheduleOf } from '#core/testing/plan/schedule'
import { aRing, rigOf, someLights, splitBoard } from '../support/bay'
import { RULES, aBoard, aCircuit, anInstallation } from '../support/task'

const RULES_OF_TEST = { edition: '18-A2', rcdTests: 'all' } as const
const SURGE = { deviceWay: 4, way: 3 }
const withSpd = (parts: Partial<Board> = {}) =>
  splitBoard({ boards: [aBoard({ ways: 6, surge: SURGE, ...parts })] })
const threePhase = () =>
  anInstallation({
    intake: { ...anInstallation().intake, phases: 3 },
    boards: [aBoard({ phases: 3, ways: 4, surge: { deviceWay: 4, way: 2 } })],
    circuits: [1, 2, 3].map((i) =>
      aCircuit({ id: `c${i}`, name: `Sockets ${i}`, way: 1, line: `L${i}` as 'L1' }),
    ),
  })
/** Ends of a conductor, whichever way round it was laid. */
const joins = (rig: Rig, from: string, to: RegExp) =>
  rig.wires.some(
    ({ from: a, to: b }) => (a.startsWith(from) && to.test(b)) || (b.startsWith(from) && to.test(a)),
  )

describe('in the bay', () => {
  it.each([
    ['single phase', withSpd(), ['L']],
    ['three phase', threePhase(), ['L1', 'L2', 'L3']],
  ])(
    'stands behind a breaker of its own, before every RCD, joined to neutral and earth; %s',
    (_, made, lines) => {
      const rig = rigOf(made)
      expect(rigProblems(rig, { isWired: true })).toEqual([])
      const device = rig.parts.find((part) => part.kind === 'device' && part.way === 4)!
      for (const line of lines) {
        expect(joins(rig, `${device.id}.${line} out`, new RegExp(`^b1spd\\.${line}$`))).toBe(true)
        const comb = rig.busbars.find(({ teeth }) => teeth.includes(`${device.id}.${line} in`))!
        expect(comb.teeth[0]).toBe(`b1main.${line} out`)
      }
      expect(joins(rig, 'b1spd.N', /^b1n\./)).toBe(true)
      expect(joins(rig, 'b1spd.E', /^b1e\./)).toBe(true)
      // Neither of its ways is a spare one, and everything of it has its place on the drawing.
      expect(rig.boards[0]!.blanks).not.toEqual(expect.arrayContaining([SURGE.deviceWay]))
      expect(layoutBay(rig).terminals.has('b1spd.E')).toBe(true)
    },
  )
  it('lets nothing trip at the voltage of the supply', () => {
    const rig = rigOf(withSpd())
    const { happenings } = simulate(rig, workingState(rig), [], { untilS: 2 })
    expect(happenings.filter(({ kind }) => kind === 'tripped')).toEqual([])
  })
})

describe('under test', () => {
  const made = withSpd()
  const rig = rigOf(made)
  const whole = scheduleOf(rig, RULES_OF_TEST).find(({ kind }) => kind === 'irBoardE')!
  it('taken out, every expected reading is as without it', () => {
    const plain = splitBoard()
    const expected = (installation: typeof made) => {
      const bay = rigOf(installation)
      return expectedReadings(bay, referenceDesign(installation, RULES), scheduleOf(bay, RULES_OF_TEST))
    }
    const [with_, without] = [expected(made), expected(plain)]
    for (const [key, { value }] of without) {
      if (value === undefined) expect(with_.get(key)!.value).toBeUndefined()
      else expect(with_.get(key)!.value! / value).toBeCloseTo(1, 3)
    }
  })
  it('left in, it conducts at 500 V and the whole board reads low', () => {
    expect(predict(rig, whole)).toMatchObject({ is: 'over' })
    const left = predict(rig, whole, { lampsIn: true })
    expect(left).toMatchObject({ is: 'value' })
    expect((left as { value: number }).value).toBeLessThan(1e6)
  })
  it('is in when the bay is left as it is', () => {
    expect(deadState(rig).inUse).toHaveProperty('b1spd', true)
  })
})

describe('laid out', () => {
  const design = (made: ReturnType<typeof withSpd>) => referenceDesign(made, RULES)
  it('leads are shortest with the SPD in the first way and its device beside it', () => {
    const board = { phases: 1, ways: 6, sections: 0, reach: 12 } as const
    for (let device = 0; device < 6; device++)
      for (let spd = 0; spd < 6; spd++)
        if (device !== spd) expect(surgeLeadM(device, spd)).toBeGreaterThanOrEqual(shortestLeadM(board))
    // A module is 18 mm wide; 0.2 m of ends, common practice, no source.
    expect(surgeLeadM(1, 0)).toBeCloseTo(0.218, 9)
    expect(surgeLeadM(1, 5)).toBeCloseTo(0.362, 9)
  })
  it('is measured where it stands, computed to the best place, taken over, and not counted among the circuits', () => {
    const made = withSpd({ surge: { deviceWay: 4, way: 6 } })
    const laid = laidBoard(made, design(made), 'b1', 12)!
    expect(laid.clash).toBeNull()
    const before = measure(laid.circuits, laid.board, laid.seating)
    expect(before.surgeLeadM).toBeCloseTo(surgeLeadM(3, 5), 9)
    const best = arrange(laid.circuits, laid.board, { ...USUAL_WEIGHTS, surge: 10 }) as Arranged
    const after = measure(laid.circuits, laid.board, best.seating)
    expect(after.surgeLeadM).toBeCloseTo(shortestLeadM(laid.board), 9)
    expect(boxesOf(laid, best.seating, 'b1')).toMatchObject({ 'b1.surge': '1', 'b1.surgeDevice': '2' })
    const plain = laidBoard(splitBoard(), design(splitBoard()), 'b1', 12)!
    const other = measure(plain.circuits, plain.board, plain.seating)
    expect(before).toMatchObject({
      linesA: other.linesA,
      changes: other.changes,
      aboveDiversity: other.aboveDiversity,
    })
    expect([wishesOf(laid.circuits).includes('surge'), wishesOf(plain.circuits).includes('surge')]).toEqual([
      true,
      false,
    ])
  })
  it('takes a whole way each on a three-phase board', () => {
    const made = threePhase()
    const laid = laidBoard(made, design(made), 'b1', 12)!
    expect(laid.seating.slice(9)).toEqual([3, 3, 3])
    expect(laid.seating.slice(3, 6)).toEqual([4, 4, 4])
  })
})

describe('on the form', () => {
  const filled = (boxes: Record<string, string>) =>
    readForm({ ...BLANK_EXERCISE, code: 'X-1', title: 'Board', criteria: 'a', ...boxes }, DEFAULT_POLICY)
  it('goes out and comes back the same; a form from before has none', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 6 }), fc.integer({ min: 2, max: 6 }), (deviceWay, way) => {
        fc.pre(deviceWay !== way)
        const { exercise } = filled({ 'b1.surge': String(way), 'b1.surgeDevice': String(deviceWay) })
        expect(exercise!.installation.boards[0]!.surge).toEqual({ deviceWay, way })
        expect(toForm(exercise!)).toMatchObject({
          'b1.surge': String(way),
          'b1.surgeDevice': String(deviceWay),
        })
      }),
      { numRuns: 20 },
    )
    const { 'b1.surge': _, 'b1.surgeDevice': __, ...before } = BLANK_EXERCISE
    expect(
      readForm({ ...before, code: 'X-1', title: 'Board', criteria: 'a' }, DEFAULT_POLICY).problems,
    ).toEqual({})
  })
  it('one way without the other is asked for, at the box that is empty', () => {
    expect(filled({ 'b1.surge': '3' }).problems).toEqual({ 'b1.surgeDevice': { code: 'surgeHalf' } })
    expect(filled({ 'b1.surgeDevice': '3' }).problems).toEqual({ 'b1.surge': { code: 'surgeHalf' } })
  })
  it('a way that is taken, beyond the board, or used for both is named', () => {
    const codes = (surge: Board['surge']) =>
      structureProblems(withSpd({ surge })).map(({ field, code }) => `${field} ${code}`)
    expect(codes({ deviceWay: 1, way: 4 })).toEqual(['surgeDevice wayTaken'])
    expect(codes({ deviceWay: 4, way: 9 })).toEqual(['surge wayBeyond'])
    expect(codes({ deviceWay: 5, way: 5 })).toEqual(['surge surgeOnItself'])
    expect(codes(SURGE)).toEqual([])
  })
})

describe('in stores', () => {
  const circuits = [aRing(), someLights()]
  it('the board brings its busbars, a blank for each spare way, the SPD and its breaker', () => {
    const needs = boardNeeds(aBoard({ ways: 6, surge: SURGE }), circuits)
    const count = (part: string) => needs.find((need) => need.part === part)?.count
    // Two RCDs with a comb each, and one for what stands before them; 6 ways less 2 circuits, device and SPD.
    expect([count('busbar'), count('blank'), count('spd'), count('spd-breaker')]).toEqual([3, 2, 1, 1])
  })
  it('a full board needs no blank, and one without an SPD none', () => {
    const needs = boardNeeds(aBoard({ ways: 2 }), circuits).map(({ part }) => part)
    expect(needs).toEqual(['board', 'busbar'])
  })
})
