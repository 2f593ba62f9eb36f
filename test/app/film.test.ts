/* A film is played, paused, stepped and scrubbed; stitches lie the closer the more flows. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { PICTURE_MS, useFilm } from '../../app/composables/useFilm'
import { stitchesOf } from '../../app/utils/flow'

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})
const film = (pictures: number, isStill = false) => {
  const count = ref(pictures)
  return { count, ...scope.run(() => useFilm(count, ref(isStill)))! }
}

it('plays picture after picture, stops at its end, and begins again from there', () => {
  const { at, isPlaying, isAtEnd, play } = film(3)
  play()
  vi.advanceTimersByTime(PICTURE_MS - 1)
  expect([at.value, isPlaying.value]).toEqual([0, true])
  vi.advanceTimersByTime(1 + PICTURE_MS)
  expect([at.value, isPlaying.value, isAtEnd.value]).toEqual([2, false, true])
  vi.advanceTimersByTime(5 * PICTURE_MS)
  expect(at.value).toBe(2)
  play()
  expect([at.value, isPlaying.value]).toEqual([0, true])
})
it('a hand on it stops it: a step, a picture that is chosen', () => {
  const { at, isPlaying, play, step, scrub } = film(5)
  play()
  step(1)
  expect([at.value, isPlaying.value]).toEqual([1, false])
  play()
  scrub(4)
  vi.advanceTimersByTime(3 * PICTURE_MS)
  expect([at.value, isPlaying.value]).toEqual([4, false])
})
it('never leaves its pictures', () => {
  const { at, step, scrub } = film(2)
  step(-1)
  expect(at.value).toBe(0)
  scrub(9)
  expect(at.value).toBe(1)
})
it('for those who want no motion, play is one picture on, and from the end back to the start', () => {
  const { at, isPlaying, play, scrub } = film(4, true)
  play()
  vi.advanceTimersByTime(4 * PICTURE_MS)
  expect([at.value, isPlaying.value]).toEqual([1, false])
  scrub(3)
  play()
  vi.advanceTimersByTime(4 * PICTURE_MS)
  expect([at.value, isPlaying.value]).toEqual([0, false])
})
it('another film begins at its first picture, and one picture alone does not play', async () => {
  const { at, count, isPlaying, scrub, play } = film(6)
  scrub(5)
  count.value = 1
  await nextTick()
  expect(at.value).toBe(0)
  play()
  expect(isPlaying.value).toBe(false)
})
it('nothing plays on when the page is left', () => {
  const { at, play } = film(4)
  play()
  scope.stop()
  vi.advanceTimersByTime(4 * PICTURE_MS)
  expect(at.value).toBe(0)
})

it('stitches lie the closer the more flows, from a milliampere to a short circuit, and turn with the current', () => {
  const periods = [1e-3, 10e-3, 0.5, 8.7, 32, 2000].map((ampere) => stitchesOf(ampere).periodPx)
  for (const [i, period] of periods.entries()) if (i > 0) expect(period).toBeLessThan(periods[i - 1]!)
  expect(stitchesOf(-8.7)).toEqual({ periodPx: stitchesOf(8.7).periodPx, isBack: true })
})
