import { USES } from '../../regulations/supply'
import type { Spot } from './geometry'
import {
  EMPTY_PLAN,
  FIXTURE_KINDS,
  ROOM_KINDS,
  WAYS,
  type Door,
  type Fixture,
  type Known,
  type Plan,
  type PlanPoint,
  type Room,
  type Route,
  type Wall,
} from './plan'

/** Every thing on a plan is a box of its own, so that two people's changes can be merged thing by thing. */
export const PLAN_PARTS = ['wall', 'room', 'door', 'fixture', 'point', 'route'] as const
export type PlanPart = (typeof PLAN_PARTS)[number]

const FARTHEST = 100_000
const MOST_CORNERS = 200

const number = (value: unknown, min: number, max: number): number | undefined =>
  typeof value === 'number' && Number.isFinite(value) && value >= min && value <= max ? value : undefined
const words = (value: unknown): string => (typeof value === 'string' ? value.slice(0, 80) : '')
const oneOf = <T extends string>(values: readonly T[], value: unknown): T | undefined =>
  values.find((one) => one === value)

function spot(value: unknown): Spot | undefined {
  const { x, y } = (value ?? {}) as Record<string, unknown>
  const [left, top] = [number(x, -FARTHEST, FARTHEST), number(y, -FARTHEST, FARTHEST)]
  return left === undefined || top === undefined ? undefined : { x: left, y: top }
}
function spots(value: unknown, least: number): Spot[] | undefined {
  if (!Array.isArray(value) || value.length < least || value.length > MOST_CORNERS) return undefined
  const read = value.map(spot)
  return read.every((one) => one !== undefined) ? (read as Spot[]) : undefined
}

type Raw = Readonly<Record<string, unknown>>
const READERS = {
  wall: (id, { line }): Wall | undefined => {
    const read = spots(line, 2)
    return read && { id, line: read }
  },
  room: (id, raw): Room | undefined => {
    const corners = spots(raw.corners, 3)
    const kind = oneOf(ROOM_KINDS, raw.kind)
    if (!corners || !kind) return undefined
    return {
      id,
      kind,
      corners,
      name: words(raw.name),
      heightM: number(raw.heightM, 0.5, 30) ?? 2.4,
      ambientC: number(raw.ambientC, -10, 80) ?? 30,
      isInsulated: raw.isInsulated === true,
    }
  },
  door: (id, raw): Door | undefined => {
    const at = spot(raw)
    const widthM = number(raw.widthM, 0.3, 12)
    return at && widthM !== undefined ? { id, ...at, widthM } : undefined
  },
  fixture: (id, raw): Fixture | undefined => {
    const kind = oneOf(FIXTURE_KINDS, raw.kind)
    const corners = spots(raw.corners, kind === 'shower-floor' ? 1 : 3)
    return kind && corners && { id, kind, corners }
  },
  point: (id, raw): PlanPoint | undefined => {
    const at = spot(raw)
    const use = oneOf(USES, raw.use)
    const heightM = number(raw.heightM, -3, 30)
    return at && use && heightM !== undefined ? { id, ...at, use, heightM, name: words(raw.name) } : undefined
  },
  route: (id, raw): Route | undefined => {
    const via = spots(raw.via, 0)
    const [use, way] = [oneOf(USES, raw.use), oneOf(WAYS, raw.way)]
    const pathHeightM = number(raw.pathHeightM, -3, 30)
    if (!via || !use || !way || pathHeightM === undefined) return undefined
    const points = Array.isArray(raw.points) ? raw.points.filter((one) => typeof one === 'string') : []
    const loadW = number(raw.loadW, 1, 200_000) ?? 1000
    return { id, name: words(raw.name), use, way, pathHeightM, via, points, loadW }
  },
} satisfies Record<PlanPart, (id: string, raw: Raw) => { readonly id: string } | undefined>

const COLLECTIONS = {
  wall: 'walls',
  room: 'rooms',
  door: 'doors',
  fixture: 'fixtures',
  point: 'points',
  route: 'routes',
} as const satisfies Record<PlanPart, keyof Plan>

function parse(text: string): Raw {
  try {
    const value: unknown = JSON.parse(text)
    return value !== null && typeof value === 'object' ? (value as Raw) : {}
  } catch {
    return {}
  }
}

export interface ReadPlan {
  readonly plan: Plan
  /** Boxes whose text is no such thing; they are kept as they are and count for nothing. */
  readonly unread: readonly string[]
}

/** The plan in the boxes of a survey: `plan.known`, `plan.board`, `wall.a1`, `room.b2` and so on. */
export function readPlan(fields: Readonly<Record<string, string>>): ReadPlan {
  const unread: string[] = []
  const plan: Record<string, unknown> = { ...EMPTY_PLAN }
  for (const [name, text] of Object.entries(fields)) {
    const [part, id] = name.split('.') as [string, string | undefined]
    if (text === '' || !id) continue
    if (part === 'plan') {
      const reader = { known: readKnown, board: readBoard }[id]
      const read = reader?.(parse(text))
      if (read) plan[id] = read
      else if (reader) unread.push(name)
      continue
    }
    const known = oneOf(PLAN_PARTS, part)
    if (!known) continue
    const read = READERS[known](id, parse(text))
    const list = COLLECTIONS[known]
    if (read) plan[list] = [...(plan[list] as unknown[]), read]
    else unread.push(name)
  }
  return { plan: plan as unknown as Plan, unread }
}

function readKnown(raw: Raw): Known | undefined {
  const [from, to] = [spot(raw.from), spot(raw.to)]
  const metres = number(raw.metres, 0, 1000)
  return from && to && metres !== undefined ? { from, to, metres } : undefined
}

function readBoard(raw: Raw): Plan['board'] | undefined {
  const at = spot(raw)
  const heightM = number(raw.heightM, 0, 10)
  return at && heightM !== undefined ? { ...at, heightM } : undefined
}

/** A thing on the plan as the text of its box. */
export function partText(thing: { readonly id?: string }): string {
  const { id: _, ...rest } = thing
  return JSON.stringify(rest)
}
