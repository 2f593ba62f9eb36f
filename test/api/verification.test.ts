/* Verification: a second marking that is blind, differences that are settled, appeals as new entries. */
import { beforeEach, describe, expect, it } from 'vitest'
import { createRepos } from '../../server/repos'
import { answerAppeal, listAppeals, makeAppeal } from '../../server/services/appeals'
import { decide } from '../../server/services/marking'
import { judgeSecond, settleSecond, showBlind, showVerification } from '../../server/services/verification'
import { aCentre, type Centre } from '../support/centre'
import { refusedAtOnce as refusal } from '../support/refusal'
import { aDecision } from '../support/evidence'

let centre: Centre
beforeEach(() => (centre = aCentre()))

describe('what may be looked at again', () => {
  const since = '2020-01-01'
  /** As somebody finds it who has read nothing before. */
  const anew = (from = since) => createRepos(centre.db).secondMarkings.risksSince(from, () => true)
  const now = (from = since) => centre.repos.secondMarkings.risksSince(from, () => true)

  function decideAgain(attemptId: number): void {
    const { feedback, evidence } = centre.repos.decisions.latest(attemptId)!
    centre.repos.decisions.insert({
      attemptId,
      personId: centre.apprentice.id,
      by: centre.assessor.id,
      at: '2026-11-12T15:00:00.000Z',
      feedback,
      evidence,
    })
  }

  it('is what stands, decision after decision, whoever moves to another group meanwhile', () => {
    expect(now()).toEqual([])
    const { attemptId, decisionId } = aDecision(centre)
    expect(now().map(({ id }) => id)).toEqual([decisionId])
    decideAgain(attemptId)
    expect(now()).toHaveLength(1)
    expect(now()[0]!.id).toBeGreaterThan(decisionId)
    expect(now()).toEqual(anew())
    centre.db.prepare("UPDATE person SET cohort = 'Another group' WHERE id = ?").run(centre.apprentice.id)
    const seenBy = (own: string) => centre.repos.secondMarkings.risksSince(since, (cohort) => cohort === own)
    expect([seenBy('Another group'), seenBy('Thursday')].map(({ length }) => length)).toEqual([1, 0])
    expect(now()).toEqual(anew())
    expect(now('2999-01-01')).toEqual([])
    expect(now('')).toEqual(anew(''))
  })

  it('is not a decision that was taken back with its transaction', () => {
    const { attemptId } = aDecision(centre)
    const before = now()
    expect(() =>
      centre.repos.transaction(() => {
        decideAgain(attemptId)
        expect(now()).not.toEqual(before)
        throw new Error('the power went')
      }),
    ).toThrow('the power went')
    expect(now()).toEqual(before)
    decideAgain(attemptId)
    expect(now()).toEqual(anew())
  })
})

