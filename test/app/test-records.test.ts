/* Records of one attempt: each kind keeps and saves its own boxes; a signature closes what was seen alone. */
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { TestRecordsView } from '#schemas/test-record-views'
import { ApiProblem } from '~/utils/api-problem'
import type { DeviceCopy, DevicePlace } from '~/utils/device-copy'

const call = vi.fn()
const shown = vi.fn((error: unknown) => error)
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
const read = vi.fn()
vi.mock('~/composables/useLastView', () => ({ useLastView: () => ({ read }) }))
const device = new Map<string, DeviceCopy>()
/** The device takes its time to look. */
let looking: Promise<void>
vi.mock('~/composables/useDevicePlace', () => ({
  useDevicePlace: (key: string): DevicePlace => ({
    read: () => looking.then(() => device.get(key)),
    keep: (copy) => void device.set(key, structuredClone({ ...copy, mine: { ...copy.mine } })),
    forget: async () => void device.delete(key),
    open: () => () => {},
  }),
}))
const { useTestRecords } = await import('~/composables/useTestRecords')

type Fields = Readonly<Record<string, string>>
const paper = (boxes: readonly string[], fields: Fields, version: number) => ({
  paper: { parts: [{ items: boxes.map((key) => ({ key })) }] },
  fields,
  version,
  savedAt: null,
  seen: `hash ${version}`,
})
const viewOf = (minor: Fields = {}, installation: Fields = {}, versions = [1, 4]) =>
  ({
    papers: {
      minor: paper(['client', 'work'], minor, versions[0]!),
      installation: paper(['client', 'extent'], installation, versions[1]!),
    },
  }) as unknown as TestRecordsView

let scope: EffectScope
async function theRecords(view = viewOf()) {
  read.mockResolvedValueOnce({ view })
  scope = effectScope()
  const records = scope.run(() => useTestRecords(24))!
  await records.load()
  return records
}
const pause = () => vi.advanceTimersByTimeAsync(1000)

