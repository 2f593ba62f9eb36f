/* Surveys at the server: who may, what the site tells when, hand-in and decision as evidence, the exercise made
   of it. */
import { beforeEach, describe, expect, it } from 'vitest'
import paintShopSite from '../../sites/paint-shop.json'
import type { Site } from '#core/survey/site/site'
import { listExercises, showExercise } from '../../server/services/exercises'
import {
  exerciseFromSurvey,
  followsOfSurvey,
  surveyOfExercise,
  takeFromSurvey,
} from '../../server/services/survey-exercise'
import { importSite, listSites } from '../../server/services/sites'
import {
  actAtSite,
  decideSurvey,
  handInSurvey,
  listSurveys,
  saveSurvey,
  setSurvey,
  showSurvey,
  startSurvey,
} from '../../server/services/surveys'
import { ownRecord } from '../../server/services/records'
import { aCentre, type Centre } from '../support/centre'
import { refusedAtOnce as refusal } from '../support/refusal'
import { but, paintShop } from '../support/survey'

const SITE = paintShopSite as unknown as Site
const WHOLE = paintShop(SITE)
let centre: Centre
beforeEach(() => (centre = aCentre()))

const begun = (actor = centre.apprentice): number => startSurvey(centre.context, actor, 'paint-shop').id
const written = (
  id: number,
  fields: Record<string, string> = WHOLE,
  actor = centre.apprentice,
  version = 1,
) => saveSurvey(centre.context, actor, id, { version, fields })
function handedIn(fields: Record<string, string> = WHOLE): number {
  const id = begun()
  for (const { id: act } of SITE.acts) actAtSite(centre.context, centre.apprentice, id, act)
  written(id, fields)
  handInSurvey(centre.context, centre.apprentice, id, 2)
  return id
}
const lastHandIn = (id: number) => centre.repos.surveys.handIns(id).at(-1)!.id
const decide = (id: number, met: boolean, over: { feedback?: string; criteria?: string[] } = {}) =>
  decideSurvey(centre.context, centre.assessor, id, {
    handInId: lastHandIn(id),
    met,
    feedback: met ? '' : 'The intake was not looked at.',
    criteria: ['W3'],
    ...over,
  })

describe('a survey', () => {
  it('tells what a site shows only once it has been looked at, asked or measured', () => {
    const id = begun()
    const before = showSurvey(centre.context, centre.apprentice, id)
    expect(JSON.stringify(before)).not.toContain('0.42')
    expect(before.seen).toEqual([])
    expect(actAtSite(centre.context, centre.apprentice, id, 'measured')[0]!.shows).toContain('0.42')
    actAtSite(centre.context, centre.apprentice, id, 'measured')
    expect(showSurvey(centre.context, centre.apprentice, id).seen).toHaveLength(1)
    expect(refusal(() => actAtSite(centre.context, centre.apprentice, id, 'no-such-act'))).toBe('notFound')
  })
  it('draws the intake for whoever looks at it: the fuse is read from it, and nothing of what another act shows', () => {
    const id = begun()
    const [asked] = actAtSite(centre.context, centre.apprentice, id, 'foreman')
    expect(asked!.picture).toBeNull()
    const seen = actAtSite(centre.context, centre.apprentice, id, 'cutout').find(
      ({ act }) => act === 'cutout',
    )!
    const drawn = JSON.stringify(seen.picture)
    expect(drawn).toContain('"text":"100 A"')
    expect(drawn).toContain('"text":"25 mm²"')
    expect(drawn).not.toMatch(/0\.42|TN-S|"text":"water"/)
  })
  it('belongs to its writer: nobody else writes, no other apprentice reads; begun twice it is the same one', () => {
    const id = begun()
    expect(begun()).toBe(id)
    expect(refusal(() => showSurvey(centre.context, centre.other, id))).toBe('notFound')
    expect(refusal(() => written(id, WHOLE, centre.instructor))).toBe('notFound')
    expect(refusal(() => actAtSite(centre.context, centre.instructor, id, 'cutout'))).toBe('notFound')
    expect(refusal(() => listSurveys(centre.context, centre.technician))).toBe('notAllowed')
  })
  it('what two devices write is never lost in silence', () => {
    const id = begun()
    written(id, { title: 'One' })
    expect(refusal(() => written(id, { title: 'Two' }))).toBe('stale')
    expect(showSurvey(centre.context, centre.apprentice, id).fields.title).toBe('One')
  })
  it('empty it is not handed in; what staff read is what was handed in', () => {
    const id = begun()
    expect(refusal(() => handInSurvey(centre.context, centre.apprentice, id, 1))).toBe('surveyEmpty')
    written(id)
    handInSurvey(centre.context, centre.apprentice, id, 2)
    written(id, { title: 'Afterwards' }, centre.apprentice, 2)
    expect(showSurvey(centre.context, centre.assessor, id).fields['item.earth.ze']).toBe('0.42')
  })
  it('is set for a group once; a group without people or with the survey already says so', () => {
    const set = (cohort: string) =>
      setSurvey(centre.context, centre.instructor, { site: 'paint-shop', cohort })
    expect(set('Thursday')).toEqual({ given: 2 })
    expect(refusal(() => set('Thursday'))).toBe('cohortDone')
    expect(refusal(() => set('Nobody'))).toBe('cohortEmpty')
    expect(
      refusal(() => setSurvey(centre.context, centre.apprentice, { site: 'paint-shop', cohort: 'Thursday' })),
    ).toBe('notAllowed')
  })
})

