/* Leaving a device: what the server does not have yet is sent or told of first; an untouched page is locked. */
import { effectScope, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'

const callOnce = vi.fn()
const shown = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ callOnce }), showProblem: shown }))
const session = { person: { id: 7 } as { id: number } | null, isLocked: false, lockMinutes: 5, take: vi.fn() }
vi.mock('~/stores/session', () => ({ useSession: () => session }))
const outbox = {
  mine: [] as { readonly about: { readonly what: string } }[],
  look: vi.fn(async () => undefined),
  drain: vi.fn(async () => undefined),
}
vi.mock('~/stores/outbox', () => ({ useOutbox: () => outbox }))
const asked = vi.fn()
vi.mock('~/utils/sure', () => ({ isSure: asked }))
const now = ref(new Date(0))
const lastActive = ref(0)
vi.mock('@vueuse/core', () => ({ useNow: () => now, useIdle: () => ({ lastActive }) }))
const went: string[] = []
vi.stubGlobal('location', { assign: (to: string) => void went.push(to) })
const stored = new Map<string, string>()
vi.stubGlobal('localStorage', {
  getItem: (key: string) => stored.get(key) ?? null,
  setItem: (key: string, text: string) => void stored.set(key, text),
})
const { useSignOut } = await import('~/composables/useSignOut')
const { useIdleLock } = await import('~/composables/useIdleLock')

const unsent = (...what: string[]) => (outbox.mine = what.map((one) => ({ about: { what: one } })))
beforeEach(() => {
  unsent()
  went.length = 0
  stored.clear()
  Object.assign(session, { person: { id: 7 }, isLocked: false, lockMinutes: 5 })
  for (const mock of [callOnce, shown, asked, session.take]) mock.mockReset()
  for (const mock of [outbox.look, outbox.drain]) mock.mockReset().mockResolvedValue(undefined)
})

describe('signing out', () => {
  it('with everything at the server asks nothing and ends the session', async () => {
    await useSignOut().signOut()
    expect(asked).not.toHaveBeenCalled()
    expect(callOnce).toHaveBeenCalledWith('DELETE', 'session', undefined)
    expect(session.take).toHaveBeenCalledWith(expect.objectContaining({ person: null }))
    expect(went).toEqual(['/'])
  })
  it('sends first what has not been sent', async () => {
    unsent('Worksheet')
    outbox.drain.mockImplementation(async () => void unsent())
    await useSignOut().signOut()
    expect(outbox.drain).toHaveBeenCalled()
    expect(asked).not.toHaveBeenCalled()
    expect(went).toEqual(['/'])
  })
  it('names what cannot be sent, each kind once, and stays where somebody says so', async () => {
    unsent('Worksheet', 'Worksheet', 'Containment run')
    asked.mockResolvedValue(false)
    await useSignOut().signOut()
    const [said, title] = asked.mock.calls[0]!
    expect(said).toContain('Not saved yet: worksheet, containment run.')
    expect(title).toBe('3 things have not been saved')
    expect(callOnce).not.toHaveBeenCalled()
    expect(went).toEqual([])
  })
  it('goes all the same where somebody says so', async () => {
    unsent('Worksheet')
    asked.mockResolvedValue(true)
    await useSignOut().signOut()
    expect(asked.mock.calls[0]![1]).toBe('One thing has not been saved')
    expect(went).toEqual(['/'])
  })
  it('refused by the server, such as for a padlock in the register, is told and nobody is signed out', async () => {
    callOnce.mockRejectedValue(new ApiProblem(409, 'locksOn', 'Your padlock 7 on bay 3 is still there.'))
    await useSignOut().signOut()
    expect(shown.mock.calls[0]![0]).toMatchObject({ code: 'locksOn' })
    expect(session.take).not.toHaveBeenCalled()
    expect(went).toEqual([])
  })
})

describe('a page that nobody touches', () => {
  const MINUTE = 60_000
  let scope: EffectScope
  let path: string
  const lock = vi.fn(async (): Promise<unknown> => undefined)
  /** So many minutes after the last touch it is looked. */
  async function after(minutes: number): Promise<void> {
    now.value = new Date(minutes * MINUTE)
    await vi.waitFor(() => new Promise((done) => setTimeout(done)))
  }
  beforeEach(() => {
    path = '/floor'
    now.value = new Date(0)
    lastActive.value = 0
    lock.mockReset().mockResolvedValue(undefined)
    scope = effectScope()
    scope.run(() => useIdleLock(session as never, { path: () => path, lock }))
  })
  afterEach(() => scope.stop())

  it('is locked after the centre’s minutes, and not before', async () => {
    await after(4.9)
    expect(session.isLocked).toBe(false)
    await after(5)
    expect(session.isLocked).toBe(true)
    expect(lock).toHaveBeenCalledTimes(1)
    await after(6)
    expect(lock).toHaveBeenCalledTimes(1)
  })
  it('is not locked while another tab of this device is touched', async () => {
    stored.set('nakshi-touched', String(3 * MINUTE))
    await after(6)
    expect(session.isLocked).toBe(false)
    await after(8)
    expect(session.isLocked).toBe(true)
  })
  it('tells the other tabs of its own touch', async () => {
    lastActive.value = 2 * MINUTE
    await after(3)
    expect(stored.get('nakshi-touched')).toBe(String(2 * MINUTE))
  })
  it('stays open without a network, where nothing could open it again', async () => {
    lock.mockRejectedValue(new ApiProblem(0, 'offline', ''))
    await after(6)
    expect(session.isLocked).toBe(false)
  })
  it.each([
    ['where the centre does not want it', () => (session.lockMinutes = 0)],
    ['where nobody is signed in', () => (session.person = null)],
    ['on the wall', () => (path = '/wall')],
  ])('is never locked %s', async (_, make) => {
    make()
    await after(600)
    expect(lock).not.toHaveBeenCalled()
  })
})