beforeEach(() => {
  vi.useFakeTimers()
  device.clear()
  looking = Promise.resolve()
  for (const mock of [call, shown, read]) mock.mockReset()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('two records', () => {
  it('of one attempt have boxes of their own, also where they have the same name', async () => {
    const records = await theRecords(viewOf({ client: 'Tramway' }, { client: 'Depot' }))
    expect(records.field('client')).toBe('Tramway')
    records.open('installation')
    expect(records.field('client')).toBe('Depot')
    expect(records.field('nothing')).toBe('')
  })
  it('are saved by themselves, each against its own version', async () => {
    const records = await theRecords()
    call.mockImplementation(async (method: string) =>
      method === 'PUT'
        ? { version: 5, savedAt: '2026-11-12T14:00:00Z' }
        : viewOf({}, { extent: 'Pit' }, [1, 5]),
    )
    records.open('installation')
    records.write('extent', 'Pit')
    await pause()
    const [method, path, body] = call.mock.calls[0]!
    expect([method, path, body]).toEqual([
      'PUT',
      'papers/24',
      { kind: 'installation', version: 4, fields: { extent: 'Pit' } },
    ])
    expect(records.autosave.value.state.value).toBe('saved')
    records.open('minor')
    expect(records.field('extent')).toBe('')
  })
  it('turned away from while one is typed, that one is saved all the same', async () => {
    const records = await theRecords()
    call.mockResolvedValue({ version: 2, savedAt: '' })
    records.write('work', 'One more socket')
    records.open('installation')
    await pause()
    expect(call.mock.calls[0]![2]).toMatchObject({ kind: 'minor', fields: { work: 'One more socket' } })
  })
  it('saved, but not read back: what the screen calls saved is saved', async () => {
    const records = await theRecords()
    call
      .mockResolvedValueOnce({ version: 2, savedAt: '2026-11-12T14:00:00Z' })
      .mockRejectedValueOnce(new ApiProblem(0, 'offline', ''))
    records.write('work', 'One more socket')
    await pause()
    expect(records.autosave.value.state.value).toBe('saved')
    expect(records.field('work')).toBe('One more socket')
  })
})

describe('what an earlier version kept in one place for both', () => {
  const kept = (mine: Fields) => device.set('papers/7/24', { base: {}, mine, version: 1 })

  it('goes to the record that has its boxes, and is nowhere else afterwards', async () => {
    kept({ extent: 'The whole pit' })
    const records = await theRecords()
    expect(records.field('extent')).toBe('')
    records.open('installation')
    expect(records.field('extent')).toBe('The whole pit')
    expect(device.has('papers/7/24')).toBe(false)
  })
  it('gives way to what this version has kept', async () => {
    kept({ work: 'Older' })
    device.set('papers/7/24/minor', { base: {}, mine: { work: 'Newer' }, version: 1 })
    const records = await theRecords()
    expect(records.field('work')).toBe('Newer')
  })
})

describe('a signature', () => {
  it('waits for what was typed, and signs that version and what was seen of it', async () => {
    const records = await theRecords()
    call.mockImplementation(async (method: string) =>
      method === 'PUT' ? { version: 2, savedAt: '' } : viewOf({ work: 'Done' }, {}, [2, 4]),
    )
    records.write('work', 'Done')
    expect(await records.sign('minor', 'Sade Oyelaran', '2468')).toBe(true)
    const [method, path, body] = call.mock.calls.at(-1)!
    expect([method, path]).toEqual(['POST', 'papers/24/sign'])
    expect(body).toEqual({ kind: 'minor', version: 2, name: 'Sade Oyelaran', pin: '2468', seen: 'hash 2' })
  })
  it('of what has changed since is refused, and shows what is there now', async () => {
    const records = await theRecords()
    const theirs = viewOf({ work: 'Changed by the assessor' }, {}, [3, 4])
    call.mockRejectedValueOnce(new ApiProblem(409, 'changedSince', 'Look again.', [], { theirs }))
    expect(await records.sign('minor', 'Sade Oyelaran', '2468')).toBe(false)
    expect(records.view.value).toBe(theirs)
    expect(shown).toHaveBeenCalled()
  })
  it('with a wrong PIN changes nothing of what is seen', async () => {
    const records = await theRecords()
    const before = records.view.value
    call.mockRejectedValueOnce(new ApiProblem(403, 'pinWrong', 'This PIN is not yours.'))
    expect(await records.sign('minor', 'Sade Oyelaran', '1111')).toBe(false)
    expect(records.view.value).toBe(before)
  })
})

it('boxes appear with what stands in them, however long the device takes to look', async () => {
  let look!: () => void
  looking = new Promise((resolve) => (look = resolve))
  device.set('papers/7/24/minor', { base: {}, mine: { work: 'One more socket' }, version: 1 })
  read.mockResolvedValueOnce({ view: viewOf({ client: 'Tramway' }) })
  scope = effectScope()
  const records = scope.run(() => useTestRecords(24))!
  const loading = records.load()
  await vi.advanceTimersByTimeAsync(50)
  expect(records.view.value).toBeNull()
  look()
  await loading
  expect(records.view.value).not.toBeNull()
  expect([records.field('client'), records.field('work')]).toEqual(['Tramway', 'One more socket'])
})

it('records that cannot be read say why, and can be asked for again', async () => {
  read.mockRejectedValueOnce(new ApiProblem(404, 'notFound', 'This is not there.'))
  scope = effectScope()
  const records = scope.run(() => useTestRecords(24))!
  await records.load()
  expect(records.problem.value).toMatchObject({ code: 'notFound' })
  read.mockResolvedValueOnce({ view: viewOf({ client: 'Tramway' }) })
  await records.load()
  expect(records.problem.value).toBeNull()
  expect(records.field('client')).toBe('Tramway')
})