describe('marks and decision', () => {
  it('are for staff until it is decided, and stand with the decision as they stood', () => {
    const id = handedIn(but(WHOLE, { 'item.intake.mainFuse': '80' }))
    expect(showSurvey(centre.context, centre.apprentice, id)).toMatchObject({ marks: null, criteria: [] })
    expect(showSurvey(centre.context, centre.assessor, id).marks!.counts).toMatchObject({
      wrong: 1,
      missed: 0,
    })
    expect(refusal(() => decide(id, false, { feedback: ' ' }))).toBe('surveyNeedsReason')
    expect(refusal(() => decide(id, true, { criteria: ['XX'] }))).toBe('bodyNotRight')
    decide(id, false)
    expect(showSurvey(centre.context, centre.apprentice, id).decisions.at(-1)!.marks.counts.wrong).toBe(1)
  })
  it('met, it is an occasion of simulated evidence for its criteria; decided again the later one counts', () => {
    const id = handedIn()
    const occasions = () =>
      ownRecord(centre.context, centre.apprentice)
        .units.flatMap(({ coverage }) => coverage)
        .find(({ criterion }) => criterion.code === 'W3')!.occasions
    decide(id, true)
    expect(occasions()).toMatchObject([{ met: true, kinds: ['simulated'] }])
    decide(id, false)
    expect(occasions().filter(({ met }) => met)).toEqual([])
  })
  it('a decision on an older hand-in, or on one’s own survey, is refused', () => {
    const id = handedIn()
    const older = lastHandIn(id)
    handInSurvey(centre.context, centre.apprentice, id, 2)
    const body = { handInId: older, met: true, feedback: '', criteria: [] }
    expect(refusal(() => decideSurvey(centre.context, centre.assessor, id, body))).toBe('surveyGone')
    const own = begun(centre.instructor)
    expect(refusal(() => decideSurvey(centre.context, centre.instructor, own, body))).toBe('notAllowed')
  })
})

