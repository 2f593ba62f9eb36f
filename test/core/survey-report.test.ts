/* The report of a survey: what was found and how it is known, what stands open, in sentences that name the place. */
import { describe, expect, it } from 'vitest'
import paintShopSite from '../../sites/paint-shop.json'
import waitingRoom from '../../sites/waiting-room.json'
import lampStore from '../../sites/lamp-store.json'
import { OBJECTIVES } from '#core/survey/sheet/checklist'
import { contradictionsOf } from '#core/survey/sheet/contradictions'
import { fedBoxes } from '#core/survey/sheet/feed'
import { allContradictions } from '#core/survey/sheet/follow'
import { gapsOfSurvey } from '#core/survey/sheet/complete'
import { readSheet } from '#core/survey/sheet/sheet'
import type { Site } from '#core/survey/site/site'
import { OBJECTIVE_TEXT } from '#words/survey/items'
import { reportOf } from '#words/survey/report'
import { contradictionSays, gapSays, originSays } from '#words/survey/says'
import { at, but, paintShop, wholeSurvey } from '../support/survey'

const PAINT = paintShopSite as unknown as Site
const SITES = [PAINT, waitingRoom, lampStore] as unknown as readonly Site[]
const whole = paintShop(PAINT)
const reportWith = (other: Readonly<Record<string, string>> = {}) => {
  const fields = but(whole, other)
  return reportOf(fields, readSheet(fields))
}
const linesOf = (report: ReturnType<typeof reportOf>) => report.findings.flatMap(({ lines }) => lines)
const isPlain = (text: string) => expect(text).not.toMatch(/NaN|undefined|Infinity|\[object|\bnull\b/)

describe('a report', () => {
  it('gives each figure with its unit and how it came to be known', () => {
    const report = reportWith({ 'item.earth.ze': '0,35 ohm', 'source.earth.ze': 'measured' })
    expect(linesOf(report)).toContainEqual({
      name: expect.stringMatching(/Ze/),
      text: '0.35 Ω',
      source: 'measured',
    })
  })
  it('says nothing of what nobody has put down', () => {
    const [full, without] = [reportWith(), reportWith({ 'item.earth.ze': '' })]
    expect(linesOf(without)).toHaveLength(linesOf(full).length - 1)
  })
  it('measures rooms and routes on the plan, in metres', () => {
    const lines = linesOf(reportWith())
    // 400 by 360 of the plan’s units, in a wall of known length.
    const wall = PAINT.metresPerUnit
    const area = (400 * 360 * wall ** 2).toFixed(1)
    expect(lines.find(({ name }) => name === 'Spray room')!.text).toContain(`${area} m²`)
    expect(lines.find(({ name }) => name === 'Spray room lighting')!.text).toMatch(
      /^\d+(\.\d+)? m in trunking/,
    )
  })
  it('without a scale there is nothing to measure by, and it is said to be open', () => {
    const report = reportWith({ 'plan.known': '' })
    expect(linesOf(report).some(({ source }) => source === 'plan')).toBe(false)
    expect(report.open.join(' ')).toContain('no scale')
  })
  it('of a whole survey answers every objective and leaves nothing open', () => {
    const report = reportWith()
    expect(report.open).toEqual([])
    expect(report.conclusions.map(({ text }) => text)).toEqual(
      report.objectives.map(() => 'Answered by the findings.'),
    )
  })
  it('what somebody concluded stands as they wrote it; what is open is not called answered', () => {
    const report = reportWith({
      'report.conclusion.earthing': 'Bond the water pipe first.',
      'item.intake.mainFuse': '',
    })
    const of = (objective: keyof typeof OBJECTIVE_TEXT) =>
      report.conclusions.find((one) => one.objective === OBJECTIVE_TEXT[objective])?.text
    expect(of('earthing')).toBe('Bond the water pipe first.')
    expect(report.conclusions.map(({ text }) => text)).toContain('Not answered yet.')
    expect(report.open.some((line) => line.startsWith('Open: '))).toBe(true)
  })
  it('without a title or text is printed all the same, and says that it has none', () => {
    const report = reportOf({}, readSheet({ 'report.objectives': OBJECTIVES.join(' ') }))
    expect(report.title).toBe('Survey without a title')
    expect(report.findings).toEqual([])
    expect(report.conclusions.every(({ text }) => text === 'Not answered yet.')).toBe(true)
  })
})

describe('a contradiction is said with its place and with what to do', () => {
  const said = (other: Readonly<Record<string, string>>) =>
    allContradictions(readSheet(but(whole, other)))
      .map(contradictionSays)
      .join(' ')
  it.each([
    [{ 'room.a': whole['room.a']!.replace('dusty', 'bath') }, /Spray room is a room with a bath or shower/],
    [
      { 'item.intake.arrangement': 'TN-C-S', 'item.building.kind': 'marina', 'item.earth.ze': '0.3' },
      /TN-C-S at a marina.*plan an electrode/,
    ],
    [{ 'item.earth.ze': '0.9' }, /0\.90 Ω is above the 0\.80 Ω.*Measure again, or ask the distributor/],
    [{ 'item.earth.bondWater': 'not-needed' }, /The water pipe is of metal/],
    [{ 'item.trades.firstFix': '2027-03-29' }, /before\.$|has to be in before/],
    [{ 'plan.board': '' }, /no board for them to begin at/],
    [{ 'point.p3': '' }, /Mixing store sockets feeds no point/],
    [
      { 'route.r3': whole['route.r3']!.replace('trunking', 'chase') },
      /Mixing store sockets runs hidden where nobody expects a cable.*150 mm/,
    ],
    [
      { 'item.intake.arrangement': 'TT', 'item.earth.ze': '0.4' },
      /0\.40 Ω is very low for an earth electrode/,
    ],
    [{ 'source.earth.ze': 'assumed' }, /only assumed.*look, ask or measure/],
    [
      { 'plan.known': JSON.stringify({ from: at(1, 1), to: at(1, 1), metres: 3 }) },
      /known line has no length/,
    ],
  ])('%o', (other, sentence) => {
    const text = said(other)
    expect(text).toMatch(sentence)
    isPlain(text)
  })
})

describe('every site that comes with the application', () => {
  const sheets = SITES.flatMap((site) => [readSheet(wholeSurvey(site)), readSheet({})])
  it('is spoken of in whole words: gaps, contradictions, where boxes come from', () => {
    for (const sheet of [...sheets, readSheet(whole)]) {
      gapsOfSurvey(sheet).map(gapSays).forEach(isPlain)
      contradictionsOf(sheet).map(contradictionSays).forEach(isPlain)
      fedBoxes(sheet).forEach(({ from }) => from && isPlain(originSays(from)))
    }
  })
})
