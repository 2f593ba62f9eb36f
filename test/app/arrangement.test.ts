/* A board arranged on the screen: swapped by hand, computed by the worker, ended, taken over. */
import { effectScope, ref, shallowRef } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { arrange } from '#core/arrangement/arrange'
import type { EmptyBoard, SeatedCircuit } from '#core/arrangement/board'
import type { Weights } from '#core/arrangement/wishes'
import { referenceDesign } from '#core/design/reference'
import { lights, practiceInstallation, sockets } from '#core/bay/practice/installations'
import type { Circuit, Installation } from '#core/installation/installation'

const { WorkerFailure } =
  await vi.importActual<typeof import('~/composables/useWorker')>('~/composables/useWorker')
let fails: 'failed' | 'stopped' | null = null
/** What a longer look finds, and what somebody does until then. */
let better: readonly (number | null)[] | null = null
let meanwhile: (() => void) | null = null
const stop = vi.fn()
vi.mock('~/composables/useWorker', async (original) => ({
  ...(await original<typeof import('~/composables/useWorker')>()),
  callable: <T>(value: T): T => value,
  useWorker: () => ({
    stop,
    call: async (ask: (worker: object) => unknown) => {
      if (fails) throw new WorkerFailure(fails)
      return ask({
        arrangeAll: async (
          circuits: SeatedCircuit[],
          board: EmptyBoard,
          weights: Weights,
          onBest: (best: unknown) => void,
        ) => {
          const best = arrange(circuits, board, weights)
          onBest(best)
          meanwhile?.()
          if (better) onBest({ ...best, seating: better })
          return { best, without: {} }
        },
      })
    },
  }),
}))
const { useArrangement } = await import('~/composables/useArrangement')

const RULES = { edition: '18-A2', measuredZs: 'eighty-percent', warmDrop: 'tabulated' } as const
/** A three-phase board with everything on L1 but a machine on all lines. */
const circuits: Circuit[] = [
  sockets({ id: 'c1', way: 1, name: 'Sockets' }),
  lights({ id: 'c2', way: 2, name: 'Lights' }),
  sockets({ id: 'c3', way: 3, name: 'Drying room' }),
  sockets({
    id: 'c4',
    way: 4,
    name: 'Lathe',
    phases: 3,
    load: { basis: 'power', powerW: 6000, powerFactor: 1 },
  }),
].map((one) => ({ ...one, device: { family: 'rcbo', curve: 'B' } }))
const boardOf = (own: readonly Circuit[]): Installation =>
  practiceInstallation(own, { intake: { phases: 3 }, board: { phases: 3, ways: 6 } })

let scope: ReturnType<typeof effectScope>
beforeEach(() => {
  scope = effectScope()
  fails = null
  better = meanwhile = null
})
afterEach(() => scope.stop())
function open(own: readonly Circuit[] = circuits) {
  const installation = shallowRef(boardOf(own))
  const arrangement = scope.run(() =>
    useArrangement(
      () => installation.value,
      () => referenceDesign(installation.value, RULES),
      ref('b1'),
    ),
  )!
  return { installation, ...arrangement }
}

describe('by hand', () => {
  it('two seats are swapped; the exercise keeps what it has until it is taken over', () => {
    const { swap, taken, before, now, isChanged, undo } = open()
    swap(3, 4)
    expect(isChanged.value).toBe(true)
    expect(taken()).toMatchObject({ 'c2.way': '2', 'c2.line': 'L2' })
    expect(now.value!.neutralA).toBeLessThan(before.value!.neutralA)
    undo()
    expect(taken()).toMatchObject({ 'c2.way': '2', 'c2.line': 'L1' })
  })
  it('a device with three poles moves with its whole way, whichever pole is picked', () => {
    const { swap, taken, seating } = open()
    swap(10, 1)
    expect(taken()).toMatchObject({ 'c4.way': '1', 'c1.way': '4', 'c1.line': 'L1' })
    expect(seating.value.filter((place) => place === 3)).toHaveLength(3)
  })
  it('one is kept to compare and swapped with what is on the board, and back', async () => {
    const { swap, keep, swapWithKept, kept, keptFigures, now, seating, installation } = open()
    swap(3, 4)
    const first = seating.value
    keep()
    swap(0, 5)
    const second = seating.value
    const [firstFigures, secondFigures] = [keptFigures.value, now.value]
    swapWithKept()
    expect([seating.value, kept.value]).toEqual([first, second])
    expect([now.value, keptFigures.value]).toEqual([firstFigures, secondFigures])
    swapWithKept()
    expect(seating.value).toEqual(second)
    // Of other circuits nothing can be compared.
    installation.value = boardOf(circuits.slice(1))
    await Promise.resolve()
    expect(kept.value).toBeNull()
  })
  it('what was laid out of other circuits is dropped, so that nobody takes over a circuit that is gone', async () => {
    const { swap, installation, isChanged, taken } = open()
    swap(0, 5)
    installation.value = boardOf(circuits.slice(1))
    await Promise.resolve()
    expect(isChanged.value).toBe(false)
    expect(taken()).not.toHaveProperty('c1.way')
  })
})

describe('computed', () => {
  it('a better one takes the place of the first, but not of what was moved by hand meanwhile', async () => {
    const first = open()
    better = [...first.seating.value].reverse()
    await first.workOut()
    expect(first.seating.value).toEqual(better)
    const second = open()
    let moved: readonly (number | null)[] = []
    meanwhile = () => {
      second.swap(0, 5)
      moved = second.seating.value
    }
    await second.workOut()
    expect(second.seating.value).toEqual(moved)
  })
  it('is shown at once and proved against its bound; what cannot be seated is said', async () => {
    const { workOut, now, before, priced, isBusy } = open()
    await workOut()
    expect(isBusy.value).toBe(false)
    expect(now.value!.neutralA).toBeLessThan(before.value!.neutralA)
    expect(priced.value!.best).toHaveProperty('bound')
  })
  it('ended by whoever waits it is quiet; a worker that fails says so, and what was laid out stays', async () => {
    const { workOut, swap, isBusy, problem, isChanged } = open()
    swap(3, 4)
    fails = 'stopped'
    await workOut()
    expect([isBusy.value, problem.value]).toEqual([false, ''])
    fails = 'failed'
    await workOut()
    expect(isBusy.value).toBe(false)
    expect(problem.value).toMatch(/Try again/)
    expect(isChanged.value).toBe(true)
  })
})
