/* A plan measured: against lengths worked by hand from the figures of the plan, geometry of the school book,
   and the limits of BS 7671 Section 701. */
import { describe, expect, it } from 'vitest'
import { alongWalls } from '#core/survey/plan/along-walls'
import { areaOf, isInside, lengthOf } from '#core/survey/plan/geometry'
import { EMPTY_PLAN, scaleOf, type Plan, type Route } from '#core/survey/plan/plan'
import { leastIp } from '#core/survey/plan/protection'
import { groupedAlong, measureRoute } from '#core/survey/plan/route'
import { fromNearestZone1, isWhereExpected, zoneAt } from '#core/survey/plan/zones'
import { at } from '../support/survey'

/** A room of 8 m by 6 m drawn at 1 m to 50 units, its door in the lower wall, a wall across at 5 m. */
const SCALE = { from: at(0, 0), to: at(400, 0), metres: 8 }
const ROOM: Plan = {
  ...EMPTY_PLAN,
  known: SCALE,
  board: { ...at(0, 150), heightM: 1.5 },
  walls: [
    { id: 'w1', line: [at(0, 0), at(400, 0), at(400, 300), at(0, 300), at(0, 0)] },
    { id: 'w2', line: [at(250, 0), at(250, 300)] },
  ],
  doors: [{ id: 'd1', ...at(250, 250), widthM: 1 }],
}
const route = (parts: Partial<Route>): Route => ({
  id: 'r1',
  name: 'Sockets',
  use: 'sockets',
  way: 'surface',
  pathHeightM: 2.5,
  via: [],
  points: ['p1'],
  loadW: 2000,
  ...parts,
})

describe('geometry (school book: the triangle of 3, 4 and 5, the surveyor’s area)', () => {
  it('measures a slanting line and an L of 8 m by 6 m less 3 m by 2 m', () => {
    expect(lengthOf([at(0, 0), at(3, 4)])).toBe(5)
    const ell = [at(0, 0), at(8, 0), at(8, 4), at(5, 4), at(5, 6), at(0, 6)]
    expect(areaOf(ell)).toBe(8 * 6 - 3 * 2)
    expect([isInside(ell, at(4, 5)), isInside(ell, at(7, 5)), isInside(ell, at(8, 2))]).toEqual([
      true,
      false,
      true,
    ])
  })
  it('takes its scale from one known length, and has none from a line without length', () => {
    expect(scaleOf(ROOM)).toBeCloseTo(0.02, 12)
    expect(scaleOf({ known: { from: at(5, 5), to: at(5, 5), metres: 4 } })).toBeUndefined()
    expect(scaleOf({ known: { from: at(0, 0), to: at(5, 5), metres: 0 } })).toBeUndefined()
    expect(scaleOf({ known: null })).toBeUndefined()
  })
})

describe('routes (worked by hand: m on the plan, then every rise and fall)', () => {
  it('from a board at 1.5 m up to 2.5 m, 3 + 5 m along two walls, down to a socket at 0.45 m', () => {
    const plan: Plan = {
      ...ROOM,
      points: [{ id: 'p1', name: '', use: 'sockets', ...at(250, 0), heightM: 0.45 }],
    }
    const measure = measureRoute(plan, route({ via: [at(0, 0)] }))!
    expect(measure.levelM).toBeCloseTo(3 + 5, 9)
    expect(measure.riseM).toBeCloseTo(1 + 2.05, 9)
    expect(measure.lengthM).toBeCloseTo(11.05, 9)
  })
  it('a point passed on the way is reached and left again: twice its drop', () => {
    const point = (id: string, x: number) =>
      ({ id, name: id, use: 'sockets', ...at(x, 0), heightM: 0.5 }) as const
    const plan: Plan = { ...ROOM, points: [point('p1', 100), point('p2', 250)] }
    const measure = measureRoute(plan, route({ via: [at(0, 0)], points: ['p1', 'p2'] }))!
    expect(measure.riseM).toBeCloseTo(1 + 2 * 2 + 2, 9)
  })
  it('keeps to the walls by the shortest way, and goes round a door that it is too low to cross', () => {
    const [from, to] = [at(0, 300), at(250, 0)]
    const metres = (height: number) => lengthOf(alongWalls(ROOM, from, to, height)!) * 0.02
    // Either way 6 m + 5 m; over the top wall no door is in the way.
    expect(metres(2.5)).toBeCloseTo(11, 9)
    // From foot to head of the wall across: straight 6 m over the door; below it round by the side wall: 5 + 6 + 5
    // m or 3 + 6 + 3 m.
    const across = (height: number) => lengthOf(alongWalls(ROOM, at(250, 300), at(250, 0), height)!) * 0.02
    expect(across(2.5)).toBeCloseTo(6, 9)
    expect(across(0.3)).toBeCloseTo(3 + 6 + 3, 9)
  })
  it('finds no way where no wall is drawn or leads there', () => {
    expect(alongWalls(EMPTY_PLAN, at(0, 0), at(1, 1), 2)).toBeNull()
    const island = { ...ROOM, walls: [...ROOM.walls, { id: 'w3', line: [at(900, 0), at(950, 0)] }] }
    expect(alongWalls(island, at(0, 0), at(940, 0), 2.5)).toBeNull()
  })
  it('counts circuits that share a way for more than a metre, not those that meet at the board', () => {
    const point = (id: string, x: number, y: number) =>
      ({ id, name: id, use: 'sockets', ...at(x, y), heightM: 1 }) as const
    const routes = [
      route({ id: 'a', name: 'A', via: [at(0, 0)], points: ['pa'] }),
      route({ id: 'b', name: 'B', via: [at(0, 0)], points: ['pb'] }),
      route({ id: 'c', name: 'C', via: [at(0, 300)], points: ['pc'] }),
    ]
    const plan: Plan = {
      ...ROOM,
      routes,
      points: [point('pa', 400, 0), point('pb', 200, 0), point('pc', 400, 300)],
    }
    expect(groupedAlong(plan, routes[0]!)).toEqual({ circuits: 2, with: ['B'] })
    expect(groupedAlong(plan, routes[2]!)).toEqual({ circuits: 1, with: [] })
    const other = { ...routes[1]!, way: 'chase' as const }
    expect(groupedAlong({ ...plan, routes: [routes[0]!, other] }, routes[0]!).circuits).toBe(1)
  })
})

