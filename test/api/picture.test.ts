/* The picture of a group at the server: what was decided, kind by kind; lessons, starters, and one apprentice
   to talk over. */
import { beforeEach, describe, expect, it } from 'vitest'
import { addLesson, groupPicture, talkOf } from '../../server/services/picture'
import { saveRound } from '../../server/services/question-rounds'
import { previewStarter, setStarter } from '../../server/services/starters'
import { designOf } from '#core/exercise/assignment'
import { assignmentFor } from '../../server/services/assignment'
import { decide } from '../../server/services/marking'
import { showExercise } from '../../server/services/exercises'
import { keepDays } from '../../server/services/dates'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusedAtOnce as refusal } from '../support/refusal'

let centre: Centre
beforeEach(() => (centre = aCentre()))
const SINCE = '2026-06-01'
const picture = () => groupPicture(centre.context, centre.instructor, 'Thursday', SINCE)

/** A sheet with its voltage drop worked without the length, decided. */
function aSlip(): number {
  const { attemptId } = aSetExercise(centre)
  const design = designOf(assignmentFor(centre.context, centre.repos.attempts.byId(attemptId)!)).circuits[0]!
  const { voltDropPerAm, ib } = design.values as { voltDropPerAm: number; ib: number }
  bringTo(centre, attemptId, 'handedIn', { slips: { [`${design.scope}.voltDrop`]: voltDropPerAm * ib } })
  decide(centre.context, centre.assessor, attemptId, { version: 0 })
  return attemptId
}

describe('a decided sheet', () => {
  it('stands in the picture with its readings, and only its latest decision', () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn')
    decide(centre.context, centre.assessor, attemptId, { version: 0 })
    decide(centre.context, centre.assessor, attemptId, { version: 0 })
    expect(picture().sheets).toMatchObject([{ attempt: attemptId, person: centre.apprentice.id, kinds: [] }])
    expect(centre.repos.picture.sums('Thursday', SINCE).reduce((sum, { n }) => sum + n, 0)).toBeGreaterThan(2)
  })
  it('keeps what went wrong with it by kind, and the talk names what recurs only when it does', () => {
    const attempt = aSlip()
    const [sheet] = picture().sheets
    expect(sheet).toMatchObject({ attempt, kinds: ['slip.lengthForgotten'] })
    expect(talkOf(centre.context, centre.instructor, centre.apprentice.id)).toMatchObject({
      recurring: [],
      sheets: [{ attempt }],
    })
  })
  it('names what stands behind a count: the question that needed help, where it was asked', () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn')
    const asked = (outcome: string) =>
      JSON.stringify({
        code: 'de-order',
        wording: 'Put the dead tests in order.',
        topic: 'dead',
        outcome,
        prompt: '',
        remark: '',
        askedAt: centre.context.now,
      })
    saveRound(centre.context, centre.assessor, attemptId, {
      version: 1,
      fields: { 'ask.token-number-1': asked('unaided'), 'ask.token-number-2': asked('notYet') },
    })
    expect(picture().questions).toEqual([{ topic: 'dead', asked: 2, unaided: 1 }])
    expect(picture().helpedWith).toMatchObject([
      {
        topic: 'dead',
        attempt: attemptId,
        person: centre.apprentice.id,
        wording: 'Put the dead tests in order.',
      },
    ])
    expect(picture().brokenIn).toEqual([])
  })
  it('is for those who see the group alone', () => {
    expect(refusal(() => groupPicture(centre.context, centre.apprentice, 'Thursday', SINCE))).toBe(
      'notAllowed',
    )
    expect(refusal(() => talkOf(centre.context, centre.technician, centre.apprentice.id))).toBe('notAllowed')
    expect(refusal(() => talkOf(centre.context, centre.instructor, centre.technician.id))).toBe('notFound')
  })
})

describe('lessons', () => {
  it('are put down with their day, and the end of the term comes from the calendar', () => {
    addLesson(centre.context, centre.instructor, {
      cohort: 'Thursday',
      day: '2026-11-10',
      about: 'slip.lengthForgotten',
      title: 'Length',
    })
    keepDays(centre.context, centre.instructor, {
      entries: [
        { kind: 'term', personId: null, fromDay: '2026-09-07', toDay: '2026-12-18', title: 'Autumn' },
      ],
    })
    expect(picture()).toMatchObject({
      termEnds: '2026-12-18',
      lessons: [{ day: '2026-11-10', starter: null }],
    })
    expect(
      refusal(() =>
        addLesson(centre.context, centre.apprentice, {
          cohort: 'Thursday',
          day: '2026-11-10',
          about: 'x',
          title: 'x',
        }),
      ),
    ).toBe('notAllowed')
  })
  it('may begin with a starter: ten variants that show the slip, ten minutes, its result beside it', () => {
    aSetExercise(centre)
    const preview = previewStarter(centre.context, centre.instructor, 'slip.lengthForgotten')
    expect(preview.variants).toHaveLength(10)
    for (const { right, slip } of preview.variants) expect(Math.abs(slip / right - 1)).toBeGreaterThan(0.1)
    expect(preview.questions.length).toBeGreaterThan(0)
    const { id } = setStarter(centre.context, centre.instructor, {
      cohort: 'Thursday',
      slip: 'slip.lengthForgotten',
      code: 'S-1',
      day: '2026-11-12',
      title: 'Per metre, times metres',
    })
    const { exercise, state } = showExercise(centre.context, centre.instructor, id)
    expect([state, exercise.minutes, exercise.tests]).toEqual(['set', 10, null])
    expect(exercise.asks.steps.length).toBeLessThanOrEqual(3)
    expect(picture().lessons).toMatchObject([
      { about: 'slip.lengthForgotten', starter: { id, code: 'S-1', sheets: 0, withSlip: 0 } },
    ])
  })
  it('a slip that no exercise of the centre can show is said, and nothing is set', () => {
    aSetExercise(centre)
    expect(refusal(() => previewStarter(centre.context, centre.instructor, 'slip.noSuchSlip'))).toBe(
      'starterNone',
    )
  })
})
