import { DECLARED_ZE_OHM, type Arrangement } from '../../regulations/supply'
import { spotsAlong } from '../plan/geometry'
import { scaleOf, type Plan } from '../plan/plan'
import { lineOf, measureRoute, pointsOf, roomAt } from '../plan/route'
import { DOOR_HEIGHT_M } from '../plan/along-walls'
import { distance } from '../plan/geometry'
import { SOCKET_FROM_ZONE_1_M, fromNearestZone1, isWhereExpected, makesZones, zoneAt } from '../plan/zones'
import type { Building } from './checklist'
import { figureOf, given, type SurveySheet } from './sheet'

/** Two things in one survey that cannot both be so, or that the regulations do not let stand together. */
export type Contradiction =
  | { readonly code: 'noZones'; readonly room: string }
  | { readonly code: 'zonesButNone' }
  | { readonly code: 'socketInZone' | 'socketNearZone'; readonly point: string; readonly metres: number }
  | { readonly code: 'pmeForbidden'; readonly building: Building }
  | { readonly code: 'zeAboveDeclared'; readonly ze: number; readonly declared: number }
  | { readonly code: 'ttLow'; readonly ze: number }
  | { readonly code: 'notBonded'; readonly service: 'water' | 'gas' }
  | { readonly code: 'scaleZero' | 'noScale' | 'noBoard' }
  | { readonly code: 'unread'; readonly box: string }
  | { readonly code: 'noPoint' | 'notExpected' | 'throughDoor'; readonly route: string }
  | { readonly code: 'tooLong'; readonly route: string; readonly lengthM: number; readonly at: string }
  | { readonly code: 'fixAfterPlaster'; readonly firstFix: string; readonly plaster: string }
  | { readonly code: 'finishBeforeFix'; readonly firstFix: string; readonly finish: string }
  | { readonly code: 'dryButWet'; readonly room: string }
  | { readonly code: 'assumed'; readonly key: 'earth.ze' | 'intake.arrangement' | 'intake.mainFuse' }

/**
 * Supplies whose neutral may not be the means of earthing: caravan parks and marinas by the ESQCR and BS 7671 708.411.4
 * and 709.411.4, filling stations by guidance for them. From memory.
 */
const NO_PME: readonly Building[] = ['caravan-park', 'marina', 'filling-station']

/**
 * What in a survey contradicts itself or what the regulations allow; its routes are worked through by
 * `allContradictions`.
 */
export function contradictionsOf(sheet: SurveySheet): Contradiction[] {
  return [
    ...sheet.unread.map((box) => ({ code: 'unread', box }) as const),
    ...ofPlan(sheet.plan),
    ...ofZones(sheet),
    ...ofIntake(sheet),
    ...ofDates(sheet),
    ...ofRoutes(sheet),
  ]
}

function ofPlan(plan: Plan): Contradiction[] {
  const isDrawn = plan.routes.length + plan.rooms.length > 0
  if (plan.known && scaleOf(plan) === undefined) return [{ code: 'scaleZero' }]
  if (isDrawn && !plan.known) return [{ code: 'noScale' }]
  return plan.routes.length > 0 && !plan.board ? [{ code: 'noBoard' }] : []
}

function ofZones(sheet: SurveySheet): Contradiction[] {
  const { plan } = sheet
  const makers = plan.fixtures.filter(makesZones)
  const wet = plan.rooms.filter(({ kind }) => kind === 'bath')
  const bare = wet.filter((room) => !makers.some(({ corners }) => roomAt({ rooms: [room] }, corners[0]!)))
  const special = given(sheet, 'special.location')
  const isDry = given(sheet, 'conditions.moisture') === 'dry'
  return [
    ...bare.map(({ name }) => ({ code: 'noZones', room: name }) as const),
    ...(makers.length > 0 && special !== undefined && special !== 'bath-or-shower'
      ? [{ code: 'zonesButNone' } as const]
      : []),
    ...(isDry ? wet.map(({ name }) => ({ code: 'dryButWet', room: name }) as const) : []),
    ...plan.points.filter(({ use }) => use === 'sockets').flatMap((point) => socketOf(plan, point)),
  ]
}