describe('zones (BS 7671 701.32 and Figure 701.1, from memory of the regulation)', () => {
  const tray = [at(350, 0), at(400, 0), at(400, 50), at(350, 50)]
  const plan: Plan = { ...ROOM, fixtures: [{ id: 'f1', kind: 'shower-tray', corners: tray }] }
  it.each([
    ['in the tray', 375, 25, 0.1, 0],
    ['over the tray at 2.2 m', 375, 25, 2.2, 1],
    ['over the tray above 2.25 m', 375, 25, 2.3, 'outside'],
    ['0.5 m beside it', 325, 25, 1, 2],
    ['0.7 m beside it', 315, 25, 1, 'outside'],
  ] as const)('%s', (_, x, y, height, zone) => {
    expect(zoneAt(plan, at(x, y), height)).toBe(zone)
  })
  it('a shower without a tray has zone 1 to 1.2 m and no zone 2; a wash basin makes none', () => {
    const open: Plan = { ...ROOM, fixtures: [{ id: 'f1', kind: 'shower-floor', corners: [at(200, 150)] }] }
    expect([zoneAt(open, at(255, 150), 1), zoneAt(open, at(265, 150), 1)]).toEqual([1, 'outside'])
    const basin: Plan = { ...ROOM, fixtures: [{ id: 'f1', kind: 'basin', corners: tray }] }
    expect(zoneAt(basin, at(375, 25), 1)).toBe('outside')
    expect(fromNearestZone1(basin, at(0, 0))).toBeUndefined()
  })
  it('a socket is measured to the edge of zone 1: 3 m from a tray at 0.6 m less than half the room', () => {
    expect(fromNearestZone1(plan, at(200, 0))).toBeCloseTo(3, 9)
  })
})

describe('least IP (BS 7671 701.512.2 for zones, BS EN 60529 for the figures, from memory of both)', () => {
  const at12 = (x: number, y: number) =>
    ({ id: 'p', name: 'P', use: 'lighting', ...at(x, y), heightM: 1.2 }) as const
  const tray: Plan = {
    ...ROOM,
    fixtures: [
      { id: 'f1', kind: 'shower-tray', corners: [at(350, 0), at(400, 0), at(400, 50), at(350, 50)] },
    ],
  }
  it.each([
    ['dry and clean', 100, {}, 'IP2X'],
    ['in zone 1', 375, {}, 'IP24'],
    ['combustible dust', 100, { dust: 'combustible' }, 'IP6X'],
    ['heavy dust, hosed down', 100, { dust: 'heavy', moisture: 'jets' }, 'IP55'],
    ['damp', 100, { moisture: 'damp' }, 'IP21'],
  ] as const)('%s', (_, x, conditions, ip) => {
    expect(leastIp(tray, conditions, at12(x, 25)).ip).toBe(ip)
  })
})

describe('where a hidden cable is expected (BS 7671 522.6.202, from memory)', () => {
  const plan: Plan = {
    ...ROOM,
    rooms: [
      {
        id: 'a',
        name: '',
        kind: 'general',
        corners: [at(0, 0), at(250, 0), at(250, 300), at(0, 300)],
        heightM: 2.4,
        ambientC: 30,
        isInsulated: false,
      },
    ],
    points: [{ id: 'p1', name: '', use: 'sockets', ...at(100, 0), heightM: 0.45 }],
  }
  it.each([
    ['beside the ceiling', 150, 2.3, true],
    ['at half height away from everything', 150, 1.2, false],
    ['level with the socket on its wall', 150, 0.45, true],
    ['straight above the socket', 100, 1.5, true],
    ['in the corner', 5, 1.2, true],
  ] as const)('%s', (_, x, height, isExpected) => {
    expect(isWhereExpected(plan, at(x, 0), height)).toBe(isExpected)
  })
})
