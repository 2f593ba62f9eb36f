/* A call to the server: what it answers and refuses, an ended session, a proof asked for, an answer too late. */
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import type { ApiProblem } from '~/utils/api-problem'

const session = {
  person: null as { readonly id: number } | null,
  isLocked: false,
  untilSignedIn: vi.fn(),
  untilProved: vi.fn(),
}
vi.mock('~/stores/session', () => ({ useSession: () => session }))
const { useApi, useServer } = await import('~/composables/useApi')

type Answer = { readonly status?: number; readonly body?: unknown; readonly type?: string }
let answers: Answer[]
const asked = vi.fn()
const answerOf = ({ status = 200, body = null, type = 'application/json' }: Answer) => ({
  ok: status < 400,
  status,
  headers: new Headers({ 'content-type': type }),
  json: () => (body === undefined ? Promise.reject(new Error('no JSON')) : Promise.resolve(body)),
})
const refusal = (status: number, code: string) => ({ status, body: { title: 'No.', code, status } })
const problemOf = (call: Promise<unknown>): Promise<ApiProblem> =>
  call.then(
    () => Promise.reject(new Error('it was not refused')),
    (error) => error as ApiProblem,
  )

beforeEach(() => {
  answers = []
  session.isLocked = false
  session.person = null
  session.untilSignedIn.mockReset().mockResolvedValue(undefined)
  session.untilProved.mockReset().mockResolvedValue(true)
  asked.mockReset().mockImplementation(async () => answerOf(answers.shift() ?? {}))
  vi.stubGlobal('fetch', asked)
})
afterEach(() => vi.unstubAllGlobals())

describe('a call', () => {
  test('says what is sent and by which tab, and gives back what is answered', async () => {
    answers = [{ body: { version: 2 } }]
    await expect(useApi().call('PUT', 'work/12', { version: 1 })).resolves.toEqual({ version: 2 })
    const [path, { method, body, headers }] = asked.mock.calls[0]!
    expect([path, method, body]).toEqual(['/api/work/12', 'PUT', '{"version":1}'])
    expect(headers).toMatchObject({ 'content-type': 'application/json', 'x-nakshi-tab': expect.any(String) })
  })
  test('says for whom the page is, so that nothing of one person is taken as another’s', async () => {
    await useApi().call('GET', 'session')
    session.person = { id: 7 }
    await useApi().call('PUT', 'work/12', {})
    const people = asked.mock.calls.map(([, { headers }]) => headers['x-nakshi-person'])
    expect(people).toEqual([undefined, '7'])
  })
  test('a refusal comes in the server’s words, with the boxes it names and what else it hands over', async () => {
    answers = [
      {
        status: 409,
        body: {
          title: 'Changed elsewhere.',
          code: 'stale',
          fields: [{ field: 'a', message: 'b' }],
          theirs: 7,
        },
      },
    ]
    const problem = await problemOf(useApi().call('PUT', 'work/12', {}))
    expect(problem).toMatchObject({
      status: 409,
      code: 'stale',
      message: 'Changed elsewhere.',
      extra: { theirs: 7 },
    })
    expect(problem.fields).toEqual([{ field: 'a', message: 'b' }])
  })
  test('an answer that is no JSON is refused in plain words', async () => {
    answers = [{ status: 500, body: undefined, type: 'text/html' }]
    const problem = await problemOf(useApi().call('GET', 'floor'))
    expect([problem.status, problem.message]).toEqual([
      500,
      'The server gave no reason. Try again in a moment.',
    ])
  })
  test.each([
    ['a network’s own sign-in page', { status: 200, type: 'text/html; charset=utf-8' }],
    ['a page that a proxy has moved to', { status: 200, type: '' }],
    ['a proxy behind which nobody answers', { status: 502, type: 'text/html' }],
    ['a proxy that waited too long', { status: 504, type: 'text/plain' }],
  ])('%s is no answer of the server: nothing counts as saved', async (_, answer) => {
    answers = [{ ...answer, body: undefined }]
    const problem = await problemOf(useApi().call('PUT', 'work/12', {}))
    expect([problem.code, problem.message]).toEqual([
      'offline',
      expect.stringContaining('kept on this device'),
    ])
  })
  test('an act that answers nothing has been done; a server in trouble says which', async () => {
    answers = [
      { status: 204, type: '', body: undefined },
      { ...refusal(503, 'busy'), type: 'application/problem+json' },
    ]
    await expect(useApi().call('POST', 'lock', {})).resolves.toBeNull()
    expect((await problemOf(useApi().call('PUT', 'work/12', {}))).code).toBe('busy')
  })
  test('without a network it says that what is typed is kept', async () => {
    asked.mockRejectedValue(new TypeError('network'))
    const problem = await problemOf(useApi().call('PUT', 'work/12', {}))
    expect(problem.code).toBe('offline')
    expect(problem.message).toMatch(/kept on this device/)
  })
})

