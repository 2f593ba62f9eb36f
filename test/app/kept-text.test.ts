/* Autosave: typed text is kept on the device first, sent when it can be, merged when another device was there. */
import 'fake-indexeddb/auto'
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { useKeptText } from '../../app/composables/useKeptText'
import { ApiProblem } from '../../app/utils/api-problem'
import { devicePlace, isTypedIn } from '../../app/utils/device-copy'
import { ABOUT, emptyDevice, idle, keepAs, keptFor } from '../support/device'

/** A server with one document, its version, and the faults a test gives it. */
function aServer(fields: Record<string, string> = {}) {
  const server = {
    fields,
    version: 1,
    isDown: false,
    sent: 0,
    send: async (typed: Record<string, string>, version: number) => {
      server.sent += 1
      if (server.isDown) throw new ApiProblem(0, 'offline', 'no network')
      if (version !== server.version)
        throw new ApiProblem(409, 'stale', 'stale', [], {
          theirs: { fields: { ...server.fields }, version: server.version },
        })
      server.fields = { ...typed }
      server.version += 1
      return { version: server.version, savedAt: '2026-11-12T14:00:00Z' }
    },
  }
  return server
}

let scopes: EffectScope[] = []
async function aDevice(server: ReturnType<typeof aServer>, key = 'sheet') {
  const scope = effectScope()
  scopes.push(scope)
  const autosave = scope.run(() =>
    useKeptText({
      place: devicePlace(key, ABOUT),
      send: (...sent) => server.send(...sent),
      theirs: (extra) => extra.theirs as { fields: Record<string, string>; version: number },
      lockedOf: (extra) => extra.locked as string[],
    }),
  )!
  await autosave.start({ ...server.fields }, server.version, null)
  return autosave
}
type Device = Awaited<ReturnType<typeof aDevice>>
const settle = async () => {
  await vi.advanceTimersByTimeAsync(1000)
  await idle()
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] })
  return emptyDevice()
})
afterEach(() => {
  scopes.forEach((scope) => scope.stop())
  scopes = []
  vi.useRealTimers()
})

