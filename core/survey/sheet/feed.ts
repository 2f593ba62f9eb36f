import { BLANK_EXERCISE } from '../../exercise/form/blank'
import type { ExerciseForm } from '../../exercise/form/fields'
import { NEW_CIRCUIT } from '../../exercise/form/rows'
import { prefixed } from '../../exercise/form/to-form'
import { METHOD_OF_WAY } from '../plan/ways'
import { AMBIENT_FACTOR, GROUND_FACTOR, INSULATION_FACTOR } from '../../regulations/factors'
import { strictest } from '../../regulations/ip'
import type { Premises } from '../../regulations/diversity'
import { formatNumber } from '../../units/format'
import type { Plan, Route } from '../plan/plan'
import { leastIp, type LeastIp } from '../plan/protection'
import { groupedAlong, measureRoute, pointsOf, roomAt, type RouteMeasure } from '../plan/route'
import { zoneAt } from '../plan/zones'
import type { Building, ItemKey } from './checklist'
import { figureOf, given, type SurveySheet } from './sheet'

/** From where in the survey the text of a box comes, with the figures of the sentence. */
export type Origin =
  | { readonly code: 'item'; readonly key: ItemKey }
  | { readonly code: 'length'; readonly route: string; readonly levelM: number; readonly riseM: number }
  | { readonly code: 'warmest'; readonly room: string; readonly ambientC: number }
  | { readonly code: 'ambient' }
  | { readonly code: 'together'; readonly with: readonly string[] }
  | { readonly code: 'insulated'; readonly metres: number }
  | { readonly code: 'zone'; readonly point: string; readonly zone: string }
  | { readonly code: 'outdoors'; readonly point: string }
  | { readonly code: 'way'; readonly route: string }
  | { readonly code: 'points'; readonly n: number }
  | { readonly code: 'ip'; readonly point: string; readonly because: LeastIp['because'] }

/** One box of an exercise that the survey fills. */
export interface FedBox {
  /** `ze`, `c2.length`. */
  readonly box: string
  readonly text: string
  readonly from: Origin
  /** The route whose circuit it is; null for the exercise itself. */
  readonly route: string | null
}

const PREMISES_OF: Readonly<Record<Building, Premises>> = {
  dwelling: 'dwelling',
  commercial: 'commercial',
  industrial: 'industrial',
  agricultural: 'industrial',
  'caravan-park': 'commercial',
  marina: 'commercial',
  'filling-station': 'commercial',
}

/** The row of a table that is on the safe side of a value; the last where none is. */
const rowAbove = (rows: Iterable<number>, value: number): number => {
  const sorted = [...rows].sort((a, b) => a - b)
  return sorted.find((row) => row >= value - 1e-9) ?? sorted.at(-1)!
}

/** Which circuit a route has become; undefined for one that has none. */
export type CircuitOf = (route: Route, index: number) => string | undefined
const inOrder: CircuitOf = (_, index) => `c${index + 1}`

/** Everything that a survey says of a board exercise, box by box, each with where it comes from. */
export function fedBoxes(sheet: SurveySheet, circuitOf: CircuitOf = inOrder): FedBox[] {
  const circuits = laidRoutes(sheet.plan).flatMap((laid, i) => {
    const id = circuitOf(laid.route, i)
    return id === undefined ? [] : routeBoxes(sheet, laid, id)
  })
  return [...intakeBoxes(sheet), ...circuits]
}

/** The circuits that an exercise had from the routes of its survey, by route. */
export const circuitsByRoute = (boxes: readonly FedBox[]): ReadonlyMap<string, string> =>
  new Map(boxes.flatMap(({ box, route }) => (route === null ? [] : [[route, box.split('.')[0]!] as const])))

function intakeBoxes(sheet: SurveySheet): FedBox[] {
  const box = (name: string, key: ItemKey, text: string | undefined): FedBox[] =>
    text === undefined ? [] : [{ box: name, text, from: { code: 'item', key }, route: null }]
  const building = given(sheet, 'building.kind') as Building | undefined
  const [ze, ipf, fuse] = (['earth.ze', 'earth.ipf', 'intake.mainFuse'] as const).map((key) =>
    figureOf(sheet, key),
  )
  const phases = given(sheet, 'intake.phases')
  return [
    ...box('premises', 'building.kind', building && PREMISES_OF[building]),
    ...box('arrangement', 'intake.arrangement', given(sheet, 'intake.arrangement')),
    ...box('phases', 'intake.phases', phases),
    ...box('b1.phases', 'intake.phases', phases),
    ...box('ze', 'earth.ze', ze === undefined ? undefined : formatNumber(ze, 'resistance')),
    ...box('ipf', 'earth.ipf', ipf === undefined ? undefined : `${ipf / 1e3} kA`),
    ...box('mainFuse', 'intake.mainFuse', fuse === undefined ? undefined : String(fuse)),
    ...box('service', 'services.water', serviceText(given(sheet, 'services.water'))),
  ]
}

const serviceText = (water: string | undefined): string | undefined =>
  water === 'metal' || water === 'plastic' ? water : undefined

export interface LaidRoute {
  readonly route: Route
  readonly measure: RouteMeasure
}
/** Routes that can be measured: each becomes a circuit. */
export const laidRoutes = (plan: Plan): LaidRoute[] =>
  plan.routes.flatMap((route) => {
    const measure = measureRoute(plan, route)
    return measure ? [{ route, measure }] : []
  })

