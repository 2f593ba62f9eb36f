/* A drawing that is zoomed and moved by keys and buttons: within its edges, and only where the page has no use for it. */
import { ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { mounted } from '../support/mounted'

class FakeSvg extends EventTarget {
  readonly ownerDocument = { documentElement: this, defaultView: globalThis }
}
class Wheel extends Event {
  readonly button = 0
  readonly deltaMode = 0
  constructor(
    readonly deltaY: number,
    readonly ctrlKey = false,
  ) {
    super('wheel', { cancelable: true })
  }
  readonly metaKey = false
  readonly clientX = 0
  readonly clientY = 0
  readonly view = globalThis
}
vi.stubGlobal('WheelEvent', Wheel)
vi.stubGlobal('navigator', { maxTouchPoints: 0 })
const { useSceneZoom } = await import('~/composables/useSceneZoom')

const SIZE = { w: 1000, h: 600 }
let page: { readonly used: ReturnType<typeof useSceneZoom>; readonly leave: () => void }
let svg: FakeSvg
function open(isInPage = false): void {
  svg = new FakeSvg()
  page = mounted(() => useSceneZoom(ref(svg as unknown as SVGSVGElement), SIZE, isInPage))
}
function press(key: string): boolean {
  const prevented = vi.fn()
  page.used.key({ key, preventDefault: prevented } as unknown as KeyboardEvent)
  return prevented.mock.calls.length > 0
}
/** Left and top of what is seen, in the drawing's own measure, and its scale. */
function seen() {
  const [, x, y, k] = /translate\(([^,]+),([^)]+)\) scale\(([^)]+)\)/
    .exec(page.used.transform.value)!
    .map(Number)
  return { x: -x! / k!, y: -y! / k!, k: k! }
}
beforeEach(() => open())
afterEach(() => page.leave())

describe('by keys', () => {
  it('closer and back again; 0 shows the whole', () => {
    expect(press('+')).toBe(true)
    press('=')
    expect(page.used.scale.value).toBeCloseTo(1.6 ** 2)
    press('-')
    expect(page.used.scale.value).toBeCloseTo(1.6)
    press('0')
    expect(page.used.transform.value).toBe('translate(0,0) scale(1)')
  })
  it('no closer than eight times, and never smaller than the whole', () => {
    for (let i = 0; i < 12; i += 1) press('+')
    expect(page.used.scale.value).toBe(8)
    for (let i = 0; i < 24; i += 1) press('-')
    expect(page.used.scale.value).toBe(1)
  })
  it('an arrow moves as far on the screen at any scale, and stops at the edge of the drawing', () => {
    page.used.by(4)
    const before = seen()
    press('ArrowLeft')
    expect((before.x - seen().x) * before.k).toBeCloseTo(90)
    for (let i = 0; i < 100; i += 1) press('ArrowLeft')
    for (let i = 0; i < 100; i += 1) press('ArrowUp')
    expect(seen()).toEqual({ x: -0, y: -0, k: 4 })
    for (let i = 0; i < 100; i += 1) press('ArrowRight')
    for (let i = 0; i < 100; i += 1) press('ArrowDown')
    expect(seen().x).toBeCloseTo(SIZE.w * (3 / 4))
    expect(seen().y).toBeCloseTo(SIZE.h * (3 / 4))
  })
  it('any other is the page’s', () => {
    expect(press('Tab')).toBe(false)
    expect(press('a')).toBe(false)
    expect(page.used.scale.value).toBe(1)
  })
})

describe('a spot that is shown', () => {
  it('comes into the middle where it is zoomed', () => {
    page.used.by(4)
    page.used.show(600, 300)
    expect(seen().x + SIZE.w / 8).toBeCloseTo(600)
    expect(seen().y + SIZE.h / 8).toBeCloseTo(300)
  })
  it('moves nothing while the whole is shown', () => {
    page.used.show(600, 300)
    expect(page.used.transform.value).toBe('translate(0,0) scale(1)')
  })
})

describe('the wheel', () => {
  const turn = (wheel: Wheel) => {
    svg.dispatchEvent(wheel)
    return wheel.defaultPrevented
  }
  it('over a drawing that fills its screen zooms', () => {
    expect(turn(new Wheel(-200))).toBe(true)
    expect(page.used.scale.value).toBeGreaterThan(1)
  })
  it('over one in a page that scrolls is the page’s, unless Ctrl is held', () => {
    page.leave()
    open(true)
    expect(turn(new Wheel(-200))).toBe(false)
    expect(page.used.scale.value).toBe(1)
    expect(turn(new Wheel(-20, true))).toBe(true)
    expect(page.used.scale.value).toBeGreaterThan(1)
  })
})
