/* An attempt on its apprentice's screen: what moves it on, what stays in its box, what an instrument wrote. */
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { effectScope, reactive, ref, shallowRef } from 'vue'
import type { WorkView } from '#schemas/views'
import { ApiProblem } from '~/utils/api-problem'

type View = Pick<WorkView, 'stage' | 'version' | 'board'>
const order: string[] = []
const view = shallowRef<View | null>(null)
const autosave = {
  fields: reactive<Record<string, string>>({}),
  state: ref('saved'),
  message: ref(''),
  write: (key: string, text: string) => (autosave.fields[key] = text),
  flush: vi.fn(async () => (order.push('flush'), view.value!.version)),
}
const reconcile = vi.fn((next: View) => order.push(`reconcile ${next.version}`))
const adopt = vi.fn((next: View) => {
  order.push(`adopt ${next.stage}`)
  view.value = next
})
vi.mock('~/composables/useKeptDocument', () => ({
  useKeptDocument: () => ({ view, problem: ref(null), autosave, load: vi.fn(), reconcile, adopt }),
}))
const call = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: (error: unknown) => error }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
let news: () => Promise<void>
vi.mock('~/composables/useNews', () => ({ useNews: (onNews: () => Promise<void>) => (news = onNews) }))
const told: string[] = []
vi.mock('element-plus', () => ({ ElMessage: ({ message }: { message: string }) => told.push(message) }))
const { useWorksheet } = await import('~/composables/useWorksheet')

const viewOf = (stage: View['stage'], version = 3, more: Partial<View> = {}): View => ({
  stage,
  version,
  board: null,
  ...more,
})
/** The server has this; an act moves it on to that. */
const server = (now: View, then?: View) =>
  call.mockImplementation(async (method: string, path: string) => {
    order.push(`${method} ${path}`)
    return method === 'GET' ? now : then
  })
const aSheet = () => effectScope().run(() => useWorksheet(12))!

beforeEach(() => {
  order.length = 0
  told.length = 0
  for (const key of Object.keys(autosave.fields)) delete autosave.fields[key]
  autosave.state.value = 'saved'
  autosave.message.value = ''
  view.value = viewOf('design')
  for (const mock of [call, reconcile, adopt, autosave.flush]) mock.mockClear()
})

describe('handing in', () => {
  test('saves first, looks again, then asks with the version that was saved', async () => {
    server(viewOf('design'), viewOf('dead', 4))
    await expect(aSheet().act('hand-in-design')).resolves.toBe(true)
    expect(order).toEqual(['flush', 'GET work/12', 'POST work/12/hand-in-design', 'adopt dead'])
    expect(call).toHaveBeenLastCalledWith('POST', 'work/12/hand-in-design', { version: 3 })
  })
  test('what an instrument wrote meanwhile is laid under the typing, and its version is the one that is handed in', async () => {
    server(viewOf('design', 5), viewOf('dead', 6))
    await aSheet().act('hand-in-design')
    expect(order).toContain('reconcile 5')
    expect(call).toHaveBeenLastCalledWith('POST', 'work/12/hand-in-design', { version: 5 })
  })
  test.each(['offline', 'refused', 'editing'])(
    'what is %s is never handed in, and the screen says why',
    async (state) => {
      autosave.state.value = state
      autosave.message.value = 'The server cannot be reached.'
      await expect(aSheet().act('hand-in')).resolves.toBe(false)
      expect([call.mock.calls.length, told]).toEqual([0, ['The server cannot be reached.']])
    },
  )
  test('two answers for one box are asked about by the chooser, not by a message over it', async () => {
    autosave.state.value = 'conflict'
    await aSheet().act('hand-in')
    expect([call.mock.calls.length, told]).toEqual([0, []])
  })
  test('boxes that a refusal names are marked until something is written into them', async () => {
    call.mockRejectedValue(
      new ApiProblem(422, 'missing' as never, 'Still empty.', [], { missing: ['c1.ib', 'c1.in'] }),
    )
    const sheet = aSheet()
    await expect(sheet.act('hand-in-design')).resolves.toBe(false)
    expect([sheet.missing.value, sheet.isBusy.value]).toEqual([['c1.ib', 'c1.in'], false])
    sheet.write('design', 'c1.ib', '16')
    expect([sheet.missing.value, sheet.answer('c1.ib' as never)]).toEqual([['c1.in'], '16'])
  })
})

describe('news of the attempt', () => {
  test.each(['design', 'dead'] as const)(
    'a sheet in %s is the apprentice’s own: nothing is asked',
    async (stage) => {
      view.value = viewOf(stage)
      aSheet()
      await news()
      expect(call).not.toHaveBeenCalled()
    },
  )
  test('dead tests of a board are looked at, since an instrument writes into them', async () => {
    view.value = viewOf('dead', 3, { board: {} as WorkView['board'] })
    server(viewOf('dead', 4))
    aSheet()
    await news()
    expect(order).toEqual(['GET work/12', 'reconcile 4'])
  })
  test('a permission that is withdrawn: what was typed goes first, then the boxes are locked', async () => {
    view.value = viewOf('live')
    server(viewOf('permission', 4))
    aSheet()
    await news()
    expect(order).toEqual(['GET work/12', 'flush', 'adopt permission'])
  })
  test('a permission that is given opens the live tests without another look', async () => {
    view.value = viewOf('permission')
    server(viewOf('live', 4))
    aSheet()
    await news()
    expect(order).toEqual(['GET work/12', 'adopt live'])
  })
  test('without a network the screen stays as it is', async () => {
    view.value = viewOf('live')
    call.mockRejectedValue(new ApiProblem(0, 'offline', 'No network.'))
    aSheet()
    await news()
    expect(view.value.stage).toBe('live')
  })
})