function routeBoxes(sheet: SurveySheet, { route, measure }: LaidRoute, id: string): FedBox[] {
  const { plan } = sheet
  const together = groupedAlong(plan, route)
  const way = METHOD_OF_WAY[route.way]
  const of = (field: string, text: string, from: Origin): FedBox => ({
    box: `${id}.${field}`,
    text,
    from,
    route: route.id,
  })
  const served = pointsOf(plan.points, route)
  return [
    of('length', formatNumber(measure.lengthM, 'length'), {
      code: 'length',
      route: route.name,
      levelM: measure.levelM,
      riseM: measure.riseM,
    }),
    of('points', String(served.length), { code: 'points', n: served.length }),
    of('cable', way.cable, { code: 'way', route: route.name }),
    of('method', way.method, { code: 'way', route: route.name }),
    of('concealed', route.way === 'chase' ? 'yes' : 'no', { code: 'way', route: route.name }),
    ambientBox(sheet, { route, measure }, of),
    of('grouped', String(together.circuits), { code: 'together', with: together.with }),
    of('insulation', String(rowAbove(INSULATION_FACTOR.keys(), measure.insulatedM * 1e3)), {
      code: 'insulated',
      metres: measure.insulatedM,
    }),
    ...placeBox(plan, route, of),
    ...ipBox(sheet, route, of),
  ]
}

type Of = (field: string, text: string, from: Origin) => FedBox

function ambientBox(sheet: SurveySheet, { route, measure }: LaidRoute, of: Of): FedBox {
  const rows = (route.way === 'buried' ? GROUND_FACTOR : AMBIENT_FACTOR)[70].keys()
  const { ambientC, rooms } = measure
  if (ambientC !== null && route.way !== 'buried') {
    const warmest = rooms.find((room) => room.ambientC === ambientC)!
    return of('ambient', String(rowAbove(rows, ambientC)), { code: 'warmest', room: warmest.name, ambientC })
  }
  const usual = route.way === 'buried' ? 20 : (figureOf(sheet, 'conditions.ambient') ?? 30)
  return of('ambient', String(rowAbove(rows, usual)), { code: 'ambient' })
}

/** The strictest place of its points: a room with a bath or shower before the open air. */
function placeBox(plan: Plan, route: Route, of: Of): FedBox[] {
  const placed = pointsOf(plan.points, route).map((point) => ({
    point,
    zone: zoneAt(plan, point, point.heightM),
    room: roomAt(plan, point)?.kind,
  }))
  const wet = placed.find(({ zone, room }) => (zone !== undefined && zone !== 'outside') || room === 'bath')
  if (wet)
    return [of('location', 'bathroom', { code: 'zone', point: wet.point.name, zone: String(wet.zone) })]
  const open = placed.find(({ room }) => room === 'outdoors')
  return [
    open
      ? of('location', 'outdoors', { code: 'outdoors', point: open.point.name })
      : of('location', 'general', { code: 'way', route: route.name }),
  ]
}

/** What the harshest of its places asks of the equipment; nothing where all of them are dry and clean. */
function ipBox(sheet: SurveySheet, route: Route, of: Of): FedBox[] {
  const conditions = { moisture: given(sheet, 'conditions.moisture'), dust: given(sheet, 'conditions.dust') }
  const asked = pointsOf(sheet.plan.points, route).map((point) => ({
    point,
    ...leastIp(sheet.plan, conditions, point),
  }))
  const ip = strictest(asked.map((one) => one.ip))
  if (ip === undefined || ip === 'IP2X') return [of('ip', 'none', { code: 'way', route: route.name })]
  // The place that asks for most of it is named.
  const harshest = asked.reduce((most, one) => (one.ip > most.ip || one.ip === ip ? one : most))
  return [of('ip', ip, { code: 'ip', point: harshest.point.name, because: harshest.because })]
}

/** A form of a board exercise made from the survey in one act; what it does not say is as in a new exercise. */
export function exerciseFormOf(
  sheet: SurveySheet,
  head: Readonly<Record<'code' | 'title' | 'scenario' | 'criteria', string>>,
): ExerciseForm {
  const laid = laidRoutes(sheet.plan)
  const ids = laid.map((_, i) => `c${i + 1}`)
  const circuits = Object.assign(
    {},
    ...laid.map(({ route }, i) =>
      prefixed(ids[i]!, {
        ...NEW_CIRCUIT,
        name: route.name || `Circuit ${i + 1}`,
        way: String(i + 1),
        use: route.use,
        amount: `${route.loadW} W`,
      }),
    ),
  ) as ExerciseForm
  const fed = Object.fromEntries(fedBoxes(sheet).map(({ box, text }) => [box, text]))
  return {
    ...BLANK_EXERCISE,
    ...head,
    kind: ids.length > 1 ? 'whole-board' : 'new-circuit',
    tests: ids.length > 1 ? 'all' : (ids[0] ?? ''),
    askCircuits: ids.join(' '),
    'b1.ways': String(Math.max(6, ids.length + 2)),
    circuits: ids.join(' '),
    ...circuits,
    ...fed,
  }
}
