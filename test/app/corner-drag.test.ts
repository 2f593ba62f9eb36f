/* A corner under the hand: the line follows at once, what is computed from it a task later, and nothing is lost. */
import { effectScope, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { isOffWall, useCornerDrag } from '../../app/composables/useCornerDrag'
import { run, straight } from '../support/run'

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

/** The screen shows the wall at 4 mm a pixel, from its corner on. */
const MATRIX = { a: 4, d: 4, e: 0, f: 0 }
const at = (clientX: number, clientY: number) => ({ clientX, clientY })

function aDrawing() {
  const own = shallowRef(run([straight('right', 1000), straight('down', 600)]))
  const view = shallowRef({ x: 0, y: 0, width: 2000, height: 1000 })
  const tell = vi.fn((i: number, lengthMm: number) => {
    const straights = own.value.straights.map((one, k) => (k === i ? { ...one, lengthMm } : one))
    own.value = { ...own.value, straights }
    view.value = { ...view.value, width: view.value.width + 500 }
  })
  const drag = scope.run(() => useCornerDrag(own, view, tell))!
  const shownMm = () => drag.shown.value.straights.map(({ lengthMm }) => lengthMm)
  return { own, view, tell, drag, shownMm }
}

describe('a corner that is dragged', () => {
  it('moves the line at once, in steps of ten millimetres; one later task is told the newest length', () => {
    const { drag, tell, shownMm } = aDrawing()
    drag.grab(at(100, 100), 0, MATRIX)
    drag.move(at(111, 100))
    expect(shownMm()).toEqual([1040, 600])
    drag.move(at(131, 100))
    expect(shownMm()).toEqual([1120, 600])
    expect(tell).not.toHaveBeenCalled()
    vi.runAllTimers()
    expect(tell.mock.calls).toEqual([[0, 1120]])
    expect(shownMm()).toEqual([1120, 600])
  })

  it('goes along its own straight alone, whatever the hand does beside it', () => {
    const { drag, shownMm } = aDrawing()
    drag.grab(at(100, 100), 1, MATRIX)
    drag.move(at(190, 125))
    expect(shownMm()).toEqual([1000, 700])
  })

  it('never becomes shorter than one step', () => {
    const { drag, shownMm } = aDrawing()
    drag.grab(at(400, 100), 0, MATRIX)
    drag.move(at(0, 100))
    expect(shownMm()).toEqual([10, 600])
  })

  it('is measured from where the hand took it, not from what has been told meanwhile', () => {
    const { drag, shownMm } = aDrawing()
    drag.grab(at(100, 100), 0, MATRIX)
    drag.move(at(125, 100))
    vi.runAllTimers()
    drag.move(at(150, 100))
    expect(shownMm()).toEqual([1200, 600])
  })
})

describe('the view', () => {
  it('holds still under the hand and follows when it lets go', () => {
    const { drag, view } = aDrawing()
    drag.grab(at(100, 100), 0, MATRIX)
    drag.move(at(125, 100))
    vi.runAllTimers()
    expect(view.value.width).toBe(2500)
    expect(drag.seen.value.width).toBe(2000)
    drag.drop()
    expect(drag.seen.value.width).toBe(2500)
  })
})

describe('letting go', () => {
  it('tells the last length before anything else can happen, once', () => {
    const { drag, tell, shownMm } = aDrawing()
    drag.grab(at(100, 100), 0, MATRIX)
    drag.move(at(125, 100))
    drag.drop()
    expect(tell.mock.calls).toEqual([[0, 1100]])
    expect(shownMm()).toEqual([1100, 600])
    vi.runAllTimers()
    expect(tell).toHaveBeenCalledTimes(1)
  })

  it('without having moved changes nothing; a hand that only passes over moves nothing', () => {
    const { drag, tell, shownMm } = aDrawing()
    drag.grab(at(100, 100), 0, MATRIX)
    drag.drop()
    drag.move(at(300, 100))
    vi.runAllTimers()
    expect(tell).not.toHaveBeenCalled()
    expect(shownMm()).toEqual([1000, 600])
  })

  it('shows what another device changed meanwhile', () => {
    const { own, drag, shownMm } = aDrawing()
    drag.grab(at(100, 100), 0, MATRIX)
    drag.move(at(125, 100))
    own.value = run([straight('right', 1000), straight('down', 900)])
    expect(shownMm()).toEqual([1100, 600])
    drag.drop()
    expect(shownMm()).toEqual([1100, 900])
  })

  it('is not needed where the page is left: nothing is told after it', () => {
    const { drag, tell } = aDrawing()
    drag.grab(at(100, 100), 0, MATRIX)
    drag.move(at(125, 100))
    scope.stop()
    vi.runAllTimers()
    expect(tell).not.toHaveBeenCalled()
  })
})

it('a straight that comes off the wall is known by its direction', () => {
  const away = run([straight('right', 1000), straight('out', 200), straight('up', 300)])
  expect([0, 1, 2].map((i) => isOffWall(away, i))).toEqual([false, true, false])
})
