/* Two at once: what is decided, signed or handed back is what stood there when it was written, however long a PIN took to prove. */
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { actField } from '#core/isolation/observation'
import {
  listObservations,
  decideObservation,
  saveObservation,
  startObservation,
} from '../../server/services/observations'
import { disablePerson, erasePerson } from '../../server/services/leavers'
import { importRoster, resetPassword } from '../../server/services/people'
import { issuePermit, putLock, returnPermit } from '../../server/services/register'
import { choosePin } from '../../server/services/signatures'
import { changePassword } from '../../server/services/sign-in'
import { hashPassword, isPassword, MOST_AT_ONCE } from '../../server/services/passwords'
import { showFloor } from '../../server/services/floor'
import { showInspection } from '../../server/services/inspections'
import { showWork } from '../../server/services/work'
import { saveWork } from '../../server/services/work-save'
import { withdrawPermission } from '../../server/services/permission'
import { PERMISSION_MINUTES } from '#core/exercise/attempt/permission'
import { aCentre, aSetExercise, bringTo, NOW, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

const PASSWORD = 'tram-depot-14'
const PIN = '2468'
let centre: Centre

/** Made once: a hash takes a while on purpose. */
let hashes: { readonly password: string; readonly pin: string }
beforeAll(async () => {
  const { repos, context, assessor } = aCentre()
  const password = await hashPassword(PASSWORD)
  repos.people.setPassword(assessor.id, password, false)
  await choosePin(context, assessor, PASSWORD, PIN)
  hashes = { password, pin: repos.locks.pinHash(assessor.id)! }
})
beforeEach(() => {
  centre = aCentre()
  const { repos, apprentice, assessor, instructor } = centre
  for (const person of [apprentice, assessor, instructor])
    repos.people.setPassword(person.id, hashes.password, false)
  for (const person of [apprentice, assessor]) repos.locks.setPin(person.id, hashes.pin, NOW)
})

const HEAD = { bay: '3', circuit: 'Sockets', level: 'first', phases: '1' }
const DECISION = {
  met: false,
  feedback: 'Again.',
  reason: '',
  signedName: 'apprentice T-1',
  pin: PIN,
  repeatOn: null,
}

describe('an observed isolation', () => {
  const begin = () =>
    startObservation(centre.context, centre.assessor, { apprenticeId: centre.apprentice.id, fields: HEAD }).id

  it('a STOP tapped while the PIN is proved is not missed by the decision', async () => {
    const id = begin()
    const deciding = refusal(() =>
      decideObservation(centre.context, centre.assessor, id, { ...DECISION, version: 1 }),
    )
    const [key, text] = actField({ kind: 'stop' }, '2026-11-27T09:00:00.000Z')
    saveObservation(centre.context, centre.assessor, id, { version: 1, fields: { ...HEAD, [key]: text } })
    expect(await deciding).toBe('stale')
    expect(listObservations(centre.context, centre.assessor)[0]).toMatchObject({
      state: 'running',
      met: null,
    })
  })

  it('two decisions at once: one is written, the other is refused', async () => {
    const id = begin()
    const decide = () =>
      refusal(() => decideObservation(centre.context, centre.assessor, id, { ...DECISION, version: 1 }))
    const outcomes = await Promise.all([decide(), decide()])
    expect(outcomes.sort()).toEqual(['none', 'observationDecided'])
    expect(centre.db.prepare('SELECT count(*) AS n FROM observation_decision').get()).toEqual({ n: 1 })
  })
})

describe('the register', () => {
  it('a permit is not handed back over a padlock that was put on meanwhile', async () => {
    const { id } = await issuePermit(centre.context, centre.assessor, {
      holderId: centre.apprentice.id,
      bay: 3,
      scope: 'Sockets',
      siteName: 'Depot',
      fromAt: '2026-11-27T08:00:00Z',
      untilAt: '2026-11-27T12:00:00Z',
      pin: PIN,
    } as never)
    const returning = refusal(() => returnPermit(centre.context, centre.assessor, id, PIN))
    putLock(centre.context, centre.assessor, {
      personId: centre.apprentice.id,
      bay: 3,
      device: 'Way 1',
      padlock: '7',
      reason: 'work on the sockets',
    } as never)
    expect(await returning).toBe('locksOn')
  })
})

describe('people', () => {
  const roster = Buffer.from('number,name,group\nT-90,Ann Otter,Friday\nT-91,Bo Wren,Friday\n')
  it('the same roster twice at once comes in once, and the other is refused in words', async () => {
    const bring = () => refusal(() => importRoster(centre.context, centre.administrator, roster))
    expect((await Promise.all([bring(), bring()])).sort()).toEqual(['none', 'rosterHasBadRows'])
    expect(centre.repos.people.inCohort('Friday')).toHaveLength(2)
  })
  const college = (n: number) =>
    Buffer.from(
      `number,name,group\n${Array.from({ length: n }, (_, i) => `Z-${i},Person ${i},All`).join('\n')}`,
    )
  it('whoever signs in while a college is brought in waits for one password, not for all', async () => {
    const hash = await hashPassword(PASSWORD)
    let made = 0
    let signedInAt = Infinity
    await importRoster(centre.context, centre.administrator, college(20), () => {
      made += 1
      if (made === 1) void isPassword(PASSWORD, hash).then(() => (signedInAt = made))
    })
    expect(made).toBe(20)
    expect(signedInAt).toBeLessThanOrEqual(1 + 2 * MOST_AT_ONCE)
  })
  it('more people than may wait for a password at once begin to come in; cancelled, nobody has', async () => {
    const cancelling = new AbortController()
    const bring = importRoster(
      { ...centre.context, signal: cancelling.signal },
      centre.administrator,
      college(900),
      () => cancelling.abort(),
    )
    expect(await refusal(() => bring)).toBe('cancelled')
    expect(centre.repos.people.inCohort('All')).toEqual([])
  })
  it('a PIN is not chosen with a password that was reset while it was proved', async () => {
    const { context, repos, assessor, administrator } = centre
    const before = repos.locks.pinHash(assessor.id)
    const choosing = refusal(() => choosePin(context, assessor, PASSWORD, '8642'))
    await resetPassword(context, administrator, assessor.id)
    expect(await choosing).toBe('signInWrong')
    expect(repos.locks.pinHash(assessor.id)).toBe(before)
  })
  it('a password that is reset is another one each time, to be changed, and ends every session', async () => {
    const { context, repos, apprentice, administrator, instructor } = centre
    expect(await refusal(() => resetPassword(context, apprentice, instructor.id))).toBe('notAllowed')
    const epoch = repos.people.byId(apprentice.id)!.sessionEpoch
    const slips = [
      await resetPassword(context, administrator, apprentice.id),
      await resetPassword(context, administrator, apprentice.id),
    ]
    expect(slips[0]).toMatchObject({ number: 'T-1', name: apprentice.name, cohort: 'Thursday' })
    expect(new Set(slips.map(({ password }) => password)).size).toBe(2)
    const after = repos.people.byId(apprentice.id)!
    expect(await isPassword(slips[1]!.password, after.passwordHash)).toBe(true)
    expect(await isPassword(slips[0]!.password, after.passwordHash)).toBe(false)
    expect([after.mustChange, after.sessionEpoch > epoch]).toEqual([true, true])
  })
  it('whoever is erased while a password is made for them gets none', async () => {
    const { context, repos, apprentice, administrator } = centre
    const making = refusal(() => resetPassword(context, administrator, apprentice.id))
    disablePerson(context, administrator, apprentice.id)
    erasePerson(context, administrator, apprentice.id, apprentice.number)
    const { passwordHash } = repos.people.byId(apprentice.id)!
    expect(await making).toBe('personErased')
    expect(repos.people.byId(apprentice.id)!.passwordHash).toBe(passwordHash)
  })
  it('of two changes of one password only the first counts', async () => {
    const change = (to: string) =>
      refusal(() => changePassword(centre.context, centre.instructor, PASSWORD, to))
    expect((await Promise.all([change('first-lamp-7'), change('other-lamp-8')])).sort()).toEqual([
      'none',
      'signInWrong',
    ])
  })
})

describe('looking at something', () => {
  const rows = () =>
    ['stage_event', 'inspection', 'paper', 'audit'].map(
      (table) => (centre.db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n,
    )
  const later = { ...{}, now: new Date(Date.parse(NOW) + (PERMISSION_MINUTES + 1) * 60_000).toISOString() }

  it('writes nothing, though a permission has run out: that is written with the next act', () => {
    const { attemptId: id } = aSetExercise(centre)
    bringTo(centre, id, 'live')
    const context = { ...centre.context, ...later }
    const before = rows()
    const seen = showWork(context, centre.apprentice, id)
    expect(seen).toMatchObject({ stage: 'dead' })
    expect(seen.events.at(-1)).toMatchObject({ act: 'expire' })
    expect(showFloor(context, centre.assessor).patches.find((patch) => patch.id === id)).toMatchObject({
      stage: 'dead',
    })
    showInspection(context, centre.apprentice, id)
    expect(rows()).toEqual(before)
    // What stands on the screen is still the version that is kept.
    saveWork(context, centre.apprentice, id, {
      version: seen.version,
      answers: seen.answers as never,
      readings: seen.readings,
    })
    expect(centre.repos.attempts.byId(id)).toMatchObject({ stage: 'dead', version: seen.version + 1 })
    expect(centre.repos.attempts.events(id).filter(({ act }) => act === 'expire')).toHaveLength(1)
  })

  it('STOP finds every bay that is live', () => {
    const { attemptId: id } = aSetExercise(centre)
    bringTo(centre, id, 'live')
    expect(withdrawPermission(centre.context, centre.assessor, null, '')).toEqual({ stopped: 1 })
  })
})
