/* Who may open which page: set-up first, then sign-in, an own password, and then the pages of one's role. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'

const session = {
  isKnown: true,
  needsSetUp: false,
  person: null as { id: number; role: string; mustChange: boolean } | null,
  take: vi.fn(),
  takeRemembered: vi.fn(() => false),
}
vi.stubGlobal('useSession', () => session)
const callOnce = vi.fn<(...asked: unknown[]) => Promise<unknown>>()
vi.stubGlobal('useApi', () => ({ callOnce }))
vi.stubGlobal('navigateTo', (to: string) => to)
vi.stubGlobal('defineNuxtRouteMiddleware', (gate: unknown) => gate)
vi.mock('~/stores/session', () => ({ homeOf: (role: string) => `/home-of-${role}` }))
const early = vi.fn()
vi.mock('~/utils/early-data', () => ({ askEarly: early }))
type Gate = (to: {
  path: string
  meta: { roles?: string[]; isOpen?: boolean }
}) => Promise<string | undefined>
const gate = (await import('../../app/middleware/session.global')).default as unknown as Gate

const open = (path: string, meta: Parameters<Gate>[0]['meta'] = {}) => gate({ path, meta })
const signedIn = (role: string, mustChange = false) => (session.person = { id: 7, role, mustChange })
beforeEach(() => {
  Object.assign(session, { isKnown: true, needsSetUp: false, person: null })
  session.take.mockReset()
  session.takeRemembered.mockReset().mockReturnValue(false)
  callOnce.mockReset().mockResolvedValue({ person: null })
  early.mockReset()
})

describe('nobody signed in', () => {
  it.each(['/floor', '/', '/work/12', '/password'])('%s leads to the sign-in', async (path) => {
    expect(await open(path, { roles: ['apprentice'] })).toBe('/sign-in')
    expect(early).not.toHaveBeenCalled()
  })
  it('the sign-in itself stays, and what is open to all asks nobody', async () => {
    expect(await open('/sign-in')).toBeUndefined()
    session.isKnown = false
    expect(await open('/witness', { isOpen: true })).toBeUndefined()
    expect(callOnce).not.toHaveBeenCalled()
  })
  it('an empty centre is set up before anything else, and never twice', async () => {
    session.needsSetUp = true
    expect([await open('/floor'), await open('/set-up')]).toEqual(['/set-up', undefined])
    session.needsSetUp = false
    expect(await open('/set-up')).toBe('/')
  })
})

describe('somebody signed in', () => {
  it('goes home from the door, and from what is for others', async () => {
    signedIn('apprentice')
    const meta = { roles: ['instructor', 'assessor'] }
    expect([await open('/'), await open('/sign-in'), await open('/floor', meta)]).toEqual(
      Array(3).fill('/home-of-apprentice'),
    )
    expect(early).not.toHaveBeenCalled()
  })
  it('opens what is for them, and what is for everybody; its data is on its way at once, in their name', async () => {
    signedIn('assessor')
    expect(await open('/floor', { roles: ['instructor', 'assessor'] })).toBeUndefined()
    expect(await open('/library')).toBeUndefined()
    expect(early.mock.calls).toEqual([
      ['/floor', 7],
      ['/library', 7],
    ])
  })
  it('with a one-time password gets no further than choosing their own', async () => {
    signedIn('instructor', true)
    expect([await open('/floor'), await open('/'), await open('/password')]).toEqual([
      '/password',
      '/password',
      undefined,
    ])
  })
})

describe('a page that is opened anew', () => {
  beforeEach(() => (session.isKnown = false))
  it('asks once who is signed in', async () => {
    session.take.mockImplementation(() => signedIn('technician'))
    expect(await open('/')).toBe('/home-of-technician')
    expect(callOnce.mock.calls).toEqual([['GET', 'session', undefined]])
  })
  it.each([
    ['without a network', new ApiProblem(0, 'offline', '')],
    ['while the server is in trouble', new ApiProblem(507, 'diskFull', '')],
  ])('%s it is whoever was here last', async (_, error) => {
    callOnce.mockRejectedValue(error)
    session.takeRemembered.mockImplementation(() => signedIn('apprentice') !== null)
    expect(await open('/work/12', { roles: ['apprentice'] })).toBeUndefined()
  })
  it.each([
    ['without a network', new ApiProblem(0, 'offline', '')],
    ['with a server that is in trouble', new ApiProblem(507, 'diskFull', '')],
    ['with an answer that nobody foresaw', new TypeError('no JSON')],
  ])('%s nobody remembered leads to the sign-in', async (_, error) => {
    callOnce.mockRejectedValue(error)
    expect(await open('/floor')).toBe('/sign-in')
    expect(await open('/sign-in')).toBeUndefined()
  })
  it('refused by the server, nobody is remembered in spite of it', async () => {
    callOnce.mockRejectedValue(new ApiProblem(421, 'otherHost', ''))
    session.takeRemembered.mockImplementation(() => signedIn('apprentice') !== null)
    expect(await open('/work/12')).toBe('/sign-in')
    expect(session.takeRemembered).not.toHaveBeenCalled()
  })
})
