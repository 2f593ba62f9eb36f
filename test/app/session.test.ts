/* Who sits at a tablet: remembered without a network, locked when nobody touches it, in every tab alike. */
import { createPinia, setActivePinia } from 'pinia'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

const ROBIN = {
  id: 7,
  number: 'T-7',
  name: 'Robin Vance',
  role: 'apprentice',
  cohort: 'Monday',
  mustChange: false,
}
const stored = new Map<string, string>()
const listeners: ((event: { key: string }) => void)[] = []
const touched = ref(0)
const now = ref(new Date(0))
const lock = vi.fn(async () => null as unknown)

const localStorage = {
  getItem: (key: string) => stored.get(key) ?? null,
  setItem: (key: string, value: string) => void stored.set(key, value),
  removeItem: (key: string) => void stored.delete(key),
}
vi.mock('@vueuse/core', () => ({
  useEventListener: (_: string, listen: (event: { key: string }) => void) => void listeners.push(listen),
  useIdle: () => ({ lastActive: touched }),
  useNow: () => now,
}))
vi.mock('../../app/utils/last-view', () => ({ lastViews: { forgetAll: async () => stored.delete('views') } }))

const { useSession } = await import('../../app/stores/session')
const { useIdleLock } = await import('../../app/composables/useIdleLock')
let scope: EffectScope
let session: ReturnType<typeof useSession>
const minutes = (count: number) => count * 60_000

/** A page of the device, opened anew. */
function aTab() {
  setActivePinia(createPinia())
  return scope.run(() => useSession())!
}
const signedIn = (isLocked = false) => ({
  person: ROBIN as never,
  needsSetUp: false,
  isCollegeOffered: false,
  isLocked,
  lockMinutes: 15,
  news: 4,
})

beforeEach(() => {
  vi.stubGlobal('localStorage', localStorage)
  vi.stubGlobal('location', { assign: vi.fn() })
  stored.clear()
  listeners.length = 0
  touched.value = 0
  now.value = new Date(0)
  lock.mockReset().mockResolvedValue(null)
  scope = effectScope()
  session = aTab()
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
})

describe('without a network', () => {
  it('whoever was signed in is remembered, and what was locked stays locked', async () => {
    session.take(signedIn())
    session.isLocked = true
    await nextTick()
    const reloaded = aTab()
    expect(reloaded.takeRemembered()).toBe(true)
    expect(reloaded).toMatchObject({ person: { name: 'Robin Vance' }, isLocked: true })
  })

  it('after signing out nobody is, and what the server said of them is gone', async () => {
    stored.set('views', 'a worksheet')
    session.take(signedIn())
    session.take({ ...signedIn(), person: null })
    const reloaded = aTab()
    expect(reloaded.takeRemembered()).toBe(false)
    expect(stored.has('views')).toBe(false)
  })
})

describe('asked who sits there', () => {
  it('every act that waits goes on once it is proved; given up, none does', async () => {
    session.take(signedIn())
    const acts = [session.untilProved(), session.untilProved()]
    session.proved()
    expect(await Promise.all(acts)).toEqual([true, true])
    const other = session.untilProved()
    session.giveUpProof()
    expect(await other).toBe(false)
  })

  it('a locked page cannot be given up, only opened: also by another tab', async () => {
    session.take(signedIn(true))
    await nextTick()
    const act = session.untilProved()
    session.giveUpProof()
    expect(session.isAsked).toBe(true)
    // The other tab has proved it and says so.
    stored.set('nakshi-person', JSON.stringify({ person: ROBIN, isLocked: false }))
    listeners.forEach((listen) => listen({ key: 'nakshi-person' }))
    expect(await act).toBe(true)
    expect(session.isLocked).toBe(false)
  })
})

describe('another tab of the same device', () => {
  const OTHER = { ...ROBIN, id: 8, number: 'T-8', name: 'Sam Otter' }
  /** The other tab says who is signed in now, as a browser tells it. */
  function told(person: object | null) {
    if (person) stored.set('nakshi-person', JSON.stringify({ person, isLocked: false }))
    else stored.delete('nakshi-person')
    listeners.forEach((listen) => listen({ key: 'nakshi-person' }))
  }
  beforeEach(() => session.take(signedIn()))

  it.each([
    ['somebody else has signed in there', OTHER],
    ['they have signed out there', null],
  ])('%s: this page is over until its own person is back', (_, person) => {
    told(person)
    expect(session.ended).toBe(true)
    expect(session.person).toEqual(ROBIN)
  })
  it('signed in again there, this page goes on with what waited', async () => {
    told(null)
    const waited = session.untilSignedIn()
    told(ROBIN)
    await expect(waited).resolves.toBeUndefined()
    expect(session.ended).toBe(false)
  })
  it('where nobody is signed in, nothing is over', () => {
    const open = aTab()
    told(OTHER)
    expect(open.ended).toBe(false)
  })
  it('what else is kept there says nothing of the session', () => {
    listeners.forEach((listen) => listen({ key: 'nakshi-touched' }))
    expect(session.ended).toBe(false)
  })
})

describe('an untouched page', () => {
  function watched(path = '/work/3') {
    session.take(signedIn())
    scope.run(() => useIdleLock(session, { path: () => path, lock }))
  }
  async function passed(ms: number) {
    now.value = new Date(ms)
    await nextTick()
    await Promise.resolve()
    await nextTick()
  }

  it('is locked after the centre’s minutes and not before', async () => {
    watched()
    await passed(minutes(14))
    expect(lock).not.toHaveBeenCalled()
    await passed(minutes(15))
    expect(lock).toHaveBeenCalledTimes(1)
    expect(session.isLocked).toBe(true)
  })
  it('is not while another tab of the device is touched', async () => {
    watched()
    stored.set('nakshi-touched', String(minutes(10)))
    await passed(minutes(20))
    expect(lock).not.toHaveBeenCalled()
    await passed(minutes(25))
    expect(session.isLocked).toBe(true)
  })
  it('is not without a network: nothing could open it at the bay', async () => {
    lock.mockRejectedValue(new Error('offline'))
    watched()
    await passed(minutes(30))
    expect(session.isLocked).toBe(false)
  })
  it.each(['/wall', '/sign-in'])('%s never is', async (path) => {
    watched(path)
    await passed(minutes(600))
    expect(lock).not.toHaveBeenCalled()
  })
})
