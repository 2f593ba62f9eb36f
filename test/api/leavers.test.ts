/* Somebody leaves: barred at once, their data handed over, their name gone; what the record of certification needs stays. */
import { beforeEach, describe, expect, it } from 'vitest'
import { dataOfPerson, disablePerson, enablePerson, erasePerson } from '../../server/services/leavers'
import { hashPassword } from '../../server/services/passwords'
import { choosePin } from '../../server/services/signatures'
import { beginSession, personBehind } from '../../server/services/sessions'
import { signIn } from '../../server/services/sign-in'
import { createExercise } from '../../server/services/exercises'
import { setAtOnce } from '../../server/services/set-exercise'
import { decide } from '../../server/services/marking'
import { groupRecord } from '../../server/services/records'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { anExercise } from '../support/task'
import { refusal } from '../support/refusal'

let centre: Centre
beforeEach(() => (centre = aCentre()))

describe('disabled', () => {
  it('they are out at once, cannot sign in with the right password, and get no new work; enabled they can', async () => {
    const { context, administrator, apprentice, repos } = centre
    repos.people.setPassword(apprentice.id, await hashPassword('three words apart'), false)
    const claim = await signIn(context, 'T-1', 'three words apart')
    const token = beginSession(context, claim, { device: '', address: '' })
    disablePerson(context, administrator, apprentice.id)
    expect(personBehind(context, token)).toBeUndefined()
    expect(await refusal(() => signIn(context, 'T-1', 'three words apart'))).toBe('signInWrong')
    const stored = createExercise(context, centre.instructor, anExercise())
    setAtOnce(context, centre.instructor, { id: stored.id, version: stored.version, cohort: 'Thursday' })
    expect(repos.attempts.byPerson(apprentice.id)).toEqual([])
    expect(repos.attempts.byPerson(centre.other.id)).toHaveLength(1)
    enablePerson(context, administrator, apprentice.id)
    expect((await signIn(context, 'T-1', 'three words apart')).personId).toBe(apprentice.id)
  })
  it('by the administrator alone, and not to oneself', async () => {
    for (const actor of [centre.instructor, centre.assessor, centre.apprentice])
      expect(await refusal(() => disablePerson(centre.context, actor, centre.other.id))).toBe('notAllowed')
    const { administrator } = centre
    expect(await refusal(() => disablePerson(centre.context, administrator, administrator.id))).toBe(
      'notYourself',
    )
  })
})

describe('one person’s data', () => {
  it('come out in one document: their work and what was written about it; no secrets', async () => {
    const { context, administrator, apprentice, other, repos } = centre
    const { attemptId } = aSetExercise(centre)
    repos.people.setPassword(apprentice.id, await hashPassword('three words apart'), false)
    await choosePin(context, apprentice, 'three words apart', '7305')
    bringTo(centre, attemptId, 'handedIn')
    decide(context, centre.assessor, attemptId, { version: 0 })
    const { tables, number } = dataOfPerson(context, administrator, apprentice.id)
    expect(number).toBe('T-1')
    expect(Object.keys(tables)).toEqual(
      expect.arrayContaining(['person', 'attempt', 'decision', 'stage_event', 'reading_change']),
    )
    const text = JSON.stringify(tables)
    expect(text).not.toMatch(/scrypt|password_hash|pin_hash/)
    expect(tables.attempt!.every((row) => row.person_id === apprentice.id)).toBe(true)
    expect(text).not.toContain(other.name)
    expect(await refusal(() => dataOfPerson(context, centre.instructor, apprentice.id))).toBe('notAllowed')
  })
})

describe('erased', () => {
  it('only once disabled and with the number typed again; the name is gone, the decisions stand', async () => {
    const { context, administrator, apprentice } = centre
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn')
    decide(context, centre.assessor, attemptId, { version: 0 })
    const erase = (confirm: string) =>
      refusal(() => erasePerson(context, administrator, apprentice.id, confirm))
    expect(await erase('T-1')).toBe('disableFirst')
    disablePerson(context, administrator, apprentice.id)
    expect(await erase('T-2')).toBe('bodyNotRight')
    expect(await erase('t-1')).toBe('none')
    const person = centre.repos.people.byId(apprentice.id)!
    expect(person.name + person.number).not.toMatch(/T-1/)
    expect(centre.repos.decisions.latest(attemptId)).toBeDefined()
    expect(await refusal(() => enablePerson(context, administrator, apprentice.id))).toBe('personErased')
    // The number is free for somebody else, who takes over nothing.
    expect(centre.repos.people.byNumber('T-1')).toBeUndefined()
    expect(groupRecord(context, centre.instructor, 'Thursday').people.map(({ name }) => name)).not.toContain(
      apprentice.name,
    )
  })
})
