/* Work elsewhere at the server: accounts and their claims, witnesses, pages, behaviours; who may, and what is
   refused. */
import { beforeEach, describe, expect, it } from 'vitest'
import {
  decideClaim,
  discussClaim,
  handInAccount,
  listAccounts,
  saveAccount,
  showAccount,
} from '../../server/services/accounts'
import { seeBehaviour, undoBehaviour } from '../../server/services/behaviours'
import { keepPage, showPage } from '../../server/services/pages'
import { groupRecord, ownRecord, personRecord } from '../../server/services/records'
import { askWitness, showWitness, stateWitness } from '../../server/services/witnesses'
import { aCentre, type Centre } from '../support/centre'
import { refusedAtOnce as refusal } from '../support/refusal'
import { ACCOUNT, aDecision, anAccount, claim, handedIn, missing } from '../support/evidence'

let centre: Centre
beforeEach(() => (centre = aCentre()))

const lastHandIn = (id: number) => centre.repos.accounts.handIns(id).at(-1)!.id
const decideOn = (id: number, met: boolean, over: { claim?: string; reason?: string } = {}) =>
  decideClaim(centre.context, centre.assessor, id, {
    handInId: lastHandIn(id),
    claim: 'aaaa-1',
    met,
    reason: met ? '' : 'Type and length are missing.',
    ...over,
  })

describe('an account', () => {
  it('handed in, accepted: an occasion for its criterion, with kind, day of the work and what it was made of', () => {
    const before = missing(centre, 'T').steps + missing(centre, 'W').steps
    const id = handedIn(centre)
    decideOn(id, true)
    const shown = ownRecord(centre.context, centre.apprentice).units.flatMap(({ coverage }) => coverage)
    expect(shown.find(({ criterion }) => criterion.code === 'W3')!.occasions).toMatchObject([
      {
        met: true,
        kinds: ['written'],
        workedOn: '2026-11-02',
        exerciseTitle: ACCOUNT.title,
        shown: { setting: 'industrial', wiringSystems: ['trunking'] },
      },
    ])
    expect(missing(centre, 'T').steps + missing(centre, 'W').steps).toBeLessThan(before)
  })
  it('refused it counts for nothing; handed in again it can be accepted, and both decisions stand', () => {
    const id = handedIn(centre)
    expect(refusal(() => decideOn(id, false, { reason: ' ' }))).toBe('claimNeedsReason')
    decideOn(id, false)
    expect(missing(centre, 'W').criteria.find(({ criterion }) => criterion.code === 'W3')!.occasions).toBe(2)
    saveAccount(centre.context, centre.apprentice, id, {
      version: 2,
      fields: { ...ACCOUNT, 'answer.aaaa-1': 'It stands in the second line.' },
    })
    handInAccount(centre.context, centre.apprentice, id, 3)
    decideOn(id, true)
    expect(showAccount(centre.context, centre.apprentice, id).decisions.map(({ met }) => met)).toEqual([
      false,
      true,
    ])
    expect(missing(centre, 'W').criteria.find(({ criterion }) => criterion.code === 'W3')!.occasions).toBe(1)
  })
  it('what is read is what was handed in; a decision on an older hand-in is refused', () => {
    const id = handedIn(centre)
    saveAccount(centre.context, centre.apprentice, id, {
      version: 2,
      fields: { ...ACCOUNT, title: 'Another title' },
    })
    const read = showAccount(centre.context, centre.assessor, id)
    expect(read.fields).toEqual({})
    expect(read.handIns.at(-1)!.fields.title).toBe(ACCOUNT.title)
    const older = lastHandIn(id)
    handInAccount(centre.context, centre.apprentice, id, 3)
    expect(
      refusal(() =>
        decideClaim(centre.context, centre.assessor, id, {
          handInId: older,
          claim: 'aaaa-1',
          met: true,
          reason: '',
        }),
      ),
    ).toBe('claimGone')
  })
  it.each([
    ['no title', { title: ' ' }, 'noTitle'],
    ['no claim', { 'claim.aaaa-1': '' }, 'noClaim'],
    ['a claim that is no claim', { 'claim.aaaa-1': '{"criterion":7' }, 'noClaim'],
    ['a day to come', { day: '2027-01-01' }, 'dayAhead'],
    ['a day that is none', { day: '12th of May' }, 'noDay'],
    ['the same words twice for one criterion', { 'claim.bbbb-2': claim('W3') }, 'claimedTwice'],
    ['a criterion that there is not', { 'claim.aaaa-1': claim('Z9') }, 'unknownCriterion'],
    ['a claim without words', { 'claim.aaaa-1': claim('W3', 'written', ' ') }, 'emptyClaim'],
  ])('is not handed in with %s; what was typed stays', (_name, over, field) => {
    const id = anAccount(centre, { ...ACCOUNT, ...over })
    try {
      handInAccount(centre.context, centre.apprentice, id, 2)
      expect.unreachable()
    } catch (error) {
      expect((error as { fields: { field: string }[] }).fields.map((one) => one.field)).toContain(field)
    }
    expect(centre.repos.accounts.byId(id)!.fields).toMatchObject({ job: ACCOUNT.job })
    expect(centre.repos.accounts.handIns(id)).toEqual([])
  })
  it('two accounts of one job are one occasion by job, however the job is written', () => {
    for (const job of ['Depot, lamp store', ' depot,  LAMP store ']) {
      const id = handedIn(centre, {
        ...ACCOUNT,
        job,
        [`claim.job-${job.length}`]: claim('W3'),
        'claim.aaaa-1': '',
      })
      decideOn(id, true, { claim: `job-${job.length}` })
    }
    expect(missing(centre, 'W').criteria.find(({ criterion }) => criterion.code === 'W3')!.occasions).toBe(1)
  })
  it('is its writer’s: another apprentice finds nothing, staff see it once it is handed in, nobody else writes', () => {
    const id = anAccount(centre)
    expect(refusal(() => showAccount(centre.context, centre.other, id))).toBe('notFound')
    expect(refusal(() => saveAccount(centre.context, centre.other, id, { version: 2, fields: {} }))).toBe(
      'notFound',
    )
    expect(refusal(() => saveAccount(centre.context, centre.assessor, id, { version: 2, fields: {} }))).toBe(
      'notAllowed',
    )
    expect(listAccounts(centre.context, centre.assessor)).toEqual([])
    handInAccount(centre.context, centre.apprentice, id, 2)
    expect(listAccounts(centre.context, centre.assessor)).toMatchObject([{ id, waiting: 1 }])
    expect(listAccounts(centre.context, centre.other)).toEqual([])
  })
  it('saved at an older version it shows the newer one, and nothing is overwritten', () => {
    const id = anAccount(centre)
    expect(
      refusal(() => saveAccount(centre.context, centre.apprentice, id, { version: 1, fields: {} })),
    ).toBe('stale')
    expect(centre.repos.accounts.byId(id)!.fields.title).toBe(ACCOUNT.title)
  })
})

