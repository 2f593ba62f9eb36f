/* Who signs is who sits there: proof asked again, locked pages, and what is removed once the centre's years are over. */
import { beforeEach, describe, expect, it } from 'vitest'
import { DEFAULT_TRUST } from '#core/policies/trust'
import { setTrust } from '../../server/services/centre'
import type { Context } from '../../server/services/context'
import { disablePerson } from '../../server/services/leavers'
import { decide, showMarking } from '../../server/services/marking'
import { hashPassword } from '../../server/services/passwords'
import { decidePermission, withdrawPermission } from '../../server/services/permission'
import { deadSheet } from '../../server/services/floor'
import { listPasskeys, newPasskeyOptions, proofOptions } from '../../server/services/passkeys'
import { lockSession, proveAgain } from '../../server/services/proof'
import { listRetention, removeOld } from '../../server/services/retention'
import { beginSession, sittingBehind } from '../../server/services/sessions'
import { choosePin } from '../../server/services/signatures'
import { NOW, aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

const later = (minutes: number) => new Date(Date.parse(NOW) + minutes * 60_000).toISOString()
let centre: Centre
let token: string
beforeEach(() => {
  centre = aCentre()
  token = beginSession(
    centre.context,
    { personId: centre.assessor.id, epoch: 1 },
    { device: 'tablet', address: '' },
  )
})
/** The assessor's tablet, so many minutes after they signed in on it. */
const at = (minutes: number): Context => {
  const context = { ...centre.context, now: later(minutes) }
  return { ...context, session: sittingBehind(context, token)!.session }
}

describe('before something is signed', () => {
  it('the proof of the sign-in counts for the centre’s minutes, then PIN or password is asked again', async () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'permission')
    const { seen } = deadSheet(centre.context, centre.repos.attempts.byId(attemptId)!)
    const permit = (context: Context) =>
      decidePermission(context, centre.assessor, attemptId, { granted: true, reason: '', seen })
    expect(await refusal(() => permit(at(31)))).toBe('proofNeeded')
    centre.repos.people.setPassword(centre.assessor.id, await hashPassword('three words apart'), false)
    token = beginSession(
      centre.context,
      { personId: centre.assessor.id, epoch: centre.repos.people.byId(centre.assessor.id)!.sessionEpoch },
      { device: '', address: '' },
    )
    await choosePin(centre.context, centre.assessor, 'three words apart', '58214')
    expect(await refusal(() => proveAgain(at(31), centre.assessor, '58215'))).toBe('proofWrong')
    await proveAgain(at(31), centre.assessor, '58214')
    permit(at(32))
    expect(centre.repos.attempts.byId(attemptId)!.stage).toBe('live')
  })

  it('refusing and STOP ask nothing, on a locked page neither', async () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'live')
    lockSession(at(120), centre.assessor)
    expect(withdrawPermission(at(121), centre.assessor, null, '')).toEqual({ stopped: 1 })
  })

  it('a decision of the marking desk asks too, and nought minutes asks every time', async () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn')
    setTrust(centre.context, centre.administrator, { ...DEFAULT_TRUST, proofMinutes: 0 })
    const { draft, seen } = showMarking(centre.context, centre.assessor, attemptId)
    const sign = (context: Context) =>
      decide(context, centre.assessor, attemptId, { version: draft.version, seen })
    expect(await refusal(() => sign(at(1)))).toBe('proofNeeded')
    expect(centre.repos.attempts.byId(attemptId)!.stage).toBe('handedIn')
  })

  it('wrong proofs follow the person and are limited', async () => {
    const keys: string[] = []
    const context: Context = {
      ...at(1),
      tries: async (key, prove) => {
        keys.push(key)
        return prove()
      },
    }
    expect(await refusal(() => proveAgain(context, centre.assessor, '1234567'))).toBe('proofWrong')
    expect(keys).toEqual([`proof ${centre.assessor.id}`])
  })
})

describe('a page that nobody has touched', () => {
  it('is locked at the server too until whoever sits there proves who they are', async () => {
    lockSession(at(20), centre.assessor)
    expect(at(21).session!.isLocked).toBe(true)
    expect(await refusal(() => proveAgain(at(22), centre.assessor, 'not it'))).toBe('proofWrong')
    expect(at(22).session!.isLocked).toBe(true)
  })
})

describe('passkeys', () => {
  const place = { host: 'localhost', origin: 'http://localhost:3000' }
  it('are made soon after a proof alone, for this host, by somebody whom the device has verified', async () => {
    expect(await refusal(() => newPasskeyOptions(at(31), centre.assessor, place))).toBe('proofNeeded')
    expect(await newPasskeyOptions(at(1), centre.assessor, place)).toMatchObject({
      rp: { id: 'localhost' },
      authenticatorSelection: { userVerification: 'required' },
    })
    expect(listPasskeys(centre.context, centre.assessor)).toEqual([])
    expect(await refusal(() => proofOptions(at(1), centre.assessor, place))).toBe('passkeyMissing')
  })
})

describe('what the centre’s years are over for', () => {
  const YEAR = 366 * 24 * 60
  it('goes in one act by the administrator, by the count that was seen; what certifies stays', async () => {
    const { repos, context, administrator, apprentice, other } = centre
    repos.predictions.add(apprentice.id, {
      experiment: 'overload',
      settings: {},
      predicted: 'It trips.',
      computed: { lines: [], figures: [], because: '' },
      at: NOW,
    })
    repos.inspections.addPhoto('a'.repeat(64), Buffer.from('jpeg'), apprentice.id, NOW)
    disablePerson(context, administrator, other.id)
    const counts = (now: string) =>
      listRetention({ ...context, now }, administrator).map(({ count }) => count)
    expect(counts(later(YEAR))).toEqual([0, 0, 0])
    expect(counts(later(2 * YEAR + 1))).toEqual([1, 0, 0])
    const old = { ...context, now: later(6 * YEAR + 1) }
    expect(counts(old.now)).toEqual([1, 1, 1])
    expect(await refusal(() => removeOld(old, centre.instructor, 'practice', 1))).toBe('notAllowed')
    expect(await refusal(() => removeOld(old, administrator, 'practice', 2))).toBe('changedSince')
    for (const kind of ['practice', 'photographs', 'leavers'] as const) removeOld(old, administrator, kind, 1)
    expect(counts(old.now)).toEqual([0, 0, 0])
    expect(repos.people.byId(other.id)!.name).not.toBe(other.name)
    // Outside such an act a prediction cannot be taken away.
    repos.predictions.add(apprentice.id, {
      experiment: 'overload',
      settings: {},
      predicted: '',
      computed: { lines: [], figures: [], because: '' },
      at: NOW,
    })
    expect(() => centre.db.prepare('DELETE FROM prediction').run()).toThrow(/append-only/)
  })

  it('kept for ever, nothing of it goes', async () => {
    const { context, administrator } = centre
    setTrust(context, administrator, { ...DEFAULT_TRUST, keepPracticeYears: 0 })
    expect(await refusal(() => removeOld(context, administrator, 'practice', 0))).toBe('keptForEver')
  })
})
