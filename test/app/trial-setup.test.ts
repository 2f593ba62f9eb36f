/* What a trial adds to a bay: loads, links, free ends, touches; the wiring itself is never changed by it. */
import { shallowRef } from 'vue'
import { beforeEach, expect, it } from 'vitest'
import { deadState, type BayState } from '#core/bay/behaviour/state'
import { practiceBay } from '#core/bay/practice/bays'
import type { Rig } from '#core/bay/model/rig'
import { useTrialSetup } from '~/composables/useTrialSetup'

const HEATERS = practiceBay('heaters')!.rig()
const BEFORE = structuredClone(HEATERS)
const wired = shallowRef<Rig | null>(HEATERS)
const state = shallowRef<BayState | null>(deadState(HEATERS))
let trial: ReturnType<typeof useTrialSetup>
beforeEach(() => {
  wired.value = HEATERS
  trial = useTrialSetup(() => wired.value, state)
})
const partOf = (id: string) => trial.asTried.value!.parts.find((part) => part.id === id)!

it('nothing added, it is the bay as wired; without a bay there is none', () => {
  expect(trial.asTried.value).toEqual(HEATERS)
  wired.value = null
  expect(trial.asTried.value).toBeNull()
})
it('a load is set at its socket alone, and set again', () => {
  trial.setLoad('c1p1', 2000)
  trial.setLoad('c1p1', 3000)
  expect(partOf('c1p1')).toMatchObject({ load: { watt: 3000 } })
  expect(partOf('c1p2')).toEqual(HEATERS.parts.find(({ id }) => id === 'c1p2'))
})
it('a link is a good lead between its two places for as long as it is in', () => {
  trial.links.value = [['b1w1.L out', 'b1e.2']]
  expect(trial.asTried.value!.leaks).toMatchObject([{ from: 'b1w1.L out', to: 'b1e.2', ohm: 0.001 }])
  trial.links.value = []
  expect(trial.asTried.value!.leaks).toEqual(HEATERS.leaks)
})
it('an end that is taken out is joined to nothing there', () => {
  const { id, to } = HEATERS.wires.find(({ from }) => from === 'b1w1.L out')!
  trial.freed.value = [{ wire: id, end: 'from' }]
  const freed = trial.asTried.value!.wires.find((wire) => wire.id === id)!
  expect(freed.to).toBe(to)
  expect(freed.from).not.toBe('b1w1.L out')
})
it('ended, loads and touches are gone; links and free ends stay until the hand takes them', () => {
  trial.setLoad('c1p1', 2000)
  trial.leaks.value = [trial.newTouch('c1p1.L', 'c1p1.E', 0.1)]
  trial.links.value = [['b1w1.L out', 'b1e.2']]
  trial.reset()
  expect(trial.asTried.value!.leaks.map(({ id }) => id)).toEqual(['link1'])
  expect(partOf('c1p1')).toEqual(HEATERS.parts.find(({ id }) => id === 'c1p1'))
})
it('the bay as wired has not been touched by any of it', () => {
  trial.setLoad('c1p1', 2000)
  trial.links.value = [['b1w1.L out', 'b1e.2']]
  void trial.asTried.value
  expect(HEATERS).toEqual(BEFORE)
})
