/* A survey read, checked for completeness and contradictions, turned into an exercise, and marked. */
import { describe, expect, it } from 'vitest'
import lampStore from '../../sites/lamp-store.json'
import paintShopSite from '../../sites/paint-shop.json'
import waitingRoom from '../../sites/waiting-room.json'
import { strictest } from '#core/regulations/ip'
import { levelZones } from '#core/survey/plan/zones'
import { DEFAULT_POLICY } from '#core/policies/policy'
import { readForm } from '#core/exercise/form/read-form'
import { partText, readPlan } from '#core/survey/plan/read-plan'
import { gapsOfSurvey } from '#core/survey/sheet/complete'
import { exerciseFormOf, fedBoxes } from '#core/survey/sheet/feed'
import { allContradictions, followSurvey } from '#core/survey/sheet/follow'
import { readSheet } from '#core/survey/sheet/sheet'
import { markSurvey } from '#core/survey/site/mark'
import { shownOf, type Site } from '#core/survey/site/site'
import { at, but, paintShop, wholeSurvey } from '../support/survey'

const PAINT = paintShopSite as unknown as Site
const SITES = [PAINT, waitingRoom, lampStore] as unknown as readonly Site[]
const whole = paintShop(PAINT)
const everything = new Set(PAINT.acts.map(({ id }) => id))
const HEAD = { code: 'S-9', title: 'Paint shop', scenario: '', criteria: '1.1' }
const codes = (fields: Record<string, string>) => allContradictions(readSheet(fields)).map(({ code }) => code)

describe('what was put down', () => {
  it('is read in the units of the trade, and what cannot be read says why and stays', () => {
    const sheet = readSheet({
      'item.earth.ze': '0,35 ohm',
      'item.earth.ipf': '16 kA',
      'item.intake.mainFuse': 'large',
    })
    expect(sheet.answers.get('earth.ze')!.value).toBeCloseTo(0.35)
    expect(sheet.answers.get('earth.ipf')!.value).toBe(16_000)
    expect(sheet.answers.get('intake.mainFuse')).toMatchObject({ text: 'large', problem: 'notANumber' })
    const odd = readSheet({
      'item.building.kind': 'castle',
      'item.trades.plaster': '2027-02-31x',
      'item.intake.mainFuse': '5',
    })
    expect(odd.answers.get('building.kind')!.problem).toBe('notOne')
    expect(odd.answers.get('trades.plaster')!.problem).toBe('notADay')
    expect(odd.answers.get('intake.mainFuse')!.problem).toBe('outOfRange')
  })
  it.each([
    '{',
    'null',
    '[]',
    '{"line":[{"x":1,"y":2}]}',
    '{"line":[{"x":"1","y":2},{"x":3,"y":4}]}',
    '{"line":[{"x":1e99,"y":2},{"x":3,"y":4}]}',
  ])('a wall that is none (%s) is named and counts for nothing', (text) => {
    expect(readPlan({ 'wall.a': text })).toMatchObject({ unread: ['wall.a'], plan: { walls: [] } })
  })
  it('a plan goes into boxes and comes back the same', () => {
    const { plan, unread } = readPlan(whole)
    expect(unread).toEqual([])
    const again = readPlan({
      ...Object.fromEntries(plan.routes.map((route) => [`route.${route.id}`, partText(route)])),
      ...Object.fromEntries(plan.rooms.map((room) => [`room.${room.id}`, partText(room)])),
    })
    expect([again.plan.routes, again.plan.rooms]).toEqual([plan.routes, plan.rooms])
  })
})

describe('completeness against the objectives', () => {
  it('of an empty survey everything is open; of a whole one nothing', () => {
    expect(gapsOfSurvey(readSheet({})).map(({ objective }) => objective)).toContain('routes')
    expect(gapsOfSurvey(readSheet(whole))).toEqual([])
  })
  it('asks for bonding only where a metal pipe is there, and only for what the survey is for', () => {
    const plastic = but(whole, { 'item.services.water': 'plastic', 'item.earth.bondWater': '' })
    expect(gapsOfSurvey(readSheet(plastic))).toEqual([])
    const metal = but(whole, { 'item.earth.bondWater': '' })
    expect(gapsOfSurvey(readSheet(metal))).toMatchObject([
      { objective: 'earthing', items: ['earth.bondWater'] },
    ])
    expect(
      gapsOfSurvey(readSheet({ 'report.objectives': 'wishes' })).map(({ objective }) => objective),
    ).toEqual(['wishes'])
  })
})

