/* Passkeys against an authenticator made by hand after the published format: what is taken, and what is not. */
import { beforeEach, describe, expect, it } from 'vitest'
import type { Context } from '../../server/services/context'
import { hashPassword } from '../../server/services/passwords'
import {
  addPasskey,
  listPasskeys,
  newPasskeyOptions,
  proofOptions,
  proveByPasskey,
  removePasskey,
} from '../../server/services/passkeys'
import { lockSession, proveAgain } from '../../server/services/proof'
import { beginSession, endSession, sittingBehind } from '../../server/services/sessions'
import { anAuthenticator } from '../support/authenticator'
import { NOW, aCentre, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

const PLACE = { host: 'nakshi.example', origin: 'https://nakshi.example' }
const later = (minutes: number) => new Date(Date.parse(NOW) + minutes * 60_000).toISOString()
let centre: Centre
let key: ReturnType<typeof anAuthenticator>

/** A session of somebody on a device of their own, so many minutes after they signed in. */
function sitting(person: keyof Centre & ('assessor' | 'instructor') = 'assessor') {
  const actor = centre[person]
  const { sessionEpoch: epoch } = centre.repos.people.byId(actor.id)!
  const token = beginSession(centre.context, { personId: actor.id, epoch }, { device: '', address: '' })
  const at = (minutes: number): Context => {
    const context = { ...centre.context, now: later(minutes) }
    return { ...context, session: sittingBehind(context, token)!.session }
  }
  return { actor, at, isOver: () => sittingBehind(centre.context, token) === undefined }
}
type Sitting = ReturnType<typeof sitting>
async function register({ actor, at }: Sitting, authenticator = key, amiss = {}): Promise<void> {
  const { challenge } = await newPasskeyOptions(at(1), actor, PLACE)
  const response = authenticator.register(challenge, PLACE, amiss)
  await addPasskey(at(1), actor, PLACE, { name: ' Key on my ring ', response })
}
const challengeFor = async ({ actor, at }: Sitting): Promise<string> =>
  (await proofOptions(at(40), actor, PLACE)).challenge
const isLocked = ({ at }: Sitting): boolean => at(41).session!.isLocked

beforeEach(() => {
  centre = aCentre()
  key = anAuthenticator()
})

describe('a new passkey', () => {
  it('is kept by its name and its public part, and offered to nobody else', async () => {
    const [mine, theirs] = [sitting(), sitting('instructor')]
    await register(mine)
    expect(listPasskeys(centre.context, mine.actor)).toMatchObject([{ name: 'Key on my ring', usedAt: null }])
    const [stored] = centre.repos.passkeys.of(mine.actor.id)
    expect(stored).toMatchObject({ credential: key.id, counter: 1, transports: 'usb' })
    expect(await refusal(() => challengeFor(theirs))).toBe('passkeyMissing')
    expect((await newPasskeyOptions(mine.at(1), mine.actor, PLACE)).excludeCredentials).toMatchObject([
      { id: key.id },
    ])
  })
  it.each([
    ['made for a page of another site', { origin: 'https://elsewhere.example' }],
    ['made without looking who holds it', { isUnverified: true }],
  ])('%s is not taken', async (_, amiss) => {
    const mine = sitting()
    expect(await refusal(() => register(mine, key, amiss))).toBe('passkeyWrong')
    expect(listPasskeys(centre.context, mine.actor)).toEqual([])
  })
  it('a challenge is answered once, and only by the session that asked', async () => {
    const [mine, theirs] = [sitting(), sitting('instructor')]
    const { challenge } = await newPasskeyOptions(mine.at(1), mine.actor, PLACE)
    const answer = { name: 'Key', response: key.register(challenge, PLACE) }
    expect(await refusal(() => addPasskey(theirs.at(1), theirs.actor, PLACE, answer))).toBe('proofWrong')
    await addPasskey(mine.at(1), mine.actor, PLACE, answer)
    expect(await refusal(() => addPasskey(mine.at(1), mine.actor, PLACE, answer))).toBe('proofWrong')
  })
  it('the same key twice, even of somebody else, is refused in words', async () => {
    await register(sitting())
    expect(await refusal(() => register(sitting('instructor')))).toBe('passkeyWrong')
  })
  it('ten are kept, however many are made at once', async () => {
    for (let i = 0; i < 9; i += 1) await register(sitting(), anAuthenticator())
    const [one, other] = [sitting(), sitting()]
    const outcomes = await Promise.allSettled([
      register(one, anAuthenticator()),
      register(other, anAuthenticator()),
    ])
    expect(outcomes.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected'])
    expect(listPasskeys(centre.context, one.actor)).toHaveLength(10)
    expect(await refusal(() => register(one, anAuthenticator()))).toBe('passkeysFull')
  })
  it('is not added by a session that was ended, or whose password was reset, while it was checked', async () => {
    const reset = await hashPassword('another three words')
    const ways: ((mine: Sitting) => unknown)[] = [
      (mine) => endSession(centre.context, centre.administrator, mine.at(1).session!.id),
      (mine) => centre.repos.people.setPassword(mine.actor.id, reset, true),
    ]
    for (const over of ways) {
      const mine = sitting()
      const { challenge } = await newPasskeyOptions(mine.at(1), mine.actor, PLACE)
      const context = mine.at(1)
      const answer = { name: 'Key', response: anAuthenticator().register(challenge, PLACE) }
      const adding = addPasskey(context, mine.actor, PLACE, answer)
      over(mine)
      expect(await refusal(() => adding)).toBe('signInNeeded')
      expect(mine.isOver()).toBe(true)
      expect(listPasskeys(centre.context, mine.actor)).toEqual([])
    }
  })
})

describe('a proof by passkey', () => {
  let mine: Sitting
  beforeEach(async () => {
    mine = sitting()
    await register(mine)
    lockSession(mine.at(40), mine.actor)
  })
  const prove = (answer: ReturnType<typeof key.prove>) =>
    proveByPasskey(mine.at(40), mine.actor, PLACE, answer)

  it('opens what was locked, and is put down with its time', async () => {
    await prove(key.prove(await challengeFor(mine), PLACE))
    expect(isLocked(mine)).toBe(false)
    expect(listPasskeys(centre.context, mine.actor)[0]!.usedAt).toBe(later(40))
  })
  it.each([
    ['of a page of another site', { origin: 'https://elsewhere.example' }],
    ['of nobody in particular', { isUnverified: true }],
    ['by a copy of the key, whose counter stands behind', { counter: 1 }],
  ])('%s opens nothing, and the audit has it', async (_, amiss) => {
    expect(await refusal(async () => prove(key.prove(await challengeFor(mine), PLACE, amiss)))).toBe(
      'proofWrong',
    )
    expect(isLocked(mine)).toBe(true)
    expect(centre.repos.audit.list({ most: 9 }).map(({ action }) => action)).toContain('proofRefused')
  })
  it('by another key, or by an answer that was used before, opens nothing', async () => {
    const stranger = anAuthenticator()
    const challenge = await challengeFor(mine)
    expect(await refusal(() => prove(stranger.prove(challenge, PLACE)))).toBe('proofWrong')
    const answer = key.prove(challenge, PLACE)
    await prove(answer)
    lockSession(mine.at(40), mine.actor)
    expect(await refusal(() => prove(answer))).toBe('proofWrong')
    expect(isLocked(mine)).toBe(true)
  })
  it('by a key that was removed meanwhile opens nothing', async () => {
    const proving = prove(key.prove(await challengeFor(mine), PLACE))
    removePasskey(centre.context, mine.actor, centre.repos.passkeys.of(mine.actor.id)[0]!.id)
    expect(await refusal(() => proving)).toBe('proofWrong')
    expect(isLocked(mine)).toBe(true)
  })
  it('nobody removes somebody else’s', async () => {
    const { id } = centre.repos.passkeys.of(mine.actor.id)[0]!
    expect(await refusal(() => removePasskey(centre.context, centre.instructor, id))).toBe('notFound')
  })
})

it('a password that is reset while it is checked proves nobody', async () => {
  centre.repos.people.setPassword(centre.assessor.id, await hashPassword('three words apart'), false)
  const mine = sitting()
  lockSession(mine.at(1), mine.actor)
  const another = await hashPassword('another three words')
  const proving = proveAgain(mine.at(1), mine.actor, 'three words apart')
  centre.repos.people.setPassword(mine.actor.id, another, true)
  expect(await refusal(() => proving)).toBe('proofWrong')
  const lockedAt = centre.db.prepare('SELECT locked_at FROM session WHERE person_id = ?').pluck()
  expect(lockedAt.get(mine.actor.id)).not.toBeNull()
})