function socketOf(plan: Plan, point: Plan['points'][number]): Contradiction[] {
  const zone = zoneAt(plan, point, point.heightM)
  const metres = fromNearestZone1(plan, point)
  if (zone === undefined || metres === undefined) return []
  const isInRoom = roomAt(plan, point)?.kind === 'bath'
  if (zone !== 'outside') return [{ code: 'socketInZone', point: point.name, metres }]
  return isInRoom && metres < SOCKET_FROM_ZONE_1_M
    ? [{ code: 'socketNearZone', point: point.name, metres }]
    : []
}

/** An electrode lower than this is hard to find in the ground, Ω; common practice, no source. */
const LOW_TT_OHM = 1

function ofIntake(sheet: SurveySheet): Contradiction[] {
  const arrangement = given(sheet, 'intake.arrangement') as Arrangement | undefined
  const building = given(sheet, 'building.kind') as Building | undefined
  const ze = figureOf(sheet, 'earth.ze')
  const declared = arrangement && DECLARED_ZE_OHM[arrangement]
  const isAssumed = (key: 'earth.ze' | 'intake.arrangement' | 'intake.mainFuse') =>
    given(sheet, key) !== undefined && sheet.answers.get(key)!.source === 'assumed'
  const bare = (service: 'water' | 'gas', key: 'earth.bondWater' | 'earth.bondGas') =>
    given(sheet, `services.${service}`) === 'metal' && given(sheet, key) === 'not-needed'
      ? [{ code: 'notBonded', service } as const]
      : []
  return [
    ...(arrangement === 'TN-C-S' && building && NO_PME.includes(building)
      ? [{ code: 'pmeForbidden', building } as const]
      : []),
    ...(declared !== undefined && ze !== undefined && ze > declared
      ? [{ code: 'zeAboveDeclared', ze, declared } as const]
      : []),
    ...(arrangement === 'TT' && ze !== undefined && ze < LOW_TT_OHM ? [{ code: 'ttLow', ze } as const] : []),
    ...bare('water', 'earth.bondWater'),
    ...bare('gas', 'earth.bondGas'),
    ...(['earth.ze', 'intake.arrangement', 'intake.mainFuse'] as const)
      .filter(isAssumed)
      .map((key) => ({ code: 'assumed', key }) as const),
  ]
}

function ofDates(sheet: SurveySheet): Contradiction[] {
  const [firstFix, plaster, finish] = (['trades.firstFix', 'trades.plaster', 'trades.finish'] as const).map(
    (key) => given(sheet, key),
  )
  return [
    ...(firstFix && plaster && firstFix > plaster
      ? [{ code: 'fixAfterPlaster', firstFix, plaster } as const]
      : []),
    ...(firstFix && finish && finish < firstFix
      ? [{ code: 'finishBeforeFix', firstFix, finish } as const]
      : []),
  ]
}

/** Spots so far apart are looked at along a hidden way, m. */
const STEP_M = 0.25

function ofRoutes(sheet: SurveySheet): Contradiction[] {
  const { plan } = sheet
  const scale = scaleOf(plan)
  return plan.routes.flatMap((route): Contradiction[] => {
    if (pointsOf(plan.points, route).length === 0) return [{ code: 'noPoint', route: route.name }]
    if (scale === undefined || !measureRoute(plan, route)) return []
    const spots = spotsAlong(lineOf(plan, route), STEP_M / scale)
    const isHidden =
      route.way === 'chase' && spots.some((spot) => isWhereExpected(plan, spot, route.pathHeightM) === false)
    const isLow = route.way !== 'buried' && route.pathHeightM < DOOR_HEIGHT_M
    const isInDoor =
      isLow && plan.doors.some((door) => spots.some((spot) => distance(spot, door) * scale < door.widthM / 2))
    return [
      ...(isHidden ? [{ code: 'notExpected', route: route.name } as const] : []),
      ...(isInDoor ? [{ code: 'throughDoor', route: route.name } as const] : []),
    ]
  })
}
