/* Faults planted by pointing: narrowed by place and by aim, three at the most, and what is shown is of the last choice. */
import { computed, effectScope, nextTick, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { possibleFaults } from '#core/bay/faults/catalogue'
import { practiceBay } from '#core/bay/practice/bays'
import { AIMS } from '#core/testing/fault-finding/aims'
import type { PlantBay } from '#schemas/fault-finding-views'
import { usePlant } from '~/composables/usePlant'

const bayOf = (code: string): PlantBay => {
  const rig = practiceBay(code)!.rig()
  const aimOf = (fault: string) => AIMS.find(({ faults }) => faults.includes(fault))?.code
  return {
    code,
    title: code,
    rig,
    aims: AIMS.map((aim) => ({ code: aim.code, name: aim.code })),
    faults: possibleFaults(rig).flatMap(({ kind, place }) => {
      const aim = aimOf(kind.code)
      return aim ? [{ code: kind.code, place: place.key, name: kind.code, where: '', at: place.at, aim }] : []
    }),
  }
}
/** Answers of the server, given when the test says so. */
const loaded = ref('ring')
let waiting: { readonly codes: string[]; readonly answer: (of: string) => void; readonly fail: () => void }[]
const problems = vi.fn()
let scope: ReturnType<typeof effectScope>
const code = ref('ring')
const plantHere = () =>
  scope.run(() =>
    usePlant(code, {
      bay: computed(() => bayOf(loaded.value)),
      ask: (_, faults) =>
        new Promise((answer, fail) =>
          waiting.push({
            codes: faults.map((fault) => fault.code),
            answer: (of) => answer({ of } as never),
            fail: () => fail(new Error('no network')),
          }),
        ),
      tell: problems,
    }),
  )!
beforeEach(() => {
  scope = effectScope()
  waiting = []
  code.value = 'ring'
  loaded.value = 'ring'
  problems.mockClear()
})
afterEach(() => scope.stop())
const told = () => new Promise((done) => setTimeout(done))

describe('pointing', () => {
  it('narrows what can be planted to the place, and to the aim', () => {
    const plant = plantHere()
    const everywhere = plant.shown.value.length
    plant.pointed.value = { is: 'part', id: 'c1p2' }
    expect(plant.shown.value.length).toBeGreaterThan(0)
    expect(plant.shown.value.length).toBeLessThan(everywhere)
    plant.aim.value = 'leak'
    expect(new Set(plant.shown.value.map(({ aim }) => aim))).toEqual(new Set(['leak']))
    expect(plant.shown.value.every(({ at }) => at.includes('c1p2'))).toBe(true)
  })
})

describe('choosing', () => {
  it('keeps the last three, and takes one out again', async () => {
    const plant = plantHere()
    const four = plant.shown.value.slice(0, 4)
    for (const fault of four) void plant.toggle(fault)
    expect(plant.chosen.value).toEqual(four.slice(1))
    void plant.toggle(four[3]!)
    expect(plant.chosen.value).toEqual(four.slice(1, 3))
    expect(plant.isChosen(four[3]!)).toBe(false)
  })
  it('shows what the last choice makes, however late the answer to an earlier one comes', async () => {
    const plant = plantHere()
    const [a, b] = plant.shown.value
    void plant.toggle(a!)
    void plant.toggle(b!)
    expect(plant.isComputing.value).toBe(true)
    waiting[1]!.answer('both')
    await told()
    waiting[0]!.answer('the first alone')
    await told()
    expect(plant.preview.value).toEqual({ of: 'both' })
    expect(plant.isComputing.value).toBe(false)
  })
  it('with nothing chosen, or in another bay, shows nothing and asks nothing', async () => {
    const plant = plantHere()
    plant.pointed.value = { is: 'part', id: 'c1p2' }
    void plant.toggle(plant.shown.value[0]!)
    code.value = 'split'
    await nextTick()
    waiting[0]!.answer('of the ring')
    await told()
    expect(plant.preview.value).toBeNull()
    expect(plant.chosen.value).toEqual([])
    expect(plant.pointed.value).toBeNull()
    expect(waiting).toHaveLength(1)
  })
  it('offers nothing of the bay before while another one comes', async () => {
    const plant = plantHere()
    expect(plant.shown.value.length).toBeGreaterThan(0)
    code.value = 'split'
    await nextTick()
    expect(plant.shown.value).toEqual([])
    expect(plant.layout.value).toBeNull()
    loaded.value = 'split'
    await nextTick()
    expect(plant.shown.value.length).toBeGreaterThan(0)
    expect(plant.bay.value!.code).toBe('split')
  })
  it('says why nothing could be computed, and goes on with the next choice', async () => {
    const plant = plantHere()
    void plant.toggle(plant.shown.value[0]!)
    waiting[0]!.fail()
    await told()
    expect(problems).toHaveBeenCalledOnce()
    expect(plant.isComputing.value).toBe(false)
    void plant.toggle(plant.shown.value[1]!)
    waiting[1]!.answer('again')
    await told()
    expect(plant.preview.value).toEqual({ of: 'again' })
  })
})