describe('contradictions', () => {
  it('a consistent survey has none', () => expect(codes(whole)).toEqual([]))
  it.each([
    [
      'a room with a shower, yet no shower drawn',
      { 'room.a': whole['room.a']!.replace('dusty', 'bath') },
      'noZones',
    ],
    [
      'a supply with PME where the ESQCR forbids it',
      { 'item.intake.arrangement': 'TN-C-S', 'item.building.kind': 'marina', 'item.earth.ze': '0.3' },
      'pmeForbidden',
    ],
    ['a loop above what the distributor declares', { 'item.earth.ze': '0.9' }, 'zeAboveDeclared'],
    ['metal water, no bonding thought needed', { 'item.earth.bondWater': 'not-needed' }, 'notBonded'],
    ['first fix after the plaster', { 'item.trades.firstFix': '2027-03-29' }, 'fixAfterPlaster'],
    ['finished before it is begun', { 'item.trades.finish': '2027-03-01' }, 'finishBeforeFix'],
    [
      'a scale from a line without length',
      { 'plan.known': JSON.stringify({ from: at(1, 1), to: at(1, 1), metres: 3 }) },
      'scaleZero',
    ],
    ['rooms but no scale', { 'plan.known': '' }, 'noScale'],
    ['routes but no board', { 'plan.board': '' }, 'noBoard'],
    ['a Ze that nobody looked for', { 'source.earth.ze': 'assumed' }, 'assumed'],
    ['a route that feeds nothing', { 'point.p3': '' }, 'noPoint'],
    [
      'a hidden cable where nobody expects it',
      { 'route.r3': whole['route.r3']!.replace('trunking', 'chase') },
      'notExpected',
    ],
    ['TT with hardly any resistance', { 'item.intake.arrangement': 'TT', 'item.earth.ze': '0.4' }, 'ttLow'],
  ])('%s', (_, other, code) => {
    expect(codes(but(whole, other))).toContain(code)
  })
  it.each([280, 640])(
    'a route longer than any cable or circuit allows is named with its length (%s m of wall)',
    (metres) => {
      const far = but(whole, {
        'plan.known': JSON.stringify({ from: at(40, 40), to: at(680, 40), metres }),
        'route.r2': whole['route.r2']!.replace('"loadW":1100', '"loadW":9000'),
      })
      expect(allContradictions(readSheet(far)).filter(({ code }) => code === 'tooLong')).toContainEqual(
        expect.objectContaining({ route: 'Extract fan' }),
      )
    },
  )
  it('a socket in zone 2, and one within 2.5 m of zone 1', () => {
    const bath = (x: number, y: number) =>
      but(whole, {
        'fixture.f': JSON.stringify({
          kind: 'bath',
          corners: [at(460, 60), at(530, 60), at(530, 90), at(460, 90)],
        }),
        'room.b': whole['room.b']!.replace('dusty', 'bath'),
        'item.special.location': 'bath-or-shower',
        'item.conditions.moisture': 'splashes',
        'point.p3': JSON.stringify({ name: 'Sockets', use: 'sockets', x, y, heightM: 1.2 }),
      })
    expect(codes(bath(545, 60))).toContain('socketInZone')
    expect(codes(bath(600, 60))).toContain('socketNearZone')
    expect(codes(bath(560, 400))).toEqual([])
  })
})

describe('the survey feeds the design', () => {
  it('every route becomes a circuit of an exercise that can be worked, each box with where it comes from', () => {
    const { exercise, problems } = readForm(exerciseFormOf(readSheet(whole), HEAD), DEFAULT_POLICY)
    expect(problems).toEqual({})
    expect(
      exercise!.installation.circuits.map(({ name, lengthM, ambientC, grouping }) => [
        name,
        lengthM,
        ambientC,
        grouping.circuits,
      ]),
    ).toEqual([
      ['Spray room lighting', 14.7, 40, 2],
      ['Extract fan', 24.8, 40, 2],
      ['Mixing store sockets', 13.3, 25, 1],
    ])
    expect(exercise!.installation.intake).toMatchObject({ arrangement: 'TN-S', zeOhm: 0.42, mainFuseA: 100 })
    const length = fedBoxes(readSheet(whole)).find(({ box }) => box === 'c2.length')!
    expect(length.from).toMatchObject({ code: 'length', route: 'Extract fan' })
  })
  it('the harshest place of a route says the least degree of protection of its equipment, with why', () => {
    const wet = but(whole, { 'item.conditions.moisture': 'splashes', 'item.conditions.dust': 'heavy' })
    const boxes = fedBoxes(readSheet(wet)).filter(({ box }) => box.endsWith('.ip'))
    expect(boxes.map(({ text }) => text)).toEqual(['IP54', 'IP54', 'IP54'])
    expect(boxes[0]!.from).toMatchObject({ code: 'ip', because: ['dust', 'splashes'] })
    const { exercise } = readForm(exerciseFormOf(readSheet(wet), HEAD), DEFAULT_POLICY)
    expect(exercise!.installation.circuits.map(({ ip }) => ip)).toEqual(['IP54', 'IP54', 'IP54'])
    // A form that was kept before it was asked for is read as ever.
    const { 'c1.ip': _, ...older } = exerciseFormOf(readSheet(wet), HEAD)
    expect(readForm(older, DEFAULT_POLICY).problems).toEqual({})
  })
  it('figure by figure: IP5X and IP24 together ask for IP54', () => {
    expect(strictest(['IP5X', 'IP24'])).toBe('IP54')
    expect(strictest([])).toBeUndefined()
  })
  it('hidden cables are expected level with what stands on a wall, and where nothing stands along nothing', () => {
    const { plan } = readSheet(whole)
    const on = levelZones(plan).flatMap(({ points }) => points.map(({ name }) => name))
    expect(on.length).toBeGreaterThan(0)
    expect(levelZones({ ...plan, points: [] })).toEqual([])
    expect(levelZones({ ...plan, known: null })).toEqual([])
  })
  it('a warmer, longer room changes Ca, length and voltage drop of its routes alone', () => {
    const before = followSurvey(readSheet(whole))
    const after = followSurvey(
      readSheet(but(whole, { 'room.a': whole['room.a']!.replace('"ambientC":40', '"ambientC":50') })),
    )
    expect(after[1]!.ca!).toBeLessThan(before[1]!.ca!)
    expect(after[2]).toEqual(before[2])
    const known = JSON.stringify({ from: at(40, 40), to: at(680, 40), metres: 20 })
    const longer = followSurvey(readSheet(but(whole, { 'plan.known': known })))
    expect(longer[1]!.lengthM).toBeCloseTo(22.5 * (20 / 16) + 2.3, 6)
    expect(longer[1]!.voltDropV!).toBeGreaterThan(before[1]!.voltDropV!)
  })
})

