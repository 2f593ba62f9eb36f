import { distance, distanceToArea, distanceTo, legsOf, type Leg, type Spot } from './geometry'
import { scaleOf, type Fixture, type Plan, type PlanPoint } from './plan'

/**
 * Zones round a bath or shower; BS 7671 701.32: zone 1 to 2.25 m above the floor, zone 2 to 0.6 m beside it, a shower
 * without a basin has zone 1 within 1.2 m of its outlet and no zone 2. From memory of the regulation.
 */
export const ZONE_TOP_M = 2.25
export const ZONE_2_M = 0.6
export const OPEN_SHOWER_M = 1.2
/** A rim or tray up to here is zone 0 inside; the floor of an open shower up to 0.1 m. */
const RIM_M = 0.6
const WET_FLOOR_M = 0.1
/** Socket-outlets stand this far from zone 1; BS 7671:2018 with Amendment 2, 701.512.3, from memory. */
export const SOCKET_FROM_ZONE_1_M = 2.5

export type Zone = 0 | 1 | 2 | 'outside'

/** Makes zones: a wash basin alone makes none. */
export const makesZones = ({ kind }: Fixture): boolean => kind !== 'basin'

/** From the edge of zone 1 of this fixture, m; 0 within. */
function fromZone1(fixture: Fixture, spot: Spot, scale: number): number {
  if (fixture.kind === 'shower-floor')
    return Math.max(0, distance(fixture.corners[0]!, spot) * scale - OPEN_SHOWER_M)
  return distanceToArea(fixture.corners, spot) * scale
}

function zoneOf(fixture: Fixture, spot: Spot, heightM: number, scale: number): Zone {
  const away = fromZone1(fixture, spot, scale)
  if (heightM > ZONE_TOP_M) return 'outside'
  if (away === 0) {
    const wetTo = fixture.kind === 'shower-floor' ? WET_FLOOR_M : RIM_M
    return heightM <= wetTo ? 0 : 1
  }
  return fixture.kind !== 'shower-floor' && away <= ZONE_2_M ? 2 : 'outside'
}

const RANK: Readonly<Record<Zone, number>> = { 0: 0, 1: 1, 2: 2, outside: 3 }

/** The zone that a point lies in, walls between left aside; undefined without a scale. */
export function zoneAt(plan: Plan, spot: Spot, heightM: number): Zone | undefined {
  const scale = scaleOf(plan)
  if (scale === undefined) return undefined
  return plan.fixtures
    .filter(makesZones)
    .map((fixture) => zoneOf(fixture, spot, heightM, scale))
    .reduce<Zone>((worst, zone) => (RANK[zone] < RANK[worst] ? zone : worst), 'outside')
}

/** How near the edge of the nearest zone 1 a point stands, m; undefined where there is none. */
export function fromNearestZone1(plan: Plan, spot: Spot): number | undefined {
  const scale = scaleOf(plan)
  const makers = plan.fixtures.filter(makesZones)
  if (scale === undefined || makers.length === 0) return undefined
  return Math.min(...makers.map((fixture) => fromZone1(fixture, spot, scale)))
}

/**
 * A cable in a wall is where people expect it within 150 mm of the ceiling or a corner; BS 7671 522.6.202, from
 * memory.
 */
export const CABLE_ZONE_M = 0.15

/**
 * Whether a spot of a hidden way at this height lies where a cable is expected: beside the ceiling or a corner, or
 * level with or straight above or below a point on the wall. Undefined without a scale.
 */
export function isWhereExpected(plan: Plan, spot: Spot, heightM: number): boolean | undefined {
  const scale = scaleOf(plan)
  if (scale === undefined) return undefined
  const room = plan.rooms.find(({ corners }) => distanceToArea(corners, spot) * scale < CABLE_ZONE_M)
  if (room && room.heightM - heightM <= CABLE_ZONE_M) return true
  const corners = plan.walls.flatMap(({ line }) => line)
  if (corners.some((corner) => distance(corner, spot) * scale <= CABLE_ZONE_M)) return true
  return plan.points.some((point) => isOfPoint(plan, point, spot, heightM, scale))
}

function isOfPoint(plan: Plan, point: PlanPoint, spot: Spot, heightM: number, scale: number): boolean {
  if (distance(point, spot) * scale <= CABLE_ZONE_M) return true
  if (Math.abs(point.heightM - heightM) > CABLE_ZONE_M) return false
  // Level with it on the same wall.
  return levelZones({ ...plan, points: [point] }).some(
    ({ leg }) => distanceTo(leg, spot) * scale <= CABLE_ZONE_M,
  )
}

/** A wall along which hidden cables may run level with what stands on it. */
export interface LevelZone {
  readonly leg: Leg
  readonly points: readonly PlanPoint[]
}
/** Every length of wall with the points that stand on it; none without a scale. */
export function levelZones(plan: Plan): LevelZone[] {
  const scale = scaleOf(plan)
  if (scale === undefined) return []
  return plan.walls
    .flatMap(({ line }) => legsOf(line))
    .map((leg) => ({
      leg,
      points: plan.points.filter((point) => distanceTo(leg, point) * scale <= CABLE_ZONE_M),
    }))
    .filter(({ points }) => points.length > 0)
}

/** Outlines of the zones round a fixture for a drawing, in plan units: how far beyond what is drawn. */
export function zoneReach(fixture: Fixture, scale: number): { readonly zone: 1 | 2; readonly by: number }[] {
  if (!makesZones(fixture)) return []
  if (fixture.kind === 'shower-floor') return [{ zone: 1, by: OPEN_SHOWER_M / scale }]
  return [
    { zone: 1, by: 0 },
    { zone: 2, by: ZONE_2_M / scale },
  ]
}