describe('into an exercise', () => {
  const make = (code = 'S-01') => {
    const id = begun(centre.instructor)
    written(id, WHOLE, centre.instructor)
    return {
      survey: id,
      exercise: exerciseFromSurvey(centre.context, centre.instructor, id, {
        version: 2,
        code,
        criterion: 'W3',
      }).id,
    }
  }
  it('one act makes a draft whose boxes say that they come from the survey', () => {
    const { exercise } = make()
    expect(showExercise(centre.context, centre.instructor, exercise)).toMatchObject({
      state: 'draft',
      exercise: {
        code: 'S-01',
        installation: { circuits: [{ lengthM: 14.7 }, { lengthM: 24.8 }, { lengthM: 13.3 }] },
      },
    })
    const said = surveyOfExercise(centre.context, centre.instructor, exercise)!
    expect(said.boxes.find(({ box }) => box === 'c2.length')).toMatchObject({
      now: '24.8',
      surveyed: '24.8',
      from: { code: 'length' },
    })
  })
  it('a room that changes is told beside its boxes, and taken over when somebody says so', () => {
    const { survey, exercise } = make()
    written(
      survey,
      but(WHOLE, { 'room.a': WHOLE['room.a']!.replace('"ambientC":40', '"ambientC":45') }),
      centre.instructor,
      2,
    )
    const changed = surveyOfExercise(centre.context, centre.instructor, exercise)!.boxes.filter(
      ({ now, surveyed }) => now !== surveyed,
    )
    expect(changed.map(({ box, now, surveyed }) => [box, now, surveyed])).toEqual([
      ['c1.ambient', '40', '45'],
      ['c2.ambient', '40', '45'],
    ])
    takeFromSurvey(centre.context, centre.instructor, exercise, { version: 1, boxes: ['c2.ambient'] })
    const { installation } = showExercise(centre.context, centre.instructor, exercise).exercise
    expect(installation.circuits.map(({ ambientC }) => ambientC)).toEqual([40, 45, 25])
    expect(
      refusal(() =>
        takeFromSurvey(centre.context, centre.instructor, exercise, { version: 1, boxes: ['c1.ambient'] }),
      ),
    ).toBe('stale')
  })
  it('a route keeps its circuit when another is removed before it or added; both are said', () => {
    const { survey, exercise } = make()
    const { 'route.r1': first, ...others } = WHOLE
    const fourth = first!.replace('Spray room lighting', 'Yard lamp')
    written(survey, { ...others, 'route.r4': fourth }, centre.instructor, 2)
    const said = surveyOfExercise(centre.context, centre.instructor, exercise)!
    expect([said.added, said.gone]).toEqual([['Yard lamp'], ['Spray room lighting']])
    const lengths = said.boxes.filter(({ box }) => box.endsWith('.length'))
    expect(lengths.map(({ box, now, surveyed }) => [box, now, surveyed])).toEqual([
      ['c1.length', '14.7', null],
      ['c2.length', '24.8', '24.8'],
      ['c3.length', '13.3', '13.3'],
    ])
    const taken = takeFromSurvey(centre.context, centre.instructor, exercise, {
      version: 1,
      boxes: ['c1.length', 'c2.grouped'],
    })
    expect(taken.gone).toEqual(['Spray room lighting'])
    const { circuits } = showExercise(centre.context, centre.instructor, exercise).exercise.installation
    expect(circuits.map(({ lengthM }) => lengthM)).toEqual([14.7, 24.8, 13.3])
  })
  it('without a route that can be measured there is no exercise, and nothing half made', () => {
    const id = begun(centre.instructor)
    written(id, { title: 'Bare' }, centre.instructor)
    const body = { version: 2, code: 'S-02', criterion: 'W3' }
    expect(refusal(() => exerciseFromSurvey(centre.context, centre.instructor, id, body))).toBe(
      'surveyNoRoute',
    )
    expect(listExercises(centre.context, centre.instructor)).toEqual([])
  })
  it('designs are for those who set exercises; an apprentice is told only what cannot be designed', () => {
    const id = handedIn()
    expect(followsOfSurvey(centre.context, centre.apprentice, id)).toMatchObject({
      designs: [],
      boxes: [],
      tooLong: [],
    })
    expect(followsOfSurvey(centre.context, centre.instructor, id).designs).toHaveLength(3)
  })
})

describe('sites taken in', () => {
  const take = (text: string) => importSite(centre.context, centre.instructor, text)
  it('a whole one is listed; a second of its code is refused', () => {
    take(JSON.stringify({ ...SITE, code: 'signal-box' }))
    expect(
      listSites(centre.context, centre.instructor).find(({ code }) => code === 'signal-box'),
    ).toMatchObject({ isOwn: true })
    expect(refusal(() => take(JSON.stringify({ ...SITE, code: 'signal-box' })))).toBe('siteKnown')
    expect(refusal(() => take(JSON.stringify(SITE)))).toBe('siteKnown')
  })
  it.each([
    ['no JSON', 'siteNotJson', '{'],
    ['no site', 'siteNotRight', '{}'],
    [
      'a fact that no act shows',
      'siteNotRight',
      JSON.stringify({ ...SITE, code: 'x', facts: [{ key: 'earth.ze', value: '1', by: ['nobody'] }] }),
    ],
    ['no scale', 'siteNotRight', JSON.stringify({ ...SITE, code: 'x', metresPerUnit: 0 })],
  ])('%s is refused whole', (_, code, text) => {
    expect(refusal(() => take(text))).toBe(code)
    expect(listSites(centre.context, centre.instructor)).toHaveLength(3)
  })
})
