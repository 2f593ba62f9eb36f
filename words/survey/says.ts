import type { ObjectiveGap } from '#core/survey/sheet/complete'
import type { Contradiction } from '#core/survey/sheet/contradictions'
import type { Origin } from '#core/survey/sheet/feed'
import { formatQuantity } from '#core/units/format'
import { STEP_TEXT } from '../steps'
import { IP_TEXT, ITEM_TEXT, OBJECTIVE_TEXT, choiceText } from './items'

const metres = (value: number): string => formatQuantity(value, 'length')

type Of<T extends { readonly code: string }, C extends T['code']> = T & { readonly code: C }
const CONTRADICTIONS: { readonly [C in Contradiction['code']]: (one: Of<Contradiction, C>) => string } = {
  noZones: (one) =>
    `${one.room} is a room with a bath or shower, yet none is drawn ` +
    'in it: without it there are no zones. Draw it where it stands.',
  zonesButNone: () =>
    'A bath or shower is drawn, but the checklist says that there is no such special location.',
  socketInZone: (one) => `${one.point} stands in a zone: no socket-outlet may. Move it.`,
  socketNearZone: (one) =>
    `${one.point} is ${metres(one.metres)} from zone 1; a socket-outlet ` +
    'wants at least 2.5 m (701.512.3). Move it, or check the zone.',
  pmeForbidden: (one) =>
    `TN-C-S at a ${choiceText(one.building)}: the supply’s neutral may not be the ` +
    'means of earthing there. Look at the intake again, and plan an electrode.',
  zeAboveDeclared: (one) =>
    `Ze of ${formatQuantity(one.ze, 'resistance')} is above the ${formatQuantity(one.declared, 'resistance')} ` +
    'that a distributor declares for this arrangement. Measure again, or ask the distributor.',
  ttLow: (one) => `${formatQuantity(one.ze, 'resistance')} is very low for an earth electrode. Is it TT?`,
  notBonded: (one) => `The ${one.service} pipe is of metal, yet no bonding is thought to be needed.`,
  scaleZero: () =>
    'The known line has no length. Draw it between two places that are apart, and give the metres between them.',
  noScale: () => 'The plan has no scale. Draw a line over something that you have measured.',
  noBoard: () => 'Routes are drawn, but no board for them to begin at.',
  unread: (one) => `Part of the plan (${one.box}) cannot be read. Draw it again, or remove it.`,
  noPoint: (one) => `${one.route || 'A route'} feeds no point.`,
  notExpected: (one) =>
    `${one.route || 'A route'} runs hidden where nobody expects a cable: keep ` +
    'within 150 mm of ceiling or corner, or level with its points, or protect it.',
  throughDoor: (one) => `${one.route || 'A route'} is too low to pass a door.`,
  tooLong: (one) =>
    one.at === 'length'
      ? `${one.route} is ${metres(one.lengthM)} long: no single circuit is worked over such a length.`
      : `${one.route} is ${metres(one.lengthM)} long: its design does not come past ` +
        `${stepName(one.at)}. Shorten it, feed it from a nearer board, or share its load.`,
  fixAfterPlaster: () =>
    'The first fix comes after the plaster. Whatever goes into the wall has to be in before.',
  finishBeforeFix: () => 'It is to be ready before its first fix is done.',
  dryButWet: (one) => `The place is called dry, but ${one.room} has a bath or shower.`,
  assumed: (one) => `${ITEM_TEXT[one.key]} is only assumed. The design rests on it: look, ask or measure.`,
}
/** What contradicts itself in a survey, and what to do. */
export const contradictionSays = (one: Contradiction): string =>
  (CONTRADICTIONS[one.code] as (one: Contradiction) => string)(one)
const stepName = (key: string): string =>
  (STEP_TEXT as Readonly<Record<string, { readonly name: string } | undefined>>)[key]?.name.toLowerCase() ??
  key

const PLAN_TEXT: Readonly<Record<ObjectiveGap['plan'][number], string>> = {
  scale: 'the scale of the plan',
  board: 'the board',
  rooms: 'the rooms',
  routes: 'a route to a point',
  fixture: 'the bath or shower on the plan',
}

/** What an objective still lacks. */
export const gapSays = ({ objective, items, plan }: ObjectiveGap): string =>
  `${OBJECTIVE_TEXT[objective]}: ` +
  `${[...items.map((key) => ITEM_TEXT[key]), ...plan.map((part) => PLAN_TEXT[part])].join(', ')}`

const ORIGINS: { readonly [C in Origin['code']]: (from: Of<Origin, C>) => string } = {
  item: (from) => `checklist: ${ITEM_TEXT[from.key]}`,
  length: (from) =>
    `plan: ${metres(from.levelM)} along ${from.route || 'the route'}, ${metres(from.riseM)} up and down`,
  ip: (from) =>
    `plan: ${from.point || 'a point'} stands where ${from.because.map((one) => IP_TEXT[one]).join(', ')}`,
  warmest: (from) => `plan: ${from.room || 'a room'} gets to ${from.ambientC} °C; the next row of the table`,
  ambient: () => 'checklist: Warmest it gets',
  together: (from) =>
    from.with.length === 0
      ? 'plan: no other route keeps beside it for more than a metre'
      : `plan: beside ${from.with.join(', ')}`,
  insulated: (from) =>
    from.metres === 0 ? 'plan: through no insulated room' : `plan: ${metres(from.metres)} through insulation`,
  zone: (from) =>
    from.zone === 'outside'
      ? `plan: ${from.point || 'a point'} stands in a room with bath or shower, outside the zones`
      : `plan: ${from.point || 'a point'} stands in zone ${from.zone}`,
  outdoors: (from) => `plan: ${from.point || 'a point'} is outdoors`,
  way: (from) => `plan: wiring method of ${from.route || 'the route'}`,
  points: (from) => `plan: ${from.n} ${from.n === 1 ? 'point' : 'points'} on the route`,
}
/** From where in the survey a box of an exercise comes, and so what changes with it. */
export const originSays = (from: Origin): string => (ORIGINS[from.code] as (from: Origin) => string)(from)
