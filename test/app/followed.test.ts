/* What is computed from a form comes one task after the key, and at once where somebody saves. */
import { effectScope, shallowRef } from 'vue'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { useFollowed } from '../../app/composables/useFollowed'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

it('follows in one later task, however often the value changes before it', () => {
  const scope = effectScope()
  const source = shallowRef('1')
  const { followed } = scope.run(() => useFollowed(source))!
  source.value = '12'
  source.value = '125'
  expect(followed.value).toBe('1')
  expect(vi.getTimerCount()).toBe(1)
  vi.runAllTimers()
  expect(followed.value).toBe('125')
  source.value = '12'
  vi.runAllTimers()
  expect(followed.value).toBe('12')
  scope.stop()
})

it('has the newest at once where it is asked to catch up, and nothing comes after that', () => {
  const scope = effectScope()
  const source = shallowRef('1')
  const { followed, catchUp } = scope.run(() => useFollowed(source))!
  source.value = '12'
  catchUp()
  expect(followed.value).toBe('12')
  expect(vi.getTimerCount()).toBe(0)
  source.value = '3'
  scope.stop()
  vi.runAllTimers()
  expect(followed.value).toBe('12')
})