describe('a second marking', () => {
  const verdicts = (met: boolean) =>
    [
      ...centre.repos.secondMarkings
        .criteriaOf([centre.repos.secondMarkings.decisionsSince('')[0]!.id])
        .values(),
    ]
      .flat()
      .map(({ code }) => ({ code, met, reason: met ? '' : 'not shown' }))

  it('is blind: nothing of the first decision, its marks or the person is in what is sent', () => {
    const { decisionId } = aDecision(centre)
    const sent = JSON.stringify(showBlind(centre.context, centre.instructor, decisionId))
    expect(sent).not.toContain(centre.apprentice.name)
    expect(sent).not.toContain(centre.assessor.name)
    expect(sent).not.toMatch(/"mark"|"verdict"|"met"|reference|expected|feedback/)
    expect(showVerification(centre.context, centre.instructor).sample[0]!.person).toBe('')
  })
  it('is refused to whoever marked it first, to a verifier, and a second time', () => {
    const { decisionId } = aDecision(centre)
    expect(refusal(() => showBlind(centre.context, centre.assessor, decisionId))).toBe('secondNotYours')
    expect(refusal(() => showBlind(centre.context, centre.verifier, decisionId))).toBe('notAllowed')
    judgeSecond(centre.context, centre.instructor, { decisionId, verdicts: verdicts(true) })
    expect(
      refusal(() => judgeSecond(centre.context, centre.instructor, { decisionId, verdicts: verdicts(true) })),
    ).toBe('secondDone')
  })
  it('judges every criterion once, with a reason where it is not yet', () => {
    const { decisionId } = aDecision(centre)
    const judge = (list: ReturnType<typeof verdicts>) =>
      refusal(() => judgeSecond(centre.context, centre.instructor, { decisionId, verdicts: list }))
    expect(judge(verdicts(true).slice(1))).toBe('bodyNotRight')
    expect(judge([...verdicts(true), verdicts(true)[0]!])).toBe('bodyNotRight')
    expect(judge(verdicts(false).map((one) => ({ ...one, reason: ' ' })))).toBe('bodyNotRight')
  })
  it('differences are named, settled once with a reason, and both judgements stay', () => {
    const { decisionId } = aDecision(centre)
    const view = judgeSecond(centre.context, centre.instructor, { decisionId, verdicts: verdicts(false) })
    const [difference] = view.differences
    expect(difference!.criteria.every(({ first, second }) => first && !second)).toBe(true)
    const settle = (how: 'talk' | 'third', actor = centre.instructor) =>
      settleSecond(centre.context, actor, difference!.secondId, {
        how,
        stands: 'first',
        reason: 'the readings show it',
      })
    expect(refusal(() => settle('third'))).toBe('settleNotYours')
    expect(settle('talk').differences[0]!.settled).toMatchObject({ how: 'talk', stands: 'first' })
    expect(refusal(() => settle('talk'))).toBe('alreadySettled')
    expect(centre.repos.secondMarkings.since('2000-01-01')[0]!.verdicts.every(({ met }) => !met)).toBe(true)
    expect(view.agreement.all).toMatchObject({ plain: null, same: 0 })
  })
})

describe('an appeal', () => {
  it('points to the decision; upheld the sheet goes back to marking, and the old decision stays', () => {
    const { attemptId, decisionId } = aDecision(centre, 'released')
    makeAppeal(centre.context, centre.apprentice, attemptId, 'My Zs is right for the length that I had.')
    expect(refusal(() => makeAppeal(centre.context, centre.apprentice, attemptId, 'again'))).toBe(
      'appealOpen',
    )
    const [appeal] = listAppeals(centre.context, centre.instructor)
    const answer = (actor = centre.instructor) =>
      answerAppeal(centre.context, actor, appeal!.id, { outcome: 'upheld', reason: 'the length was changed' })
    expect(refusal(() => answer(centre.assessor))).toBe('appealNotYours')
    expect(refusal(() => answer(centre.apprentice))).toBe('notAllowed')
    answer()
    expect(refusal(answer)).toBe('alreadySettled')
    expect(centre.repos.attempts.byId(attemptId)!.stage).toBe('handedIn')
    decide(centre.context, centre.instructor, attemptId, { version: 0 })
    expect(
      centre.db.prepare('SELECT count(*) AS n FROM decision WHERE attempt_id = ?').get(attemptId),
    ).toEqual({ n: 2 })
    expect(centre.repos.appeals.byId(appeal!.id)!.decisionId).toBe(decisionId)
    expect(listAppeals(centre.context, centre.apprentice)).toMatchObject([{ outcome: 'upheld' }])
    expect(listAppeals(centre.context, centre.other)).toEqual([])
  })
  it('is made against what was given back, by whoever it is about', () => {
    const { attemptId } = aDecision(centre)
    expect(refusal(() => makeAppeal(centre.context, centre.apprentice, attemptId, 'x'))).toBe('wrongStage')
    expect(refusal(() => makeAppeal(centre.context, centre.other, attemptId, 'x'))).toBe('notFound')
  })
})
