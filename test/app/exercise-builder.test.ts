/* An exercise being written and saved against others: nothing that was typed is lost to a slow or a stale answer. */
import { effectScope, nextTick, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Exercise } from '#core/exercise/exercise'
import type { StoredExercise } from '#schemas/views'
import { ApiProblem } from '~/utils/api-problem'
import type { DeviceCopy, DevicePlace } from '~/utils/device-copy'
import { anExercise } from '../support/task'

const call = vi.fn()
const shown = vi.fn((error: unknown) => error)
const told = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('element-plus', () => ({ ElMessage: (said: { message: string }) => told(said.message) }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
const centre = { framework: null, policies: anExercise().policy }
vi.mock('~/stores/shared', () => ({
  useCentre: () => ({ refresh: async () => undefined, data: shallowRef(centre), problem: shallowRef(null) }),
  useBookInForce: () => ({ data: shallowRef({ changes: [] }) }),
}))
vi.mock('~/composables/useExpectedReadings', () => ({ useExpectedReadings: () => shallowRef([]) }))
const device = new Map<string, DeviceCopy>()
vi.mock('~/composables/useDevicePlace', () => ({
  useDevicePlace: (key: string): DevicePlace => ({
    read: async () => device.get(key),
    keep: (copy) => void device.set(key, { ...copy }),
    forget: async () => void device.delete(key),
    open: () => () => {},
  }),
}))
const gone = vi.fn()
vi.stubGlobal('navigateTo', gone)
const { useExerciseBuilder } = await import('~/composables/useExerciseBuilder')

const stored = (version: number, parts: Partial<Exercise> = {}): StoredExercise => ({
  id: 4,
  state: 'draft',
  version,
  updatedBy: 'Mira',
  updatedAt: '2026-11-12T14:00:00Z',
  exercise: anExercise(parts),
})
let scope: EffectScope
async function aBuilder(id: number | null = 4, loaded = stored(1, { title: 'Store' })) {
  if (id !== null) call.mockResolvedValueOnce(loaded)
  scope = effectScope()
  const builder = scope.run(() => useExerciseBuilder(id))!
  await builder.load()
  call.mockReset()
  return builder
}
/** What was typed has been drawn, and the task after that is over. */
const kept = async () => {
  await nextTick()
  await new Promise((done) => setTimeout(done))
}
/** An answer of the server that comes when the test says so. */
function later<T>() {
  let arrive!: (value: T) => void
  let refuse!: (error: unknown) => void
  const answer = new Promise<T>((resolve, reject) => {
    arrive = resolve
    refuse = reject
  })
  return { answer, arrive, refuse }
}

beforeEach(() => {
  device.clear()
  for (const mock of [call, shown, told, gone]) mock.mockReset()
})
afterEach(() => scope.stop())

describe('saving', () => {
  it('sends what stands there with the version it was read in, and then nothing is unsaved', async () => {
    const builder = await aBuilder()
    builder.write('title', 'Lamp store')
    await kept()
    expect(device.size).toBe(1)
    call.mockResolvedValueOnce(stored(2, { title: 'Lamp store' }))
    expect(await builder.save()).toBe(true)
    const [method, path, body] = call.mock.calls[0]!
    expect([method, path, body.version, body.exercise.title]).toEqual(['PUT', 'exercises/4', 1, 'Lamp store'])
    expect(builder.isChanged.value).toBe(false)
    await kept()
    expect(device.size).toBe(0)
  })
  it('typed on while it is on its way: that stays, is unsaved, and goes with the next saving', async () => {
    const builder = await aBuilder()
    builder.write('title', 'Lamp store')
    const put = later<StoredExercise>()
    call.mockReturnValueOnce(put.answer)
    const saving = builder.save()
    builder.write('title', 'Lamp and oil store')
    builder.write('minutes', '120')
    put.arrive(stored(2, { title: 'Lamp store' }))
    await saving
    expect(builder.form.value).toMatchObject({ title: 'Lamp and oil store', minutes: '120' })
    expect(builder.isChanged.value).toBe(true)
    call.mockResolvedValueOnce(stored(3, { title: 'Lamp and oil store', minutes: 120 }))
    await builder.save()
    expect(call.mock.calls[1]![2]).toMatchObject({ version: 2, exercise: { title: 'Lamp and oil store' } })
    expect(builder.isChanged.value).toBe(false)
  })
  it('a new one, typed on while it was made, has all of it at the server before its own page opens', async () => {
    const builder = await aBuilder(null)
    builder.change({ ...builder.form.value, ...(await aBuilder()).form.value })
    const made = later<StoredExercise>()
    call.mockReturnValueOnce(made.answer)
    const saving = builder.save()
    builder.write('title', 'Typed meanwhile')
    call.mockResolvedValueOnce(stored(2, { title: 'Typed meanwhile' }))
    made.arrive(stored(1, { title: 'Store' }))
    expect(await saving).toBe(true)
    expect(call.mock.calls.map(([method]) => method)).toEqual(['POST', 'PUT'])
    expect(call.mock.calls[1]![2].exercise.title).toBe('Typed meanwhile')
    expect(gone).toHaveBeenCalledWith('/exercises/4', { replace: true })
  })
  it('what cannot be read is not sent, and nothing of it is lost', async () => {
    const builder = await aBuilder()
    builder.write('c1.length', 'far')
    expect(await builder.save()).toBe(false)
    expect(call).not.toHaveBeenCalled()
    expect(builder.form.value['c1.length']).toBe('far')
    expect(builder.read.value.problems['c1.length']).toBeTruthy()
  })
  it('a refusal is shown in its own words, and what was typed stays', async () => {
    const builder = await aBuilder()
    builder.write('title', 'Lamp store')
    call.mockRejectedValueOnce(new ApiProblem(503, 'diskFull', 'The disk is full.'))
    expect(await builder.save()).toBe(false)
    expect(shown.mock.calls[0]![0]).toMatchObject({ message: 'The disk is full.' })
    expect(builder.form.value.title).toBe('Lamp store')
    expect(builder.isBusy.value).toBe(false)
  })
})

describe('somebody else has saved in between', () => {
  const stale = (theirs: StoredExercise) => new ApiProblem(409, 'stale', 'Changed.', [], { theirs })

  it('other boxes are put together; it says whose they are, and the next saving goes on from theirs', async () => {
    const builder = await aBuilder()
    builder.write('title', 'Lamp store')
    call.mockRejectedValueOnce(stale(stored(5, { title: 'Store', minutes: 150 })))
    expect(await builder.save()).toBe(false)
    expect(builder.form.value).toMatchObject({ title: 'Lamp store', minutes: '150' })
    expect(told.mock.calls[0]![0]).toContain('Mira saved this exercise')
    call.mockResolvedValueOnce(stored(6, { title: 'Lamp store', minutes: 150 }))
    await builder.save()
    expect(call.mock.calls[1]![2].version).toBe(5)
  })
  it('the same box is asked about, and what is chosen is what is saved', async () => {
    const builder = await aBuilder()
    builder.write('title', 'Mine')
    call.mockRejectedValueOnce(stale(stored(5, { title: 'Theirs' })))
    await builder.save()
    expect(builder.conflicts.value.map(({ field }) => field)).toEqual(['title'])
    builder.choose('title', 'Theirs')
    expect(builder.conflicts.value).toEqual([])
    expect(builder.isChanged.value).toBe(false)
  })
})

describe('what was typed here before and not saved', () => {
  const typedBefore = async () => {
    const first = await aBuilder()
    first.write('title', 'Typed before')
    await kept()
    scope.stop()
  }
  it('is laid over what the server has by now, and can be thrown away', async () => {
    await typedBefore()
    const builder = await aBuilder(4, stored(3, { title: 'Store', minutes: 150 }))
    expect(builder.form.value).toMatchObject({ title: 'Typed before', minutes: '150' })
    expect(builder.isBack.value).toBe(true)
    builder.discard()
    expect(builder.form.value.title).toBe('Store')
    expect(builder.isChanged.value).toBe(false)
  })
  it('does not touch an exercise that has been set meanwhile', async () => {
    await typedBefore()
    const builder = await aBuilder(4, { ...stored(3, { title: 'Store' }), state: 'set' })
    expect(builder.form.value.title).toBe('Store')
  })
})

describe('setting it', () => {
  it('saves first what is not saved, then gives it out with the version that came of it', async () => {
    const builder = await aBuilder()
    builder.write('title', 'Lamp store')
    call
      .mockResolvedValueOnce(stored(2, { title: 'Lamp store' }))
      .mockResolvedValueOnce({ given: 12 })
      .mockResolvedValueOnce({ ...stored(3, { title: 'Lamp store' }), state: 'set' })
    expect(await builder.setFor('Thursday')).toBe(12)
    expect(call.mock.calls[1]).toEqual(['POST', 'exercises/4/set', { version: 2, cohort: 'Thursday' }])
    expect(builder.stored.value!.state).toBe('set')
  })
  it('gives nothing out where it could not be saved', async () => {
    const builder = await aBuilder()
    builder.write('c1.length', 'far')
    expect(await builder.setFor('Thursday')).toBeNull()
    expect(call).not.toHaveBeenCalled()
  })
})

describe('rules', () => {
  it('a set exercise keeps the policy that it was set by; a draft takes the present one', async () => {
    const then = { ...anExercise().policy, followShare: 0 }
    const set = await aBuilder(4, { ...stored(1, { policy: then }), state: 'set' })
    expect(set.policy.value.followShare).toBe(0)
    const draft = await aBuilder(4, stored(1, { policy: then }))
    expect(draft.policy.value).toEqual(centre.policies)
  })
})
