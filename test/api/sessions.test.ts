/* Nobody in: sessions that end at the server, guesses that run out, passwords and PINs that nobody would try first. */
import { performance } from 'node:perf_hooks'
import { describe, expect, it, vi } from 'vitest'
import { isWeakPassword, isWeakPin } from '../../server/services/weak'
import {
  SESSION_LIMITS,
  beginSession,
  endSession,
  keepSessions,
  listSessions,
  personBehind,
  signOut,
} from '../../server/services/sessions'
import { hashOneTime, hashPassword, isPassword } from '../../server/services/passwords'
import { setUp } from '../../server/services/sign-in'
import { checkSignature } from '../../server/services/signatures'
import { withTries } from '../../server/http/tries'
import { refusal } from '../support/refusal'
import { NOW, aCentre } from '../support/centre'

const TABLET = { device: 'tablet', address: '10.0.0.7' }
const later = (minutes: number) => new Date(Date.parse(NOW) + minutes * 60_000).toISOString()

describe('a session', () => {
  const open = () => {
    const centre = aCentre()
    const token = beginSession(centre.context, { personId: centre.apprentice.id, epoch: 1 }, TABLET)
    const at = (minutes: number) => personBehind({ ...centre.context, now: later(minutes) }, token)
    return { centre, token, at }
  }
  it('is the person’s until it is signed out, everywhere that the cookie went', () => {
    const { centre, token, at } = open()
    expect(at(1)?.number).toBe('T-1')
    signOut(centre.context, token)
    expect(at(1)).toBeUndefined()
  })
  it('ends when nothing was done in it for long, and after its whole time whatever was done', () => {
    expect(open().at(SESSION_LIMITS.idleMin + 1)).toBeUndefined()
    const busy = open()
    for (let minute = 60; minute < SESSION_LIMITS.absoluteMin; minute += 60)
      expect(busy.at(minute)).toBeDefined()
    expect(busy.at(SESSION_LIMITS.absoluteMin + 1)).toBeUndefined()
  })
  it('a stolen database opens none: it holds no cookie', () => {
    const { centre, token } = open()
    const { token: kept } = centre.db.prepare<[], { token: string }>('SELECT token FROM session').get()!
    expect(kept).not.toBe(token)
    expect(personBehind(centre.context, kept)).toBeUndefined()
  })
  it('the administrator sees and ends it; nobody else does', async () => {
    const { centre, at } = open()
    const [session] = listSessions(centre.context, centre.administrator)
    expect(session).toMatchObject({ number: 'T-1', device: 'tablet', address: '10.0.0.7' })
    for (const actor of [centre.instructor, centre.apprentice, centre.assessor])
      expect(await refusal(() => endSession(centre.context, actor, session!.id))).toBe('notAllowed')
    endSession(centre.context, centre.administrator, session!.id)
    expect(at(1)).toBeUndefined()
    expect(listSessions(centre.context, centre.administrator)).toEqual([])
  })
  it('looking at pages writes nothing; when it was seen is written down now and then', () => {
    const { centre, at } = open()
    const changes = () => centre.db.prepare<[], { n: number }>('SELECT total_changes() AS n').get()!.n
    const before = changes()
    at(30)
    expect(changes()).toBe(before)
    keepSessions({ ...centre.context, now: later(31) })
    expect(centre.db.prepare('SELECT seen_at AS at FROM session').get()).toEqual({ at: later(30) })
  })
})

describe('hashing', () => {
  it('a one-time password drawn by lot is proved like any other', async () => {
    expect(await isPassword('kmtp-4wzx-9bdr', await hashOneTime('kmtp-4wzx-9bdr'))).toBe(true)
    expect(await isPassword('kmtp-4wzx-9bdq', await hashOneTime('kmtp-4wzx-9bdr'))).toBe(false)
  })
  it('many at once wait their turn, and the server goes on answering', async () => {
    const before = performance.eventLoopUtilization()
    await Promise.all(Array.from({ length: 6 }, () => hashPassword('three words apart')))
    // Half a dozen take more than a second of a processor; the thread that answers STOP has next to nothing of it.
    const { active, idle } = performance.eventLoopUtilization(before)
    expect(active).toBeLessThan(200)
    expect(idle).toBeGreaterThan(active)
  })
  it('setting up a centre that is set up is refused before anything is hashed', async () => {
    const centre = aCentre()
    const start = performance.now()
    const body = { number: 'X-1', name: 'Xenia', password: 'three words apart' }
    expect(await refusal(() => setUp(centre.context, body))).toBe('alreadySetUp')
    expect(performance.now() - start).toBeLessThan(20)
  })
})

describe('guessing', () => {
  const wrong = () => Promise.reject(new Error('wrong'))
  it('eight wrong ones, then a pause that grows from round to round; a right one forgets them', async () => {
    vi.useFakeTimers({ toFake: ['Date', 'setTimeout', 'clearTimeout'] })
    const round = async (key: string) => {
      for (let i = 0; i < 8; i += 1) await withTries(key, wrong).catch(() => undefined)
      return refusal(() => withTries(key, wrong))
    }
    expect(await round('person 1')).toBe('tooManyTries')
    vi.advanceTimersByTime(61_000)
    expect(await round('person 1')).toBe('tooManyTries')
    // The second pause is four minutes.
    vi.advanceTimersByTime(61_000)
    expect(await refusal(() => withTries('person 1', wrong))).toBe('tooManyTries')
    vi.advanceTimersByTime(4 * 60_000)
    expect(await withTries('person 1', () => Promise.resolve('in'))).toBe('in')
    expect(await round('person 1')).toBe('tooManyTries')
    vi.useRealTimers()
  })
  it('a PIN’s limit follows the person over every document', async () => {
    const centre = aCentre()
    const asked: string[] = []
    const tries = <T>(key: string, prove: () => Promise<T>) => (asked.push(key), prove())
    const signing = () => checkSignature({ ...centre.context, tries }, centre.apprentice.id, 'x', '0000')
    await refusal(signing)
    await refusal(signing)
    expect(new Set(asked)).toEqual(new Set([`pin ${centre.apprentice.id}`]))
  })
})

describe('what would be tried first is refused', () => {
  const person = { number: 'T-4042', name: 'Katri Lindqvist' }
  it.each([
    'password1',
    'Password2026!',
    '12345678',
    'aaaaaaaa',
    'abcdefgh',
    'katri2026',
    'Lindqvist1',
    't-4042-ab',
    'Qwertyuiop',
  ])('the password %s', (password) => expect(isWeakPassword(password, person)).toBe(true))
  it.each(['tram-depot-14', 'a long password', 'kettle orange viaduct', 'Lindqvist rides a blue tram'])(
    'not %s',
    (password) => expect(isWeakPassword(password, person)).toBe(false),
  )
  it.each(['0000', '1234', '4321', '1998', '2026', '2580', '4042', '140421'])('the PIN %s', (pin) =>
    expect(isWeakPin(pin, person)).toBe(true),
  )
  it.each(['2468', '7305', '918273'])('not %s', (pin) => expect(isWeakPin(pin, person)).toBe(false))
})