describe('a professional discussion', () => {
  const held = {
    claim: 'aaaa-1',
    asked: 'Which drawing did you use?',
    said: 'Drawing 4, revision B, from the office.',
    minutes: 6,
  }
  const kindsOf = () =>
    personRecord(centre.context, centre.assessor, centre.apprentice.id)
      .units.flatMap(({ coverage }) => coverage)
      .find(({ criterion }) => criterion.code === 'W3')!
      .occasions.map(({ kinds }) => kinds)

  it('stands with its claim for both, and the claim counts as questioned too; the record of the group follows', () => {
    const id = handedIn(centre)
    decideOn(id, true)
    expect(kindsOf()).toEqual([['written']])
    const mark = () => centre.repos.evidenceMarks.ofCohort('Thursday').get(centre.apprentice.id)
    const before = mark()
    discussClaim(centre.context, centre.assessor, id, held)
    expect(kindsOf()).toEqual([['written', 'questioned']])
    expect(showAccount(centre.context, centre.apprentice, id).discussions).toMatchObject([
      { said: held.said, by: centre.assessor.name, minutes: 6 },
    ])
    expect(mark()).not.toBe(before)
  })
  it('is put down by those who mark, about a claim that was handed in, and stays as it is', () => {
    const id = handedIn(centre)
    expect(refusal(() => discussClaim(centre.context, centre.apprentice, id, held))).toBe('notAllowed')
    expect(
      refusal(() => discussClaim(centre.context, centre.assessor, id, { ...held, claim: 'zzzz-9' })),
    ).toBe('notFound')
    discussClaim(centre.context, centre.assessor, id, held)
    expect(() => centre.db.prepare("UPDATE discussion SET said = 'other'").run()).toThrow(/append-only/)
    expect(() => centre.db.prepare('DELETE FROM discussion').run()).toThrow(/append-only/)
  })
  it('goes out with the data of the person whose account it is about', () => {
    discussClaim(centre.context, centre.assessor, handedIn(centre), held)
    const data = centre.repos.personData.of(centre.apprentice.id)
    expect(data.discussion).toMatchObject([{ said: held.said }])
    expect(Object.keys(data)).toEqual(expect.arrayContaining(['account', 'account_hand_in']))
  })
})

