/* The hand at a bay: where a conductor begins, which one is picked, what is marked; work that waits for a drawing. */
import { effectScope, ref, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { TracedPole } from '#core/bay/behaviour/trace-point'
import type { Wire } from '#core/bay/model/rig'

const warned: string[] = []
vi.mock('~/utils/warn', () => ({ warn: (said: string) => void warned.push(said) }))
const { useConnecting } = await import('~/composables/useConnecting')
const { useTouchMarks } = await import('~/composables/useTouchMarks')
const { aTaskLater } = await import('~/utils/a-task-later')

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
  warned.length = 0
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('work that waits until a touch has been drawn', () => {
  it('is done once, however often it is asked for meanwhile', () => {
    const work = vi.fn()
    const later = aTaskLater(work)
    for (let i = 0; i < 5; i += 1) later.ask()
    expect(work).not.toHaveBeenCalled()
    vi.runAllTimers()
    expect(work).toHaveBeenCalledOnce()
    later.ask()
    vi.runAllTimers()
    expect(work).toHaveBeenCalledTimes(2)
  })
  it('is done at once where somebody cannot wait, and not again after; dropped, it is not done at all', () => {
    const work = vi.fn()
    const later = aTaskLater(work)
    later.catchUp()
    expect(work).not.toHaveBeenCalled()
    later.ask()
    later.catchUp()
    vi.runAllTimers()
    expect(work).toHaveBeenCalledOnce()
    later.ask()
    later.drop()
    vi.runAllTimers()
    expect(work).toHaveBeenCalledOnce()
  })
  it('that asks for itself again comes back in a task of its own', () => {
    let left = 3
    const later = aTaskLater(() => {
      left -= 1
      if (left > 0) later.ask()
    })
    later.ask()
    vi.runOnlyPendingTimers()
    expect(left).toBe(2)
    vi.runAllTimers()
    expect(left).toBe(0)
  })
})

describe('putting conductors in', () => {
  const isLive = ref(false)
  const made = shallowRef<readonly Wire[]>([])
  const connect = vi.fn()
  let hand: ReturnType<typeof useConnecting>
  beforeEach(() => {
    isLive.value = false
    made.value = []
    connect.mockReset().mockImplementation((from: string, to: string) => {
      made.value = [...made.value, { id: `w${made.value.length + 1}`, from, to } as unknown as Wire]
      return null
    })
    hand = scope.run(() => useConnecting({ made, connect } as never, isLive))!
  })

  it('goes from terminal to terminal, in the size and colour chosen; it is picked after it has been drawn', () => {
    hand.area.value = 2.5
    hand.colour.value = 'blue'
    hand.take('b1w1.L out')
    expect(connect).not.toHaveBeenCalled()
    hand.take('c1p1.L')
    expect(connect).toHaveBeenCalledExactlyOnceWith('b1w1.L out', 'c1p1.L', 2.5, 'blue')
    expect([hand.start.value, hand.pickedWire.value]).toEqual([null, null])
    vi.runAllTimers()
    expect(hand.pickedWire.value).toBe('w1')
  })
  it('the same terminal twice lets go of it', () => {
    hand.take('b1w1.L out')
    hand.take('b1w1.L out')
    expect(hand.start.value).toBeNull()
    expect(connect).not.toHaveBeenCalled()
  })
  it('is refused at a live bay, and nothing begins', () => {
    isLive.value = true
    hand.take('b1w1.L out')
    expect(hand.start.value).toBeNull()
    expect(warned).toEqual(['The bay is live. Switch every supply off before a conductor is moved.'])
  })
  it('a bay that goes live between the two terminals takes no conductor', () => {
    hand.take('b1w1.L out')
    isLive.value = true
    hand.take('c1p1.L')
    expect(connect).not.toHaveBeenCalled()
    expect(warned).toHaveLength(1)
  })
  it('what the terminal refuses is said, and the first end stays in the hand for another one', () => {
    connect.mockReturnValueOnce('This terminal is full.')
    hand.take('b1w1.L out')
    hand.take('c1p1.L')
    expect(warned).toEqual(['This terminal is full.'])
    expect(hand.start.value).toBe('b1w1.L out')
    vi.runAllTimers()
    expect(hand.pickedWire.value).toBeNull()
    hand.take('c1p2.L')
    expect(connect).toHaveBeenLastCalledWith('b1w1.L out', 'c1p2.L', 1.5, 'brown')
  })
  it('whoever picks another conductor at once keeps that one, and not the new one that comes later', () => {
    hand.take('b1w1.L out')
    hand.take('c1p1.L')
    hand.pick('w0')
    vi.runAllTimers()
    expect(hand.pickedWire.value).toBe('w0')
    hand.take('b1w2.L out')
    expect(hand.pickedWire.value).toBeNull()
  })
  it('let go, or the page left, nothing is picked afterwards', () => {
    hand.take('b1w1.L out')
    hand.take('c1p1.L')
    hand.letGo()
    vi.runAllTimers()
    expect([hand.start.value, hand.pickedWire.value]).toEqual([null, null])
    hand.take('b1w1.L out')
    hand.take('c1p1.L')
    scope.stop()
    vi.runAllTimers()
    expect(hand.pickedWire.value).toBeNull()
  })
})

describe('what is marked on the drawing', () => {
  const mode = ref<'look' | 'wire' | 'measure' | 'trace'>('wire')
  const start = ref<string | null>(null)
  const pair = ref<readonly string[]>([])
  const pickedPart = ref<string | null>(null)
  const pickedWire = ref<string | null>(null)
  const traced = shallowRef<readonly TracedPole[]>([])
  const shownPole = ref<string | null>(null)
  const probes = {
    settings: ref({ instrument: 'continuity', volt: 500, multiple: 1, ratedA: 0.03, linking: false }),
    probes: ref<readonly string[]>([]),
  }
  let marks: ReturnType<typeof useTouchMarks>
  beforeEach(() => {
    mode.value = 'wire'
    start.value = pickedPart.value = pickedWire.value = shownPole.value = null
    pair.value = []
    traced.value = []
    probes.settings.value = { ...probes.settings.value, instrument: 'continuity' }
    probes.probes.value = []
    const touched = { mode, start, pair, pickedPart, pickedWire, traced, shownPole, meter: probes }
    marks = scope.run(() => useTouchMarks(touched as never))!
  })
  const marked = () => Object.fromEntries(marks.marks.value)

  it('is the terminal that a conductor begins at, before anything else', () => {
    pair.value = ['a.1', 'a.2']
    start.value = 'b1w1.L out'
    expect(marked()).toEqual({ 'b1w1.L out': 'start' })
    start.value = null
    expect(marked()).toEqual({ 'a.1': '·', 'a.2': '·' })
  })
  it('are the probes by their numbers, while something is measured at terminals', () => {
    probes.probes.value = ['b1w1.L out', 'c1p1.L']
    expect(marked()).toEqual({})
    mode.value = 'measure'
    expect(marked()).toEqual({ 'b1w1.L out': '1', 'c1p1.L': '2' })
  })
  it('is of a clamp the conductor that it holds, and no terminal', () => {
    mode.value = 'measure'
    probes.settings.value = { ...probes.settings.value, instrument: 'clamp' }
    probes.probes.value = ['w3']
    expect(marked()).toEqual({})
    expect([...marks.pickedWires.value]).toEqual(['w3'])
    mode.value = 'wire'
    pickedWire.value = 'w5'
    expect([...marks.pickedWires.value]).toEqual(['w5'])
  })
  it('lifts the way of one pole out, its parts and the point that it leads to, and no other pole', () => {
    mode.value = 'trace'
    const step = (from: string, through: string, to: string) => ({ from, through, to })
    traced.value = [
      {
        pole: 'L',
        to: 'c1p1.L',
        steps: [step('in.L', 'w1', 'b1w1.L in'), step('b1w1.L out', 'w2', 'c1p1.L')],
      },
      { pole: 'N', to: 'c1p1.N', steps: undefined },
    ] as unknown as readonly TracedPole[]
    expect(marks.lifted.value).toBeNull()
    pickedPart.value = 'c1p1'
    shownPole.value = 'L'
    expect([...marks.lifted.value!].sort()).toEqual(['b1w1', 'c1p1', 'in', 'w1', 'w2'])
    shownPole.value = 'N'
    expect(marks.lifted.value).toBeNull()
    shownPole.value = 'L'
    mode.value = 'look'
    expect(marks.lifted.value).toBeNull()
  })
})
