import type { Route } from '#core/survey/plan/plan'
import { partText } from '#core/survey/plan/read-plan'
import type { Spot } from '#core/survey/plan/geometry'
import type { Site } from '#core/survey/site/site'
import type { SurveyFields } from '#core/survey/sheet/sheet'

export const at = (x: number, y: number): Spot => ({ x, y })

/** Everything that an attentive surveyor puts down at a site: its facts, and its plan drawn to the right scale. */
export function wholeSurvey(site: Site): Record<string, string> {
  const fields: Record<string, string> = { 'report.objectives': site.objectives.join(' ') }
  for (const { key, value, by } of site.facts) {
    fields[`item.${key}`] = value
    fields[`source.${key}`] = by.length > 0 ? 'looked' : 'drawing'
  }
  const wall = site.plan.walls[0]!.line
  const [from, to] = [wall[0]!, wall[1]!]
  const metres = Math.hypot(to.x - from.x, to.y - from.y) * site.metresPerUnit
  fields['plan.known'] = JSON.stringify({ from, to, metres })
  for (const one of site.plan.walls) fields[`wall.${one.id}`] = partText(one)
  for (const one of site.plan.fixtures) fields[`fixture.${one.id}`] = partText(one)
  return fields
}

const PAINT_SHOP: readonly Route[] = [
  {
    id: 'r1',
    name: 'Spray room lighting',
    use: 'lighting',
    way: 'trunking',
    pathHeightM: 3,
    via: [at(680, 40)],
    points: ['p1'],
    loadW: 600,
  },
  {
    id: 'r2',
    name: 'Extract fan',
    use: 'motor',
    way: 'trunking',
    pathHeightM: 3,
    via: [at(680, 40), at(40, 40)],
    points: ['p2'],
    loadW: 1100,
  },
  {
    id: 'r3',
    name: 'Mixing store sockets',
    use: 'sockets',
    way: 'trunking',
    pathHeightM: 3,
    via: [at(680, 400)],
    points: ['p3'],
    loadW: 4000,
  },
]

/** The paint shop with rooms, board, points and the routes that follow its walls. */
export function paintShop(site: Site): Record<string, string> {
  const room = (name: string, ambientC: number, x1: number, x2: number) =>
    JSON.stringify({
      name,
      kind: 'dusty',
      corners: [at(x1, 40), at(x2, 40), at(x2, 400), at(x1, 400)],
      heightM: 4,
      ambientC,
      isInsulated: false,
    })
  const point = (name: string, use: string, x: number, y: number, heightM: number) =>
    JSON.stringify({ name, use, x, y, heightM })
  return {
    ...wholeSurvey(site),
    'plan.board': JSON.stringify({ x: 680, y: 120, heightM: 1.5 }),
    'room.a': room('Spray room', 40, 40, 440),
    'room.b': room('Mixing store', 25, 440, 680),
    'point.p1': point('Lamps', 'lighting', 240, 40, 2.8),
    'point.p2': point('Fan', 'motor', 40, 220, 2.2),
    'point.p3': point('Sockets', 'sockets', 560, 400, 1.2),
    ...Object.fromEntries(PAINT_SHOP.map((route) => [`route.${route.id}`, partText(route)])),
  }
}

/** With some boxes as they are not at the site. */
export const but = (fields: SurveyFields, other: SurveyFields): Record<string, string> => ({
  ...fields,
  ...other,
})
