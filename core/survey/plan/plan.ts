import type { Use } from '../../regulations/supply'
import { distance, type Spot } from './geometry'

export const ROOM_KINDS = ['general', 'bath', 'damp', 'dusty', 'outdoors'] as const
/** What a room asks of what is put in it; `bath` has a bath or a shower in it. */
export type RoomKind = (typeof ROOM_KINDS)[number]

export interface Room {
  readonly id: string
  readonly name: string
  readonly kind: RoomKind
  readonly corners: readonly Spot[]
  readonly heightM: number
  /** Warmest that it gets in use, °C. */
  readonly ambientC: number
  /** Its ceiling void and its chases are filled with thermal insulation. */
  readonly isInsulated: boolean
}

export const FIXTURE_KINDS = ['bath', 'shower-tray', 'shower-floor', 'basin'] as const
/** `shower-floor`: a shower without a basin or tray; a wash basin makes no zones. */
export type FixtureKind = (typeof FIXTURE_KINDS)[number]
export interface Fixture {
  readonly id: string
  readonly kind: FixtureKind
  /** The outline of a bath or tray; for a shower without one, the outlet is its first corner. */
  readonly corners: readonly Spot[]
}

export interface Door extends Spot {
  readonly id: string
  readonly widthM: number
}

export interface Wall {
  readonly id: string
  readonly line: readonly Spot[]
}

/** A point of a circuit: a socket-outlet, a lamp, a machine. */
export interface PlanPoint extends Spot {
  readonly id: string
  readonly name: string
  readonly use: Use
  readonly heightM: number
}

export const WAYS = ['surface', 'trunking', 'ceiling-void', 'chase', 'buried'] as const
/** How a cable goes on its way. */
export type Way = (typeof WAYS)[number]

/** The cable of one circuit from the board along `via` to its points, in the order in which they are met. */
export interface Route {
  readonly id: string
  readonly name: string
  readonly use: Use
  readonly way: Way
  /** Height of the way above the floor, m; below it for a buried one. */
  readonly pathHeightM: number
  readonly via: readonly Spot[]
  readonly points: readonly string[]
  /** What it feeds altogether, W. */
  readonly loadW: number
}

/** One length on the plan that is known on site. */
export interface Known {
  readonly from: Spot
  readonly to: Spot
  readonly metres: number
}

export interface Plan {
  readonly known: Known | null
  readonly board: (Spot & { readonly heightM: number }) | null
  readonly walls: readonly Wall[]
  readonly rooms: readonly Room[]
  readonly doors: readonly Door[]
  readonly fixtures: readonly Fixture[]
  readonly points: readonly PlanPoint[]
  readonly routes: readonly Route[]
}

export const EMPTY_PLAN: Plan = {
  known: null,
  board: null,
  walls: [],
  rooms: [],
  doors: [],
  fixtures: [],
  points: [],
  routes: [],
}

/** Metres of a plan unit; undefined where no length is known, or the known line has none. */
export function scaleOf({ known }: Pick<Plan, 'known'>): number | undefined {
  if (!known) return undefined
  const drawn = distance(known.from, known.to)
  return drawn > 0 && known.metres > 0 ? known.metres / drawn : undefined
}
