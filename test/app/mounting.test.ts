/* What a hand does with a box of parts: nothing stands where it cannot, and no proof outlives a change. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { reactive, shallowRef } from 'vue'
import { bareRig, routesOf } from '#core/bay/model/wiring'
import { mountingFields } from '#core/bay/mount/mounted'
import { polesToProve, proofField } from '#core/bay/mount/proof'
import { benchBoard } from '#core/bay/practice/bench-board'
import { practiceBay } from '#core/bay/practice/bays'
import type { Rig } from '#core/bay/model/rig'
import type { BayView } from '#schemas/bay-views'
import { useMounting } from '../../app/composables/useMounting'

const warned = vi.hoisted(() => vi.fn())
vi.mock('../../app/utils/warn', () => ({ warn: warned }))
beforeEach(() => warned.mockReset())

const viewOf = (rig: Rig, isBare: boolean): BayView => ({
  ...{ key: 'practice-bench', title: '', about: '', fields: {}, version: 0, savedAt: null },
  ...{ bare: bareRig(rig), routes: routesOf(rig), canBeWired: true, canBeBare: true, isBare },
})
function mounting(start: Record<string, string> = {}, isBare = true) {
  const fields = reactive<Record<string, string>>({ ...start })
  const view = shallowRef<BayView | null>(viewOf(benchBoard(), isBare))
  const one = useMounting(view, fields)
  /** As a change is kept: with the proofs that it loses. */
  const put = (change: Readonly<Record<string, string>> | string) => {
    if (typeof change !== 'string') Object.assign(fields, one.proofsLost(change), change)
    return change
  }
  return { ...one, fields, view, put }
}
const ALL = mountingFields(benchBoard())
const PROVED = Object.fromEntries(
  polesToProve(benchBoard()).map((proof) => [proofField(proof), proof.position === 'open' ? 'over' : '0.02']),
)

describe('a device in the hand', () => {
  it('asks for the rail, then stands where it was put', () => {
    const { picked, touchPlace, put, places } = mounting()
    expect(touchPlace('b1', 1)).toMatch(/Pick a part/)
    picked.value = { is: 'device', id: 'b1main' }
    expect(touchPlace('b1', 1)).toMatch(/Fit the rail first/)
    put({ 'rail.b1': 'fitted' })
    put(touchPlace('b1', 1))
    expect(places.value.get('b1main')).toBe(1)
  })
  it('is told how much room it takes where it does not fit', () => {
    const { picked, touchPlace } = mounting(ALL)
    picked.value = { is: 'device', id: 'b1rcd' }
    expect(touchPlace('b1', 8)).toBe('RCD takes 2 modules: there is no room for it at 8.')
    expect(touchPlace('nowhere', 1)).toMatch(/Pick a part/)
  })
  it('a blank comes off where it is touched again, and gives way to a device', () => {
    const { picked, touchPlace, put, fields } = mounting({ 'rail.b1': 'fitted' })
    picked.value = { is: 'blank' }
    put(touchPlace('b1', 7))
    expect(fields['cover.b1.7']).toBe('fitted')
    put(touchPlace('b1', 7))
    expect(fields['cover.b1.7']).toBe('')
    put(touchPlace('b1', 7))
    picked.value = { is: 'device', id: 'b1w1' }
    put(touchPlace('b1', 7))
    expect([fields['mount.b1w1'], fields['cover.b1.7']]).toEqual(['7', ''])
  })
})

it('a device clears the blanks under all of its modules, so that none is there again when it moves', () => {
  const { picked, touchPlace } = mounting({ 'rail.b1': 'fitted', 'cover.b1.4': 'fitted' })
  picked.value = { is: 'device', id: 'b1rcd' }
  expect(touchPlace('b1', 3)).toEqual({ 'mount.b1rcd': '3', 'cover.b1.3': '', 'cover.b1.4': '' })
})

describe('taking a part off', () => {
  it('takes the conductors at it, and no other whose name begins alike', () => {
    const { takeOff } = mounting({
      ...ALL,
      'wire.a': 'b1w1.L out|c1p0.C|1.5|brown',
      'wire.b': 'b1n.2|b1w1.L in|1.5|blue',
      'wire.c': 'b1w10.L out|c1p0.C|1.5|brown',
    })
    expect(takeOff('b1w1')).toEqual({ 'mount.b1w1': '', 'wire.a': '', 'wire.b': '' })
  })
})

describe('the supply', () => {
  const off = { isSupplyOn: false }
  it('waits until each pole has been read open and closed', () => {
    const { refusesSupply, put, toProve } = mounting(ALL)
    expect(toProve.value).toHaveLength(12)
    expect(refusesSupply(off)).toBe(true)
    expect(warned).toHaveBeenCalledWith('Prove the poles first: 12 readings are missing.')
    put({ ...PROVED, 'proof.b1w2.L.open': '88' })
    expect(refusesSupply(off)).toBe(true)
    expect(warned).toHaveBeenLastCalledWith('Prove the poles first: 1 reading is missing.')
    put(PROVED)
    expect(refusesSupply(off)).toBe(false)
  })
  it('may always be switched off', () => {
    expect(mounting(ALL).refusesSupply({ isSupplyOn: true })).toBe(false)
  })
  it.each([
    ['a conductor', { 'wire.n1': 'b1main.L out|b1rcd.L in|6|brown' }],
    ['a device', { 'mount.b1w2': '8' }],
    ['the busbar', { 'comb.b1bus': '3' }],
  ])('%s that is changed after the proof loses it', (_, change) => {
    const { put, refusesSupply } = mounting({ ...ALL, ...PROVED })
    expect(refusesSupply(off)).toBe(false)
    put(change)
    expect(refusesSupply(off)).toBe(true)
  })
  it('a label or a blank leaves the proofs standing', () => {
    const { put, refusesSupply } = mounting({ ...ALL, ...PROVED })
    put({ 'label.b1.1': 'Lamp', 'cover.b1.7': '' })
    expect(refusesSupply(off)).toBe(false)
  })
})

describe('another bay', () => {
  it('is mounted from the start unless somebody chose the bare enclosure', () => {
    const { isBare, base, put, toProve } = mounting({}, false)
    expect([isBare.value, toProve.value]).toEqual([false, []])
    expect(base.value!.parts.some(({ id }) => id === 'b1main')).toBe(true)
    put({ 'from.bare': 'yes' })
    expect(isBare.value).toBe(true)
    expect(base.value!.parts.some(({ id }) => id === 'b1main')).toBe(false)
  })
  it('with three lines it stays mounted, whatever is kept', () => {
    const { view, isBare } = mounting({ 'from.bare': 'yes' }, false)
    view.value = viewOf(practiceBay('three')!.rig(), false)
    expect(isBare.value).toBe(false)
  })
})