describe('a witness', () => {
  const WITNESS = { name: 'A. Foreman', role: 'supervisor', contact: 'depot office' }
  const SAW = 'They set out and fixed the trunking alone, and it was level.'
  it('states once by the printed code, however it is typed; a claim as witnessed needs it', async () => {
    const id = handedIn(centre, { ...ACCOUNT, 'claim.aaaa-1': claim('W3', 'witnessed') })
    expect(refusal(() => decideOn(id, true))).toBe('witnessMissing')
    const { code } = askWitness(centre.context, centre.apprentice, id, WITNESS)
    const typed = ` ${code.toLowerCase().replaceAll('-', ' ')} `
    expect(await showWitness(centre.context, typed, 'here')).toMatchObject({
      person: centre.apprentice.name,
      job: ACCOUNT.job,
    })
    await stateWitness(centre.context, { code: typed, statement: SAW }, 'here')
    await expect(stateWitness(centre.context, { code, statement: SAW }, 'here')).rejects.toMatchObject({
      code: 'witnessCodeWrong',
    })
    await expect(showWitness(centre.context, 'AAAA-AAAA-AAAA', 'here')).rejects.toMatchObject({
      code: 'witnessCodeWrong',
    })
    decideOn(id, true)
    expect(showAccount(centre.context, centre.apprentice, id).witnesses).toMatchObject([
      { name: 'A. Foreman', statement: SAW },
    ])
  })
  it('of two who type one code at the same time, one is kept', async () => {
    const { code } = askWitness(centre.context, centre.apprentice, anAccount(centre), WITNESS)
    const both = await Promise.allSettled(
      [1, 2].map((i) => stateWitness(centre.context, { code, statement: `${SAW} ${i}` }, 'here')),
    )
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected'])
  })
  it('the code itself is kept nowhere', () => {
    const { code } = askWitness(centre.context, centre.apprentice, anAccount(centre), WITNESS)
    const held = JSON.stringify(centre.db.prepare('SELECT * FROM witness').all())
    expect(held).not.toContain(code)
    expect(held).not.toContain(code.replaceAll('-', ''))
  })
})

describe('pages', () => {
  const base64 = (text: string) => Buffer.from(text.padEnd(200)).toString('base64')
  it('a page is kept and shown to its writer and their assessors; what is no PDF is refused', () => {
    const { hash } = keepPage(centre.context, centre.apprentice, {
      name: 'drawing 7.pdf',
      pdfBase64: base64('%PDF-1.7 x %%EOF'),
    })
    expect(showPage(centre.context, centre.assessor, hash).name).toBe('drawing 7.pdf')
    expect(refusal(() => showPage(centre.context, centre.other, hash))).toBe('notFound')
    expect(
      refusal(() => keepPage(centre.context, centre.apprentice, { name: 'x', pdfBase64: base64('GIF89a') })),
    ).toBe('notAPdf')
  })
})

describe('behaviours', () => {
  it('count when a person has put them down, can be taken back, and are proposed from the record alone', () => {
    aDecision(centre)
    const record = () => personRecord(centre.context, centre.instructor, centre.apprentice.id)
    expect(record().proposed.map(({ behaviour }) => behaviour)).toContain('B3')
    expect(missing(centre, 'I').quotas).toMatchObject([{ kind: 'behaviours', more: 8 }])
    seeBehaviour(centre.context, centre.instructor, centre.apprentice.id, {
      behaviour: 'B3',
      note: 'bay 1',
      attemptId: null,
    })
    expect(missing(centre, 'I').quotas).toMatchObject([{ more: 7 }])
    expect(record().proposed.map(({ behaviour }) => behaviour)).not.toContain('B3')
    undoBehaviour(centre.context, centre.instructor, record().seen[0]!.id)
    expect(missing(centre, 'I').quotas).toMatchObject([{ more: 8 }])
    expect(
      refusal(() =>
        seeBehaviour(centre.context, centre.instructor, centre.apprentice.id, {
          behaviour: 'Z',
          note: '',
          attemptId: null,
        }),
      ),
    ).toBe('bodyNotRight')
  })
})

it('the matrix of the group, kept between looks, follows each gain, each undo and each framework', () => {
  const steps = () =>
    groupRecord(centre.context, centre.instructor, 'Thursday').people[0]!.units.map((unit) => unit.steps)
  const [, , before] = steps()
  seeBehaviour(centre.context, centre.instructor, centre.apprentice.id, {
    behaviour: 'B1',
    note: '',
    attemptId: null,
  })
  expect(steps()[2]).toBe(before! - 1)
  undoBehaviour(
    centre.context,
    centre.instructor,
    centre.repos.behaviours.ofPerson(centre.apprentice.id)[0]!.id,
  )
  expect(steps()[2]).toBe(before)
  const [, , , install] = steps()
  decideOn(handedIn(centre), true)
  expect(steps()[3]).toBeLessThan(install!)
  const framework = centre.repos.centre.framework()!
  centre.repos.centre.putFramework({ ...framework, units: framework.units.slice(0, 2) })
  expect(steps()).toHaveLength(2)
})
