/* The floor: one patch for each apprentice, everybody at a bay in one place, who asks first, STOP. */
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { effectScope, ref, shallowRef } from 'vue'
import type { FloorPatch, FloorView } from '#schemas/views'
import { ApiProblem } from '~/utils/api-problem'

const view = shallowRef<Pick<FloorView, 'patches'> | null>(null)
const refresh = vi.fn(async () => undefined)
const call = vi.fn()
const shown = vi.fn()
let news: () => void
vi.mock('~/stores/shared', () => ({ useFloorView: () => ({ data: view, problem: ref(null), refresh }) }))
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('~/composables/useNews', () => ({ useNews: (onNews: () => void) => (news = onNews) }))
const told: string[] = []
vi.mock('element-plus', () => ({ ElMessage: ({ message }: { message: string }) => told.push(message) }))
const group = ref<string | null>(null)
vi.mock('@vueuse/core', async (whole) => ({
  ...(await whole<typeof import('@vueuse/core')>()),
  useLocalStorage: () => group,
}))
const { useFloor } = await import('~/composables/useFloor')

const patch = (number: string, more: Partial<FloorPatch>): FloorPatch =>
  ({ number, name: number, bay: 1, stage: 'dead', cohort: 'Monday', lastAct: null, ...more }) as FloorPatch
const floorOf = (...patches: FloorPatch[]) => {
  view.value = { patches }
  return effectScope().run(useFloor)!
}

beforeEach(() => {
  group.value = null
  told.length = 0
  call.mockReset().mockResolvedValue({ stopped: 0 })
  refresh.mockClear()
  shown.mockClear()
})

describe('who is shown, and where', () => {
  test.each<[string, FloorPatch['stage'], FloorPatch['stage']]>([
    ['what is live before what asks', 'live', 'permission'],
    ['what asks before what is worked on', 'permission', 'design'],
    ['work in hand before what is handed in', 'dead', 'handedIn'],
    ['what is handed in before what is finished', 'handedIn', 'released'],
  ])('somebody with two tasks is shown by %s', (_, urgent, other) => {
    const { patches } = floorOf(
      patch('T-1', { stage: urgent, bay: 3 }),
      patch('T-1', { stage: other, bay: 5 }),
    )
    expect(patches.value.map(({ stage, bay }) => [stage, bay])).toEqual([[urgent, 3]])
  })
  test('among equals the later task', () => {
    const { patches } = floorOf(patch('T-1', { bay: 3 }), patch('T-1', { bay: 5 }))
    expect(patches.value.map(({ bay }) => bay)).toEqual([5])
  })
  test('a bay holds everybody there, the most urgent first; bays in walking order', () => {
    const { bays } = floorOf(
      patch('T-1', { bay: 7 }),
      patch('T-2', { bay: 2, stage: 'design' }),
      patch('T-3', { bay: 2, stage: 'live' }),
    )
    expect(bays.value.map(({ bay, people }) => [bay, people.map(({ number }) => number)])).toEqual([
      [2, ['T-3', 'T-2']],
      [7, ['T-1']],
    ])
  })
  test('a chosen group hides the others, but never whoever asks to energise', () => {
    const floor = floorOf(
      patch('T-1', { cohort: 'Monday' }),
      patch('T-2', {
        cohort: 'Tuesday',
        stage: 'permission',
        lastAct: { at: '2026-11-27T10:00:00Z' } as never,
      }),
    )
    group.value = 'Monday'
    expect(floor.patches.value.map(({ number }) => number)).toEqual(['T-1'])
    expect(floor.requests.value.map(({ number }) => number)).toEqual(['T-2'])
    expect(floor.cohorts.value).toEqual(['Monday', 'Tuesday'])
  })
  test('who has waited longest is asked first', () => {
    const at = (time: string) => ({ stage: 'permission', lastAct: { at: `2026-11-27T${time}:00Z` } }) as never
    const { requests } = floorOf(patch('T-1', at('10:20')), patch('T-2', at('10:05')))
    expect(requests.value.map(({ number }) => number)).toEqual(['T-2', 'T-1'])
  })
})

describe('what is done from there', () => {
  test('a permission names the dead tests that stood on the screen', async () => {
    await expect(floorOf().decide(12, true, { seen: 'abc' })).resolves.toBe(true)
    expect(call).toHaveBeenCalledWith('POST', 'attempts/12/permission', {
      granted: true,
      reason: '',
      seen: 'abc',
    })
    expect(refresh).toHaveBeenCalled()
  })
  test('one that is refused is told, and the floor is looked at again all the same', async () => {
    call.mockRejectedValue(new ApiProblem(409, 'stale' as never, 'Readings changed.'))
    await expect(floorOf().decide(12, true, {})).resolves.toBe(false)
    expect([shown.mock.calls.length, refresh.mock.calls.length]).toEqual([1, 1])
  })
  test.each([
    [12, 1, 'The permission is withdrawn. Go there.'],
    [null, 3, '3 permissions are withdrawn. Go there.'],
  ])('STOP of %s says how many were withdrawn, and to go there', async (id, stopped, words) => {
    call.mockResolvedValue({ stopped })
    await floorOf().stop(id)
    expect(call).toHaveBeenCalledWith('POST', 'floor/stop', { attemptId: id, reason: '' })
    expect(told).toEqual([words])
  })
  test('STOP that did not arrive is said at once', async () => {
    call.mockRejectedValue(new ApiProblem(0, 'offline', 'No network.'))
    await floorOf().stop(null)
    expect([told, shown.mock.calls.length]).toEqual([[], 1])
  })
  test('news look at the floor again', () => {
    floorOf()
    news()
    expect(refresh).toHaveBeenCalledOnce()
  })
})