describe('a session that does not hold', () => {
  test('an ended one waits for a sign-in and then makes the same call again', async () => {
    answers = [refusal(401, 'signInNeeded'), { body: 'saved' }]
    await expect(useApi().call('PUT', 'work/12', { a: 1 })).resolves.toBe('saved')
    expect(session.untilSignedIn).toHaveBeenCalledOnce()
    expect(asked.mock.calls[1]).toEqual(asked.mock.calls[0])
  })
  test('another person at this device since: the page waits for its own, as after an ended session', async () => {
    answers = [refusal(401, 'otherPerson'), { body: 'saved' }]
    await expect(useApi().call('PUT', 'work/12', { a: 1 })).resolves.toBe('saved')
    expect(session.untilSignedIn).toHaveBeenCalledOnce()
  })
  test('a locked page says so and waits; a signature asks who sits there without locking', async () => {
    answers = [refusal(423, 'sessionLocked'), { body: 1 }, refusal(403, 'proofNeeded'), { body: 2 }]
    const { call } = useApi()
    await expect(call('GET', 'floor')).resolves.toBe(1)
    expect(session.isLocked).toBe(true)
    session.isLocked = false
    await expect(call('POST', 'attempts/1/permission', {})).resolves.toBe(2)
    expect([session.isLocked, session.untilProved.mock.calls.length]).toEqual([false, 2])
  })
  test('who would rather not prove it is left with the refusal, and nothing is sent twice', async () => {
    answers = [refusal(403, 'proofNeeded')]
    session.untilProved.mockResolvedValue(false)
    expect((await problemOf(useApi().call('POST', 'attempts/1/permission', {}))).code).toBe('proofNeeded')
    expect(asked).toHaveBeenCalledOnce()
  })
  test('a second refusal after the sign-in is told, not asked for again', async () => {
    answers = [refusal(401, 'signInNeeded'), refusal(401, 'signInNeeded')]
    expect((await problemOf(useApi().call('GET', 'floor'))).code).toBe('signInNeeded')
    expect(session.untilSignedIn).toHaveBeenCalledOnce()
  })
})

describe('a value from the server', () => {
  const settled = async () => {
    for (let i = 0; i < 5; i += 1) await nextTick()
  }

  test('a slower earlier answer never overwrites a later one', async () => {
    const late: ((answer: unknown) => void)[] = []
    asked.mockImplementation(() => new Promise((done) => late.push((body) => done(answerOf({ body })))))
    const page = ref('one')
    const { data } = effectScope().run(() => useServer<string>(() => page.value))!
    page.value = 'two'
    await settled()
    late[1]!('second')
    await settled()
    late[0]!('first')
    await settled()
    expect(data.value).toBe('second')
  })
  test('a failed look keeps what was there and says why; the next one clears it', async () => {
    answers = [{ body: 'there' }, refusal(500, 'unexpected'), { body: 'again' }]
    const { data, problem, refresh } = effectScope().run(() => useServer<string>(() => 'floor'))!
    await settled()
    await refresh()
    expect([data.value, problem.value?.message]).toEqual(['there', 'No.'])
    await refresh()
    expect([data.value, problem.value]).toEqual(['again', null])
  })
  test('without an address nothing is asked and nothing shown', async () => {
    const { data } = effectScope().run(() => useServer<string>(() => null))!
    await settled()
    expect([data.value, asked.mock.calls.length]).toEqual([null, 0])
  })
  test('what one person was refused is not shown to the next at this device', async () => {
    answers = [refusal(403, 'notAllowed')]
    const path = ref<string | null>('needs')
    const { problem } = effectScope().run(() => useServer<string>(() => path.value))!
    await settled()
    expect(problem.value?.code).toBe('notAllowed')
    path.value = null
    await settled()
    expect(problem.value).toBeNull()
  })
})
