/* What waits for whoever is signed in: counted in the head of the page, walked on the floor, answered where it stands. */
import { effectScope, reactive, ref, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'

const call = vi.fn()
const shown = vi.fn()
const session = reactive<{ person: { role: string } | null }>({ person: null })
const data = shallowRef<object | null>(null)
const refresh = vi.fn(async () => undefined)
const own = shallowRef<object | null>(null)
const refreshOwn = vi.fn()
const news: (() => void)[] = []
const order = ref('bays')
const asked: (string | null)[] = []
vi.mock('@vueuse/core', () => ({ StorageSerializers: {}, useLocalStorage: () => order }))
vi.mock('~/composables/useApi', () => ({
  useApi: () => ({ call }),
  showProblem: shown,
  useServer: (path: () => string | null) => {
    asked.push(path())
    return { data: own, refresh: refreshOwn }
  },
}))
vi.mock('~/stores/session', () => ({ useSession: () => session }))
vi.mock('~/stores/shared', () => ({ useNeedsView: () => ({ data, problem: ref(null), refresh }) }))
vi.mock('~/composables/useNews', () => ({ useNews: (look: () => void) => void news.push(look) }))
const { useNeeds } = await import('~/composables/useNeeds')
const { useWaiting } = await import('~/composables/useWaiting')

const WALK = [
  { kind: 'help', bay: 2, at: '2026-11-12T09:05:00Z' },
  { kind: 'question', bay: 2, at: '2026-11-12T08:00:00Z' },
  { kind: 'energise', bay: 7, at: '2026-11-12T09:01:00Z' },
]
let scope: EffectScope
beforeEach(() => {
  for (const mock of [call, shown, refresh, refreshOwn]) mock.mockReset()
  news.length = asked.length = 0
  order.value = 'bays'
  session.person = { role: 'assessor' }
  data.value = { walk: WALK, desk: [], behaviours: [] }
  own.value = null
  scope = effectScope()
})
afterEach(() => scope.stop())
const needs = () => scope.run(useNeeds)!
const waiting = () => scope.run(useWaiting)!

describe('the walk', () => {
  it('goes bay by bay, or to whoever has waited longest; a question pulls nobody', () => {
    const { stops } = needs()
    expect(stops.value.map(({ bay }) => bay)).toEqual([2, 7])
    order.value = 'waiting'
    expect(stops.value.map(({ bay, waitingSince }) => [bay, waitingSince])).toEqual([
      [7, '2026-11-12T09:01:00Z'],
      [2, '2026-11-12T09:05:00Z'],
    ])
  })
  it('is empty before it is known', () => {
    data.value = null
    const { stops, waiting } = needs()
    expect([stops.value, waiting.value]).toEqual([[], 0])
  })
})

describe('an answer', () => {
  it('goes to the server with its note, and the walk is asked anew', async () => {
    const { answer } = needs()
    await answer(31, 'notYet', 'Second screw loose.')
    expect(call).toHaveBeenCalledWith('POST', 'calls/31', { answer: 'notYet', note: 'Second screw loose.' })
    expect(refresh).toHaveBeenCalledOnce()
  })
  it('that somebody else gave meanwhile is shown as refused, in words', async () => {
    const refusal = new ApiProblem(409, 'callAnswered', 'Kim has answered this already.')
    call.mockRejectedValueOnce(refusal)
    const { answer, isBusy } = needs()
    await answer(31, 'seen')
    expect(shown).toHaveBeenCalledWith(refusal)
    expect(isBusy.value).toBe(false)
  })
  it('twice tapped is sent once', async () => {
    const { answer } = needs()
    await Promise.all([answer(31, 'seen'), answer(31, 'seen')])
    expect(call).toHaveBeenCalledOnce()
  })
})

describe('how much waits', () => {
  it('stands at the page where it is done, for staff', () => {
    data.value = {
      ...{ walk: WALK, behaviours: [] },
      desk: [
        { kind: 'marking', count: 4 },
        { kind: 'secondMarking', count: 2 },
        { kind: 'appeals', count: 1 },
      ],
    }
    const { countAt } = waiting()
    expect(['/floor', '/marking', '/verification', '/surveys', '/records'].map(countAt)).toEqual([
      2, 4, 3, 0, 0,
    ])
  })
  it('for an apprentice is their own, and the staff’s is never asked for', () => {
    session.person = { role: 'apprentice' }
    own.value = { tasks: 2, claims: 1 }
    const { countAt } = waiting()
    expect(asked).toEqual(['needs/own'])
    expect(['/work', '/accounts', '/floor'].map(countAt)).toEqual([2, 1, 0])
    news.forEach((look) => look())
    expect([refreshOwn.mock.calls.length, refresh.mock.calls.length]).toEqual([1, 0])
  })
  it('is asked anew with news, by staff of their own list', () => {
    waiting()
    expect(asked).toEqual([null])
    news.forEach((look) => look())
    expect([refreshOwn.mock.calls.length, refresh.mock.calls.length]).toEqual([0, 1])
  })
})