describe('autosave', () => {
  test('many keystrokes become one request; then nothing is left on the device', async () => {
    const server = aServer()
    const device = await aDevice(server)
    for (const text of ['1', '12', '12.', '12.6']) device.write('ib', text)
    expect(device.state.value).toBe('editing')
    await vi.advanceTimersByTimeAsync(0)
    await idle()
    expect((await keptFor('sheet'))?.mine).toEqual({ ib: '12.6' })
    await settle()
    expect(server).toMatchObject({ sent: 1, fields: { ib: '12.6' } })
    expect(device.state.value).toBe('saved')
    expect(await keptFor('sheet')).toBeUndefined()
  })

  test.each([
    ['saved at once', (device: Device) => device.flush()],
    ['left', () => scopes.forEach((scope) => scope.stop())],
  ])('a key and the page %s in the same moment: the key has arrived', async (_, act) => {
    const server = aServer()
    const device = await aDevice(server)
    device.write('ib', '12.6')
    await act(device)
    await idle()
    expect(server.fields).toEqual({ ib: '12.6' })
  })

  test('what is thrown away in the moment it was typed is not kept on the device after all', async () => {
    const server = aServer({ ib: '12.6' })
    const device = await aDevice(server)
    device.write('ib', '99')
    device.discard()
    await settle()
    expect(device.fields).toEqual({ ib: '12.6' })
    expect(server.sent).toBe(0)
    expect(await keptFor('sheet')).toBeUndefined()
  })

  test('without a network typing is kept, tried again, and sent when it is back', async () => {
    const server = aServer()
    const device = await aDevice(server)
    server.isDown = true
    device.write('ib', '12.6')
    await settle()
    expect(device.state.value).toBe('offline')
    device.write('ca', '0.94')
    server.isDown = false
    await vi.advanceTimersByTimeAsync(5000)
    await idle()
    expect(server.fields).toEqual({ ib: '12.6', ca: '0.94' })
  })

  test('an answer that is none, as of a network’s own sign-in page, is no saving: it is sent again', async () => {
    const server = aServer()
    const device = await aDevice(server)
    const { send } = server
    server.send = async () => null as never
    device.write('ib', '12.6')
    await settle()
    expect(device.state.value).toBe('offline')
    expect(await keptFor('sheet')).toBeDefined()
    server.send = send
    await vi.advanceTimersByTimeAsync(5000)
    await idle()
    expect(server.fields).toEqual({ ib: '12.6' })
    expect(device.state.value).toBe('saved')
  })

  test('a page that is opened again lays what it could not send over what the server has', async () => {
    const server = aServer({ ib: '12.6' })
    await keepAs('closed-tab', 'sheet', { base: { ib: '12.6' }, mine: { ib: '12.6', zs: '0.8' } })
    server.fields = { ib: '13.0' }
    server.version = 4
    const device = await aDevice(server)
    await settle()
    expect(server.fields).toEqual({ ib: '13.0', zs: '0.8' })
    expect(device.fields).toEqual({ ib: '13.0', zs: '0.8' })
  })

  test('two devices: different boxes are put together; the same box waits for a choice', async () => {
    const server = aServer()
    const [one, two] = [await aDevice(server, 'one'), await aDevice(server, 'two')]
    one.write('ib', '12.6')
    await settle()
    two.write('ca', '0.94')
    await settle()
    await settle()
    expect(server.fields).toEqual({ ib: '12.6', ca: '0.94' })
    one.write('ca', '0.87')
    await settle()
    expect(one.state.value).toBe('conflict')
    expect(one.conflicts.value).toEqual([{ field: 'ca', mine: '0.87', theirs: '0.94' }])
    expect(server.fields.ca).toBe('0.94')
    one.choose('ca', '0.87')
    await settle()
    expect(server.fields.ca).toBe('0.87')
  })

  test('a version adopted from another device leaves unsent boxes as they are typed, and sends them', async () => {
    const server = aServer({ ib: '12.6' })
    const device = await aDevice(server)
    server.isDown = true
    device.write('zs', '0.8')
    await settle()
    server.isDown = false
    Object.assign(server, { fields: { ib: '13.0' }, version: 7 })
    device.adopt({ ib: '13.0' }, 7, null)
    expect(device.fields).toEqual({ ib: '13.0', zs: '0.8' })
    await settle()
    expect(server.fields).toEqual({ ib: '13.0', zs: '0.8' })
    expect(device.state.value).toBe('saved')
  })

  test('refused while the bay is stopped, it stays in its box and goes when permission is back', async () => {
    const server = aServer()
    const { send } = server
    server.send = async () => Promise.reject(new ApiProblem(409, 'liveLocked', 'locked'))
    const device = await aDevice(server)
    device.write('zs', '0.8')
    await settle()
    expect(device.state.value).toBe('refused')
    expect(device.fields.zs).toBe('0.8')
    expect((await keptFor('sheet'))!.mine.zs).toBe('0.8')
    server.send = send
    device.adopt({}, server.version, null)
    await settle()
    expect(server.fields).toEqual({ zs: '0.8' })
    expect(device.state.value).toBe('saved')
  })

  test('boxes locked at this stage wait here; the others are saved without them', async () => {
    const server = aServer({ ir: '640' })
    const { send } = server
    let isStopped = true
    server.send = async (typed, version) => {
      if (isStopped && typed.zs !== (server.fields.zs ?? ''))
        throw new ApiProblem(409, 'liveLocked', 'locked', [], { locked: ['zs'] })
      return send(typed, version)
    }
    const device = await aDevice(server)
    device.write('zs', '0.8')
    device.write('ir', '0.4')
    await settle()
    expect(server.fields).toMatchObject({ ir: '0.4' })
    expect(server.fields.zs ?? '').toBe('')
    expect(device.state.value).toBe('held')
    expect(device.fields.zs).toBe('0.8')
    expect((await keptFor('sheet'))!.mine.zs).toBe('0.8')
    isStopped = false
    device.adopt({ ...server.fields }, server.version, null)
    await settle()
    expect(server.fields).toMatchObject({ ir: '0.4', zs: '0.8' })
    expect(device.state.value).toBe('saved')
  })

  test('what was refused can be thrown away: the boxes show what the server has', async () => {
    const server = aServer({ zs: '0.7' })
    server.send = async () => Promise.reject(new ApiProblem(409, 'locked', 'locked'))
    const device = await aDevice(server)
    device.write('zs', '0.8')
    await settle()
    device.discard()
    await idle()
    expect(device.fields.zs).toBe('0.7')
    expect(device.state.value).toBe('saved')
    expect(await keptFor('sheet')).toBeUndefined()
  })

  test('what is typed while a save is under way is saved after it', async () => {
    const server = aServer()
    const { send } = server
    let go = () => {}
    server.send = async (...args) => {
      await new Promise<void>((resolve) => (go = resolve))
      return send(...args)
    }
    const slow = await aDevice(server, 'slow')
    slow.write('ib', '1')
    await vi.advanceTimersByTimeAsync(800)
    slow.write('ib', '12')
    go()
    await settle()
    go()
    await settle()
    expect(server.fields).toEqual({ ib: '12' })
    expect(slow.state.value).toBe('saved')
  })
})

describe('typing that an earlier version kept under one place for both kinds of record', () => {
  const minor = new Set(['client', 'description', 'bondingGas'])
  const installation = new Set(['client', 'extent', 'bondingGas'])
  test.each([
    ['a box of one kind', { description: 'Ring rewired' }, true, false],
    ['a box that both have', { client: 'Tramway workshops' }, true, true],
    ['the reason of a box', { 'why.bondingGas': 'no gas in the shed', extent: 'one board' }, false, true],
  ])('%s', (_, mine, ofMinor, ofInstallation) => {
    expect(isTypedIn({ base: { client: '', extent: '' }, mine }, minor)).toBe(ofMinor)
    expect(isTypedIn({ base: { client: '', extent: '' }, mine }, installation)).toBe(ofInstallation)
  })
})

test('two documents never share a place: what is typed in one record is not in the other', async () => {
  const [minor, installation] = [aServer(), aServer()]
  minor.isDown = true
  const typed = await aDevice(minor, 'papers/1/2/minor')
  typed.write('client', 'Tramway workshops')
  await settle()
  const other = await aDevice(installation, 'papers/1/2/installation')
  expect(other.fields.client).toBeUndefined()
  const again = await aDevice(minor, 'papers/1/2/minor')
  expect(again.fields.client).toBe('Tramway workshops')
})
