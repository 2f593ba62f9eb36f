/* What needs an assessor: calls from the bays, requests, permits, repeats, piles; who sees them, and each answered once. */
import { beforeEach, describe, expect, it } from 'vitest'
import { answerCall, callOver, ownCalls, withdrawCall } from '../../server/services/calls'
import { ownNeeds, showNeeds } from '../../server/services/needs'
import { decidePermission } from '../../server/services/permission'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusedAtOnce as refusal } from '../support/refusal'

let centre: Centre
let id: number
beforeEach(() => {
  centre = aCentre()
  id = aSetExercise(centre).attemptId
})
const kinds = () => showNeeds(centre.context, centre.assessor).walk.map(({ kind }) => kind)
const waiting = () =>
  showNeeds(centre.context, centre.assessor).walk.find(({ kind }) => kind === 'terminations')!

describe('a call from a bay', () => {
  it('is asked once however often it is tapped, seen by those of the group, and answered to whoever asked', () => {
    callOver(centre.context, centre.apprentice, id, 'terminations')
    callOver(centre.context, centre.apprentice, id, 'terminations')
    expect(kinds()).toEqual(['terminations'])
    expect(waiting()).toMatchObject({ name: centre.apprentice.name, attemptId: id })
    const elsewhere = { ...centre.assessor, groups: ['Friday'] }
    expect(showNeeds(centre.context, elsewhere).walk).toEqual([])
    answerCall(centre.context, centre.assessor, waiting().id, {
      answer: 'notYet',
      note: 'The cpc is not sleeved.',
    })
    expect(kinds()).toEqual([])
    expect(ownCalls(centre.context, centre.apprentice, id)).toMatchObject([
      { answer: 'notYet', note: 'The cpc is not sleeved.', answeredBy: centre.assessor.name },
    ])
    // Put right, it is asked anew; the first answer stands beside it.
    expect(callOver(centre.context, centre.apprentice, id, 'terminations')).toHaveLength(2)
  })
  it('is answered by one of two who come at once; the other hears of it', () => {
    callOver(centre.context, centre.apprentice, id, 'help')
    const call = showNeeds(centre.context, centre.assessor).walk[0]!
    answerCall(centre.context, centre.assessor, call.id, { answer: 'seen', note: '' })
    expect(
      refusal(() => answerCall(centre.context, centre.instructor, call.id, { answer: 'seen', note: '' })),
    ).toBe('callAnswered')
    expect(refusal(() => withdrawCall(centre.context, centre.apprentice, call.id))).toBe('callAnswered')
  })
  it('is refused without a reason for not yet, from another’s sheet, and where no work stands at a bay', () => {
    callOver(centre.context, centre.apprentice, id, 'inspection')
    const call = showNeeds(centre.context, centre.assessor).walk[0]!
    expect(
      refusal(() => answerCall(centre.context, centre.assessor, call.id, { answer: 'notYet', note: ' ' })),
    ).toBe('callNeedsNote')
    expect(refusal(() => callOver(centre.context, centre.other, id, 'help'))).toBe('notFound')
    expect(refusal(() => withdrawCall(centre.context, centre.other, call.id))).toBe('notFound')
    expect(
      refusal(() => answerCall(centre.context, centre.apprentice, call.id, { answer: 'seen', note: '' })),
    ).toBe('notAllowed')
    bringTo(centre, id, 'handedIn')
    expect(refusal(() => callOver(centre.context, centre.apprentice, id, 'help'))).toBe('wrongStage')
  })
  it('withdrawn it waits for nobody', () => {
    const [call] = callOver(centre.context, centre.apprentice, id, 'isolation')
    withdrawCall(centre.context, centre.apprentice, call!.id)
    expect(kinds()).toEqual([])
  })
})

describe('what stands on the list', () => {
  it('follows the work: nothing asked yet, asks to energise, live, to mark', () => {
    bringTo(centre, id, 'dead')
    expect(kinds()).toEqual(['question'])
    centre = aCentre()
    id = aSetExercise(centre).attemptId
    bringTo(centre, id, 'permission')
    expect(kinds()).toEqual(['energise', 'question'])
    decidePermission(centre.context, centre.assessor, id, { granted: true, reason: '' })
    expect(kinds()).toEqual(['live'])
    expect(ownNeeds(centre.context, centre.apprentice)).toEqual({ tasks: 1, claims: 0 })
  })
  it('and at the desk the piles, each with its count; a verifier walks no floor', () => {
    bringTo(centre, id, 'handedIn')
    expect(showNeeds(centre.context, centre.assessor).desk).toEqual([{ kind: 'marking', count: 1 }])
    expect(showNeeds(centre.context, centre.verifier)).toMatchObject({ walk: [], desk: [] })
    expect(refusal(() => showNeeds(centre.context, centre.apprentice))).toBe('notAllowed')
    expect(refusal(() => ownNeeds(centre.context, centre.assessor))).toBe('notAllowed')
  })
  it('a permit that ran out and was not handed back', () => {
    const permit = { holderId: centre.apprentice.id, bay: 4, scope: 'Bench board', siteName: 'C. Arr' }
    centre.repos.locks.issue(
      { ...permit, fromAt: '2026-11-12T08:00:00.000Z', untilAt: '2026-11-12T12:00:00.000Z' },
      centre.assessor.id,
      '2026-11-12T08:00:00.000Z',
    )
    expect(showNeeds(centre.context, centre.assessor).walk).toMatchObject([
      { kind: 'permit', bay: 4, name: centre.apprentice.name, about: 'Bench board' },
    ])
  })
})
