/* A long page shows a screenful at once and the rest after each paint. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { useGradually } from '../../app/composables/useGradually'

let frames: (() => void)[]
let scope: EffectScope
beforeEach(() => {
  frames = []
  scope = effectScope()
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('requestAnimationFrame', (next: () => void) => frames.push(next))
  vi.stubGlobal('cancelAnimationFrame', (id: number) => (frames[id - 1] = () => undefined))
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
  vi.useRealTimers()
})
const paint = () => vi.runAllTimers()
const frame = () => {
  frames.at(-1)!()
  paint()
}

it('one part more after each paint, until it is whole', () => {
  const { shown, isWhole } = scope.run(() => useGradually(() => 4, 2))!
  expect([shown.value, isWhole.value]).toEqual([2, false])
  frame()
  expect([shown.value, isWhole.value]).toEqual([3, false])
  frame()
  expect([shown.value, isWhole.value]).toEqual([4, true])
  const asked = frames.length
  frame()
  expect([shown.value, frames.length]).toEqual([4, asked])
})
it('never before what is there has been painted', () => {
  const { shown } = scope.run(() => useGradually(() => 4, 2))!
  frames.at(-1)!()
  expect(shown.value).toBe(2)
  paint()
  expect(shown.value).toBe(3)
})
it('a short page is whole at once', () => {
  const { isWhole } = scope.run(() => useGradually(() => 1, 2))!
  expect(isWhole.value).toBe(true)
})
it('stops where the page is left before it was whole', () => {
  const { shown } = scope.run(() => useGradually(() => 9, 2))!
  frames.at(-1)!()
  scope.stop()
  paint()
  expect(shown.value).toBe(2)
})
it('goes on when what is shown comes later, or becomes more', async () => {
  const count = ref(0)
  const { shown, isWhole } = scope.run(() => useGradually(() => count.value, 2))!
  frame()
  count.value = 4
  await nextTick()
  frame()
  frame()
  expect([shown.value, isWhole.value]).toEqual([4, true])
  count.value = 5
  await nextTick()
  frame()
  expect(shown.value).toBe(5)
})
