/* What the server works at for longer than a moment: its progress, cancelled by hand or with its page, a refusal. */
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'

/** The server: what is asked of it waits until a test answers. */
interface Asked {
  readonly path: string
  readonly answer: (value: unknown) => void
  readonly refuse: (problem: ApiProblem) => void
}
const asked: Asked[] = []
const call = (_: string, path: string, __: unknown, signal?: AbortSignal) =>
  new Promise((answer, refuse) => {
    asked.push({ path, answer, refuse })
    signal?.addEventListener('abort', () => refuse(new ApiProblem(0, 'cancelled', 'Cancelled.')))
  })
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }) }))
// What asks again and again does so in a browser alone.
vi.stubGlobal('window', globalThis)
vi.stubGlobal('document', {})
const { useLongCall } = await import('~/composables/useLongCall')

let scope: EffectScope
let long: ReturnType<typeof useLongCall>
const the = (path: string): Asked => asked.findLast((one) => one.path === path)!
const settle = () => vi.advanceTimersByTimeAsync(450)

beforeEach(() => {
  vi.useFakeTimers()
  asked.length = 0
  scope = effectScope()
  long = scope.run(useLongCall)!
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

it('tells how far it has come while it runs, and gives back what is answered', async () => {
  const running = long.run('POST', 'roster', {})
  expect(long.isRunning.value).toBe(true)
  await settle()
  the('progress').answer({ done: 1, of: 3 })
  await settle()
  expect(long.percent.value).toBe(33)
  the('roster').answer(['slip'])
  expect(await running).toEqual(['slip'])
  expect(long.isRunning.value).toBe(false)
  await settle()
  expect(long.percent.value).toBe(0)
})

it('cancelled by hand it has no answer, and may be begun again', async () => {
  const running = long.run('POST', 'roster', {})
  long.cancel()
  expect(await running).toBeNull()
  expect(long.isRunning.value).toBe(false)
  const again = long.run('POST', 'roster', {})
  the('roster').answer('done')
  expect(await again).toBe('done')
})

it('is cancelled where its page is left', async () => {
  const running = long.run('POST', 'roster', {})
  scope.stop()
  expect(await running).toBeNull()
})

it('a second tap while it runs asks for nothing', async () => {
  const running = long.run('POST', 'roster', {})
  expect(await long.run('POST', 'roster', {})).toBeNull()
  expect(asked.filter(({ path }) => path === 'roster')).toHaveLength(1)
  the('roster').answer('done')
  expect(await running).toBe('done')
})

it('a refusal comes as it is, and ends it', async () => {
  const running = long.run('POST', 'roster', {})
  the('roster').refuse(new ApiProblem(409, 'rosterHasBadRows', 'Correct line 3.'))
  await expect(running).rejects.toMatchObject({ code: 'rosterHasBadRows' })
  expect(long.isRunning.value).toBe(false)
})
