/* An instrument at a bay: its probes, links and free ends; the display shows what is measured now, and nothing else. */
import { effectScope, nextTick, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Setup } from '#core/bay/instruments/setup'
import type { ReadingRequest, Taken } from '#core/bay/instruments/take'

const warned: string[] = []
vi.mock('~/utils/warn', () => ({ warn: (said: string) => void warned.push(said) }))
const { useProbes } = await import('~/composables/useProbes')

const display = (shown: string) => ({ shown }) as unknown as Taken
let asked: { readonly request: ReadingRequest; readonly answer: (taken: Taken) => void }[]
let isLive: boolean
let scope: EffectScope
const state = shallowRef<unknown>({})
const links = shallowRef<Setup['links']>([])
const freed = shallowRef<Setup['freed']>([])
let meter: ReturnType<typeof useProbes>
const answer = async (shown: string, i = asked.length - 1) => {
  asked[i]!.answer(display(shown))
  await nextTick()
}

beforeEach(() => {
  asked = []
  isLive = false
  warned.length = 0
  state.value = {}
  links.value = []
  freed.value = []
  scope = effectScope()
  const measure = (request: ReadingRequest) =>
    new Promise<Taken>((resolve) => void asked.push({ request, answer: resolve }))
  meter = scope.run(() => useProbes({ state, links, freed, measure }, () => isLive))!
})
afterEach(() => scope.stop())

describe('probes', () => {
  it('on two terminals read; a third place begins anew with an empty display', async () => {
    meter.probe('b1w1.L out')
    expect(asked).toHaveLength(0)
    meter.probe('c1p1.L')
    expect(asked[0]!.request).toMatchObject({ instrument: 'continuity', at: ['b1w1.L out', 'c1p1.L'] })
    await answer('0.42')
    expect(meter.taken.value).toEqual(display('0.42'))
    meter.probe('c1p1.E')
    expect(meter.probes.value).toEqual(['c1p1.E'])
    expect(meter.taken.value).toBeNull()
  })
  it('moved on before the reading came: the display does not show it at another place', async () => {
    meter.probe('b1w1.L out')
    meter.probe('c1p1.L')
    meter.probe('c1p1.E')
    await answer('0.42', 0)
    expect(meter.taken.value).toBeNull()
  })
  it('put elsewhere twice, the display shows the later reading, whichever comes first', async () => {
    meter.probe('b1w1.L out')
    meter.probe('c1p1.L')
    meter.probe('b1e.2')
    meter.probe('c1p1.E')
    await answer('0.91', 1)
    await answer('0.42', 0)
    expect(meter.taken.value).toEqual(display('0.91'))
  })
  it('taken off, nothing is shown, not even what was on its way', async () => {
    meter.probe('b1w1.L out')
    meter.probe('c1p1.L')
    meter.clear()
    await answer('0.42', 0)
    expect(meter.taken.value).toBeNull()
    expect(meter.probes.value).toEqual([])
  })
  it('stay on their terminals when another instrument for terminals is taken, and read with it', async () => {
    meter.probe('b1w1.L out')
    meter.probe('c1p1.L')
    meter.set({ instrument: 'insulation', volt: 250 })
    expect(asked.at(-1)!.request).toMatchObject({
      instrument: 'insulation',
      volt: 250,
      at: ['b1w1.L out', 'c1p1.L'],
    })
  })
  it('go off with an instrument that is put round conductors: a clamp takes one conductor more or less', () => {
    meter.probe('b1w1.L out')
    meter.set({ instrument: 'clamp' })
    expect(meter.probes.value).toEqual([])
    meter.clampOn('x1')
    meter.clampOn('x2')
    expect(asked.at(-1)!.request.at).toEqual(['x1', 'x2'])
    meter.clampOn('x1')
    expect(asked.at(-1)!.request.at).toEqual(['x2'])
  })
})

describe('something happens at the bay', () => {
  beforeEach(async () => {
    meter.probe('b1w1.L out')
    meter.probe('c1p1.L')
    await answer('0.42')
  })
  it('an instrument that reads all the time reads again', async () => {
    state.value = {}
    await nextTick()
    expect(asked).toHaveLength(2)
    await answer('open')
    expect(meter.taken.value).toEqual(display('open'))
  })
  it('a test that was made before is no reading of now', async () => {
    meter.set({ instrument: 'loop' })
    await answer('0.71')
    state.value = {}
    await nextTick()
    expect(meter.taken.value).toBeNull()
    expect(asked).toHaveLength(2)
  })
  it('a test that itself opens a device shows what it read', async () => {
    meter.set({ instrument: 'rcd' })
    await answer('24 ms')
    meter.set({ multiple: 5 })
    state.value = {}
    await answer('9 ms')
    expect(meter.taken.value).toEqual(display('9 ms'))
  })
})

describe('links and free ends', () => {
  it('on a dead board are made once each, and taken back one by one; the display follows', () => {
    meter.probe('b1w1.L out')
    meter.probe('b1e.1')
    meter.link('c1p1.L', 'c1p1.E')
    expect(links.value).toEqual([['c1p1.L', 'c1p1.E']])
    meter.free('x1', 'from')
    meter.free('x1', 'from')
    meter.free('x1', 'to')
    expect(freed.value).toEqual([
      { wire: 'x1', end: 'from' },
      { wire: 'x1', end: 'to' },
    ])
    meter.refit(0)
    meter.unlink(0)
    expect(freed.value).toEqual([{ wire: 'x1', end: 'to' }])
    expect(links.value).toEqual([])
    expect(asked).toHaveLength(7)
  })
  it('from a terminal to itself are none', () => {
    meter.link('c1p1.L', 'c1p1.L')
    expect(links.value).toEqual([])
  })
  it('on a live board are refused with the reason, and nothing changes', () => {
    isLive = true
    meter.link('c1p1.L', 'c1p1.E')
    meter.free('x1', 'from')
    expect(links.value).toEqual([])
    expect(freed.value).toEqual([])
    expect(warned).toEqual([
      expect.stringContaining('short circuit'),
      expect.stringContaining('Switch every supply off'),
    ])
  })
  it('end the choosing of a link, made or refused', () => {
    for (const live of [false, true]) {
      isLive = live
      meter.set({ linking: true })
      meter.link('c1p1.L', 'c1p1.E')
      expect(meter.settings.value.linking).toBe(false)
    }
  })
})
