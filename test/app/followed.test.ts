/* What is computed from a form comes one task after the key, and at once where somebody saves. */
import { computed, effectScope, nextTick, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { useFollowed } from '../../app/composables/useFollowed'

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})
const follow = <T>(source: Parameters<typeof useFollowed<T>>[0]) => scope.run(() => useFollowed(source))!

it('follows in one later task, however often the value changes before it', async () => {
  const source = shallowRef('1')
  const { followed } = follow(source)
  source.value = '12'
  source.value = '125'
  await nextTick()
  expect(followed.value).toBe('1')
  expect(vi.getTimerCount()).toBe(1)
  vi.runAllTimers()
  expect(followed.value).toBe('125')
  source.value = '12'
  await nextTick()
  vi.runAllTimers()
  expect(followed.value).toBe('12')
})

it('looks once at what is computed from many boxes, however many of them change together', async () => {
  const boxes = [shallowRef(0), shallowRef(0), shallowRef(0)]
  let looks = 0
  const sum = computed(() => {
    looks += 1
    return boxes.reduce((total, { value }) => total + value, 0)
  })
  const { followed } = follow(sum)
  looks = 0
  for (const box of boxes) box.value = 1
  await nextTick()
  vi.runAllTimers()
  expect([followed.value, looks]).toEqual([3, 1])
})

it('has the newest at once where it is asked to catch up, and nothing comes after that', async () => {
  const source = shallowRef('1')
  const { followed, catchUp } = follow(source)
  source.value = '12'
  catchUp()
  expect(followed.value).toBe('12')
  source.value = '125'
  await nextTick()
  catchUp()
  expect([followed.value, vi.getTimerCount()]).toEqual(['125', 0])
  source.value = '3'
  scope.stop()
  vi.runAllTimers()
  expect(followed.value).toBe('125')
})
