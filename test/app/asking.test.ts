/* Questions at a bay: what fits now, two taps to put one down, what was asked, with or without a network. */
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { effectScope, nextTick, reactive, ref, shallowRef } from 'vue'
import type { Question } from '#core/questions/question'
import type { RoundView } from '#schemas/question-views'

const fields = reactive<Record<string, string>>({})
const view = shallowRef<RoundView | null>(null)
const write = (key: string, text: string) => (fields[key] = text)
vi.mock('~/composables/useKeptDocument', () => ({
  useKeptDocument: () => ({ view, problem: ref(null), autosave: { fields, write }, load: vi.fn() }),
}))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
const read = vi.fn()
vi.mock('~/composables/useLastView', () => ({ useLastView: () => ({ read }) }))
const { useAsking } = await import('~/composables/useAsking')

const question = (code: string, moments: readonly string[] = ['dead']): Question =>
  ({ code, text: `What of ${code}?`, topic: 'testing', moments }) as unknown as Question
const offered = (...codes: string[]) => codes.map((code) => ({ question: question(code), reason: 'moment' }))
const aRound = () => effectScope().run(() => useAsking(4))!
const codesOf = (round: ReturnType<typeof useAsking>) => round.offered.value.map((one) => one.question.code)

beforeEach(() => {
  for (const key of Object.keys(fields)) delete fields[key]
  read.mockReset().mockRejectedValue(new Error('offline'))
  view.value = null
  vi.stubGlobal('navigator', { onLine: true })
})
async function begun(more: Partial<RoundView> = {}) {
  const round = aRound()
  view.value = {
    attempt: { moment: 'dead' },
    offered: { dead: offered('q1', 'q2', 'q3', 'q4', 'q5'), live: offered('q9') },
    others: [],
    ...more,
  } as unknown as RoundView
  await nextTick()
  return round
}

describe('what is offered', () => {
  test('four that fit the moment in which the apprentice is; another moment offers its own', async () => {
    const round = await begun()
    expect(codesOf(round)).toEqual(['q1', 'q2', 'q3', 'q4'])
    round.moment.value = 'live'
    expect(codesOf(round)).toEqual(['q9'])
  })
  test('what was asked is not offered again, unless it was taken back', async () => {
    const round = await begun()
    const token = round.putDown(question('q2'), 'unaided')
    expect(codesOf(round)).toEqual(['q1', 'q3', 'q4'])
    round.takeBack(token)
    expect(codesOf(round)).toEqual(['q1', 'q2', 'q3', 'q4'])
  })
  test('what the model plays comes after them, of this moment, two at most; without it the others stand', async () => {
    const played = [question('w1'), question('w2', ['live']), question('w3'), question('w4')]
    read.mockImplementation(async (path: string) =>
      path.endsWith('what-if') ? { view: played } : Promise.reject(new Error('offline')),
    )
    const round = await begun()
    await round.start()
    expect(round.offered.value.slice(4).map((one) => [one.question.code, one.reason])).toEqual([
      ['w1', 'whatIf'],
      ['w3', 'whatIf'],
    ])
    read.mockRejectedValue(new Error('offline'))
    await round.start()
    expect(codesOf(round)).toEqual(['q1', 'q2', 'q3', 'q4'])
  })
})

describe('what is put down', () => {
  test('keeps the wording as it was asked, with prompt and remark; the newest stands first', async () => {
    const round = await begun()
    vi.useFakeTimers({ now: new Date('2026-11-27T10:00:00Z') })
    round.putDown(question('q1'), 'prompted', { prompt: 'Which conductor?', remark: 'got there' })
    vi.setSystemTime(new Date('2026-11-27T10:05:00Z'))
    round.putDown(question('q2'), 'unaided')
    vi.useRealTimers()
    expect(round.asked.value).toMatchObject([
      { code: 'q2', outcome: 'unaided', remark: '' },
      { code: 'q1', wording: 'What of q1?', prompt: 'Which conductor?', remark: 'got there' },
    ])
  })
  test('taken back it stays in the round, marked: what was asked is not forgotten', async () => {
    const round = await begun()
    round.takeBack(round.putDown(question('q1'), 'unaided'))
    expect(round.asked.value.map(({ code, isUndone }) => [code, isUndone])).toEqual([['q1', true]])
  })
})

test('the next bays are read ahead while there is a network, and left alone without one', async () => {
  read.mockResolvedValue({ view: [] })
  const others = [{ id: 5 }, { id: 6 }] as unknown as RoundView['others']
  await (await begun({ others })).start()
  expect(read.mock.calls.map(([path]) => path)).toEqual([
    'asking/4/what-if',
    'asking/5',
    'asking/5/what-if',
    'asking/6',
    'asking/6/what-if',
  ])
  read.mockClear()
  vi.stubGlobal('navigator', { onLine: false })
  await (await begun({ others })).start()
  expect(read.mock.calls.map(([path]) => path)).toEqual(['asking/4/what-if'])
})
