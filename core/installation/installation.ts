import type { CableKind, Method } from '../regulations/cables/cable'
import type { DrawnRun } from '../regulations/book/drawn-in'
import type { Device } from '../regulations/devices'
import type { Infeed, Marking } from '../regulations/infeed'
import type { IpDegree } from '../regulations/ip'
import type { MakerPoint } from '../regulations/maker-data'
import type { Premises } from '../regulations/diversity'
import type { GroupingArrangement } from '../regulations/factors'
import type { DcContent } from '../regulations/rcd'
import type { Arrangement, Phases, Use } from '../regulations/supply'

export const STANDBY_SOURCES = ['generator', 'battery', 'vehicle'] as const
/** What takes over where the grid is gone, behind a change-over at the origin that disconnects all live conductors. */
export interface Standby {
  readonly source: (typeof STANDBY_SOURCES)[number]
  /** Rated power, W, > 0. */
  readonly powerW: number
}

/** The intake: what the distributor brings and what follows from it. */
export interface Intake {
  readonly arrangement: Arrangement
  readonly phases: Phases
  /** External earth fault loop impedance, Ω, > 0. For TT this is the electrode's resistance. */
  readonly zeOhm: number
  /** Largest prospective fault current at the origin, A, > 0. */
  readonly ipfA: number
  /** Rating of the distributor's fuse (BS 88-3), A. */
  readonly mainFuseA: number
  /** Copper-equivalent area of the supply's neutral, mm²; decides the bonding with PME. */
  readonly neutralMm2: number
  /** The water service where it comes out of the ground; left out: the usual one of the arrangement. */
  readonly service?: WaterService
  /** Left out where nothing takes over. */
  readonly standby?: Standby
}

export const WATER_SERVICES = ['plastic', 'metal'] as const
export type WaterService = (typeof WATER_SERVICES)[number]

/**
 * A metal service is bonded and lies in the ground beside the means of earthing. Of TT it would hide the
 * electrode, and is there only where an exercise says so.
 */
export const serviceOf = ({ arrangement, service }: Pick<Intake, 'arrangement' | 'service'>): WaterService =>
  service ?? (arrangement === 'TT' ? 'plastic' : 'metal')

export const CONSEQUENCES = ['none', 'injury', 'public-service', 'business', 'many-people'] as const
/** What an overvoltage could lead to, as BS 7671 443.4 asks it. */
export type Consequence = (typeof CONSEQUENCES)[number]

/** Ways of the SPD and of the device that it stands behind; on a three-phase board a whole way each. */
export interface SurgeWays {
  readonly deviceWay: number
  readonly way: number
}

export interface Board {
  readonly id: string
  readonly name: string
  readonly phases: Phases
  /** Ways on each line, 1 to 24. */
  readonly ways: number
  /** The distribution circuit that feeds it; null for the board at the origin. */
  readonly fedBy: string | null
  /** A TT island behind a TN supply: its electrode's resistance, Ω; null where the supply's earth goes on. */
  readonly electrodeOhm: number | null
  /** Left out where the board has no SPD. */
  readonly surge?: SurgeWays
}

export type Load =
  /** Power taken, with its power factor. */
  | { readonly basis: 'power'; readonly powerW: number; readonly powerFactor: number }
  | { readonly basis: 'current'; readonly currentA: number; readonly powerFactor: number }
  /** Full power of a household cooker, and whether its control unit has a socket. */
  | { readonly basis: 'cooker'; readonly powerW: number; readonly hasSocket: boolean }
  | { readonly basis: 'lamps'; readonly count: number; readonly eachW: number; readonly isDischarge: boolean }
  /** Shaft power; the starting current is this many times the running one. */
  | {
      readonly basis: 'motor'
      readonly powerW: number
      readonly powerFactor: number
      readonly efficiency: number
      readonly startMultiple: number
    }
  /** The demand of the board that it feeds. */
  | { readonly basis: 'board' }

export const LINES = ['L1', 'L2', 'L3'] as const
export type Line = (typeof LINES)[number]

/** What is there already where a circuit is altered: neither device nor cable can be chosen. */
export interface Existing {
  readonly ratingA: number
  readonly lineMm2: number
}

/** What is known of a circuit before it is designed, apart from the board it stands on. */
export interface CircuitFacts {
  readonly use: Use
  readonly phases: Phases
  readonly topology: 'radial' | 'ring'
  readonly load: Load
  /** Points served, 1 or more. */
  readonly points: number
  /** Load shared evenly by points at equal distances, rather than all of it at the far end. */
  readonly isSpread: boolean
  /** Route length from board to furthest point, of a ring all the way round, m, > 0. */
  readonly lengthM: number
  /** Longest unfused spur off a ring, m; 0 for none. */
  readonly spurM: number
  /** Unfused spurs off a ring, each for one single or twin socket; no more than the points on the ring itself. */
  readonly spurs: number
  /** Fused spurs, behind 13 A each; any number. */
  readonly fusedSpurs: number
  readonly cable: { readonly kind: CableKind; readonly method: Method }
  /** Between draw points; only for singles. */
  readonly run: DrawnRun
  /** A row of Table 4B1, or of 4B2 for a buried cable, °C. */
  readonly ambientC: number
  /** Circuits grouped together, this one included. */
  readonly grouping: { readonly circuits: number; readonly arrangement: GroupingArrangement }
  /** Cable inside thermal insulation, mm, a row of Table 52.2; 500 for half a metre and more. */
  readonly insulationMm: number
  readonly location: 'general' | 'bathroom' | 'outdoors'
  /** In a wall or partition less than 50 mm deep without mechanical protection or an earthed covering. */
  readonly concealed: boolean
  /** The least degree of protection of its equipment; left out where nothing more than finger-proof is asked for. */
  readonly ip?: IpDegree
  /** Which part of the building it serves; left out where nobody has said. */
  readonly area?: string
  readonly dc: DcContent
  readonly device: Device
  /** How its terminals are marked; left out: it may be fed at either end. */
  readonly marking?: Marking
  /** The source that it brings in; left out where it takes power only. */
  readonly infeed?: Infeed
  /** Points of the device's own data sheet; left out: the standard's characteristic and class count. */
  readonly maker?: readonly MakerPoint[]
  /** RCD at the bay: rated residual current in A, or null for none. */
  readonly residualA: number | null
  readonly existing: Existing | null
}

export interface Circuit extends CircuitFacts {
  readonly id: string
  readonly name: string
  readonly board: string
  /** From 1 upward. */
  readonly way: number
  /** For a single-phase circuit on a three-phase board. */
  readonly line: Line
}

/**
 * One practical installation as data: supply, boards, circuits. Everything that is designed is a function of
 * it.
 */
export interface Installation {
  readonly premises: Premises
  readonly consequence: Consequence
  readonly intake: Intake
  readonly boards: readonly Board[]
  readonly circuits: readonly Circuit[]
}