describe('marks', () => {
  const marked = (fields: Record<string, string>, done: ReadonlySet<string> = everything) =>
    markSurvey(PAINT, readSheet(fields), done)
  const verdict = (fields: Record<string, string>, key: string, done?: ReadonlySet<string>) =>
    marked(fields, done).facts.find((fact) => fact.key === key)!.verdict

  it('a whole survey has found everything', () => {
    expect(marked(whole).counts).toEqual({
      found: PAINT.facts.length + PAINT.routes.length,
      carried: 0,
      assumed: 0,
      wrong: 0,
      missed: 0,
    })
  })
  it.each(SITES.map((site) => [site.code, site] as const))(
    '%s can be found out: each fact by an act that is there',
    (_, site) => {
      const acts = new Set(site.acts.map(({ id }) => id))
      expect(site.facts.flatMap(({ by }) => by).filter((act) => !acts.has(act))).toEqual([])
      const sheet = readSheet(wholeSurvey(site))
      expect([...sheet.answers.values()].filter(({ problem }) => problem !== null)).toEqual([])
      expect(markSurvey(site, sheet, acts).facts.map(({ verdict: is }) => is)).not.toContain('wrong')
    },
  )
  it('missed, wrong, and assumed without having looked, even where it happens to be right', () => {
    expect(verdict(but(whole, { 'item.intake.mainFuse': '' }), 'intake.mainFuse')).toBe('missed')
    expect(verdict(but(whole, { 'item.intake.mainFuse': '80' }), 'intake.mainFuse')).toBe('wrong')
    expect(verdict(whole, 'intake.mainFuse', new Set(['foreman']))).toBe('assumed')
    expect(verdict(but(whole, { 'source.intake.mainFuse': 'assumed' }), 'intake.mainFuse')).toBe('assumed')
  })
  it('what is wrong only because of an earlier reading is carried: Ze as declared for their arrangement', () => {
    const misread = but(whole, { 'item.intake.arrangement': 'TN-C-S', 'item.earth.ze': '0.35' })
    expect(verdict(misread, 'intake.arrangement')).toBe('wrong')
    expect(verdict(misread, 'earth.ze')).toBe('carried')
    const plastic = but(whole, { 'item.services.water': 'plastic', 'item.earth.bondWater': 'not-needed' })
    expect(verdict(plastic, 'earth.bondWater')).toBe('carried')
  })
  it('a route drawn right to a wrong scale is carried; one drawn elsewhere is wrong', () => {
    const known = JSON.stringify({ from: at(40, 40), to: at(680, 40), metres: 32 })
    expect(marked(but(whole, { 'plan.known': known })).routes.map(({ verdict: is }) => is)).toEqual([
      'carried',
      'carried',
      'carried',
    ])
    const round = but(whole, {
      'route.r3': whole['route.r3']!.replace(
        '{"x":680,"y":400}',
        '{"x":680,"y":40},{"x":40,"y":40},{"x":40,"y":400}',
      ),
    })
    expect(marked(round).routes[2]).toMatchObject({ verdict: 'wrong', right: 13.3 })
  })
  it('what an apprentice is shown holds no fact, no length and no scale', () => {
    const shown = JSON.stringify(shownOf(PAINT))
    for (const secret of ['facts', 'routes', 'lengthM', 'metresPerUnit', 'shows', '0.42'])
      expect(shown.replace(/"objectives":\[[^\]]*\]/, '')).not.toContain(secret)
  })
})
