/* What an indicator shows where hands are to go: every pair of conductors, at the bay as it stands. Pairs after HSG85
   and the trade's practice guides on safe isolation (three for one line, ten for three lines with neutral and earth),
   from memory; that a detector without contact, or one pair alone, proves nothing: GS 38, from memory. */
import { describe, expect, it } from 'vitest'
import { swapTerminals } from '#core/bay/faults/edit'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { begin, type Shown, type TrainerState } from '#core/isolation/trainer/state'
import { lathe, workshop, worldOf } from '#core/isolation/trainer/scenarios/places'
import { deviceEnds, pairsOf, showAt, showsLive, testTerminals } from '#core/isolation/trainer/test-point'
import { wireBetween, withFault } from '../support/bay'

function at(rig: Rig, point: string, parts: Partial<TrainerState> = {}) {
  const state: TrainerState = { ...begin({ ...worldOf({ rig, point }), level: 'first' }), ...parts }
  const terminals = testTerminals(state, indexParts(rig).get(point)!)
  return {
    state,
    terminals,
    shown: (indicator: Shown['indicator'], isEveryPair = true) =>
      showAt(state, indicator, terminals, isEveryPair),
  }
}
const volts = ({ pairs }: Shown) => Object.fromEntries(pairs.map(({ name, volt }) => [name, volt]))
/** Off at its way, as the bay stands then. */
const off = (rig: Rig, way: string): Partial<TrainerState> => {
  const { state } = worldOf({ rig, point: '' })
  return { bay: { ...state, closed: { ...state.closed, [way]: false } } }
}

describe('pairs', () => {
  it.each([
    [2, 1],
    [3, 3],
    [5, 10],
  ])('of %i conductors: %i', (conductors, pairs) =>
    expect(pairsOf(Array.from({ length: conductors }, (_, i) => `p.${i}`))).toHaveLength(pairs),
  )
  it('none with itself, none twice', () => {
    const seen = pairsOf(['a', 'b', 'c', 'd']).map((pair) => pair.toSorted().join())
    expect(new Set(seen).size).toBe(6)
    expect(seen.every((pair) => pair[0] !== pair[2])).toBe(true)
  })
})

describe('a two-pole indicator', () => {
  it('at a socket that is live: line to neutral and to earth, nothing between these two', () => {
    const shown = at(workshop(), 'c1p1').shown('two-pole')
    expect(volts(shown)).toEqual({ 'L–N': 230, 'L–E': 230, 'N–E': 0 })
    expect(showsLive(shown)).toBe(true)
  })
  it('at a three-phase machine: 400 V from line to line, 230 V to earth', () => {
    const shown = volts(at(lathe(), 'c1p1').shown('two-pole'))
    for (const pair of ['L1–L2', 'L1–L3', 'L2–L3']) expect(shown[pair], pair).toBe(400)
    for (const line of ['L1', 'L2', 'L3']) expect(shown[`${line}–E`], line).toBe(230)
  })
  it('lights nothing once the way is off, and its neighbour is as live as before', () => {
    const rig = workshop()
    expect(showsLive(at(rig, 'c1p1', off(rig, 'b1w1')).shown('two-pole'))).toBe(false)
    expect(showsLive(at(rig, 'c3p1', off(rig, 'b1w1')).shown('two-pole'))).toBe(true)
  })
  it('that does not work shows a live socket as dead: it is proved before and after', () => {
    const broken = at(workshop(), 'c1p1', { isIndicatorWorking: false })
    expect(showsLive(broken.shown('two-pole'))).toBe(false)
    expect(broken.shown('plug-in').says).toBe('noPower')
  })
  it('at one pair alone misses what the others show: a neutral that is open leaves line to earth live', () => {
    const rig = workshop()
    const open = withFault(rig, 'neutralOpen', wireBetween(rig, 'b1nA', 'c1p1'))
    const { shown } = at(open, 'c1p1')
    const all = volts(shown('two-pole'))
    expect(all['L–E']).toBe(230)
    expect(shown('two-pole', false).pairs).toHaveLength(1)
  })
})

describe('what does not prove dead', () => {
  it('a detector without contact glows at a line and says nothing of pairs', () => {
    const rig = workshop()
    expect(at(rig, 'c1p1').shown('non-contact')).toEqual({
      indicator: 'non-contact',
      pairs: [],
      says: 'glows',
    })
    const dead = at(rig, 'c1p1', off(rig, 'b1w1')).shown('non-contact')
    expect([dead.says, showsLive(dead)]).toEqual(['noGlow', false])
  })
  it('a plug-in tester tells how the socket is wired, and nothing lit is not dead but “no power”', () => {
    const rig = workshop()
    expect(at(rig, 'c1p1').shown('plug-in').says).toBe('right')
    const swapped = swapTerminals(rig, 'c1p1.L', 'c1p1.N')
    expect(at(swapped, 'c1p1').shown('plug-in').says).toBe('lineNeutralSwapped')
    expect(at(rig, 'c1p1', off(rig, 'b1w1')).shown('plug-in').says).toBe('noPower')
  })
  it('at anything else than a socket it says only whether something lights', () => {
    const rig = workshop()
    expect(at(rig, 'c2p1').shown('plug-in').says).toBe('lit')
    expect(at(rig, 'c2p1', off(rig, 'b1w2')).shown('plug-in').says).toBe('noPower')
  })
})

describe('at the board', () => {
  it('the ends that leave a way are tested against one bar of each kind', () => {
    const { state } = at(workshop(), 'c1p1')
    const ends = deviceEnds(state, 'b1w1')
    expect(ends[0]).toBe('b1w1.L out')
    expect(ends.slice(1).map((ref) => indexParts(state.rig).get(ref.split('.')[0]!)!.kind)).toEqual([
      'bar',
      'bar',
    ])
    expect(volts(showAt(state, 'two-pole', ends, true))).toMatchObject({ 'L–1': 230 })
  })
  it('a three-phase way has an end for each line', () =>
    expect(deviceEnds(at(lathe(), 'c1p1').state, 'b1w1').slice(0, 3)).toEqual([
      'b1w1.L1 out',
      'b1w1.L2 out',
      'b1w1.L3 out',
    ]))
})
