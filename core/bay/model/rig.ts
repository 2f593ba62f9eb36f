import type { Standby } from '../../installation/installation'
import type { Device } from '../../regulations/devices'
import type { RcdFunction } from '../protection/rcd'
import type { Arrangement, Phases } from '../../regulations/supply'
import type { LoadKind } from './loads'

/** A terminal: `part.terminal`, as in `w1.L out`, `rcdA.N in`, `nA.3`, `c1p2.E`. */
export type TerminalRef = string

export const POLES = ['L', 'L1', 'L2', 'L3', 'N', '+', '−'] as const
export type Pole = (typeof POLES)[number]

interface Common {
  /** Letters and figures, unique in the rig. */
  readonly id: string
  /** As people at the bay say it. */
  readonly name: string
  /** The board whose frame it stands in; null for what is fixed elsewhere in the bay. */
  readonly board: string | null
  /** The circuit that it serves; null for what serves several. */
  readonly circuit: string | null
}

/** What the bay is fed from. Terminals L or L1 L2 L3, N, and E except for TT; `+` and `−` of a battery. */
export interface Supply extends Common {
  readonly kind: 'supply'
  readonly arrangement: Arrangement | 'battery'
  readonly phases: Phases
  /** Line to neutral, or of the battery, V, > 0. */
  readonly volt: number
  /** Source and line, of each line, Ω, > 0. */
  readonly lineOhm: number
  /** Neutral of the supply; the combined conductor of TN-C-S, Ω, > 0. */
  readonly neutralOhm: number
  /** From the star point (of TN-C-S: from the combined conductor) to the earth terminal, Ω, > 0. */
  readonly earthOhm: number
}

/** Line in, neutral in, neutral out, line out. */
export interface Meter extends Common {
  readonly kind: 'meter'
  readonly phases: Phases
}

export const DEVICE_ROLES = ['main-switch', 'residual', 'way', 'isolator', 'connection-unit'] as const

/**
 * Anything with poles that opens: switch, RCD, breaker, fuse, isolator, connection unit. Terminals `<pole>
 * in`, `<pole> out`.
 */
export interface DevicePart extends Common {
  readonly kind: 'device'
  readonly role: (typeof DEVICE_ROLES)[number]
  readonly poles: readonly Pole[]
  /** Poles that stay closed: the neutral of a single-pole-and-neutral device. */
  readonly solid: readonly Pole[]
  readonly hasEarth: boolean
  /** A, > 0. */
  readonly ratingA: number
  readonly overcurrent: Device | null
  readonly residual: RcdFunction | null
  /** Ends series arcs too. */
  readonly detectsArcs: boolean
  /** BS 1362 fuse of a connection unit, A. */
  readonly plugFuseA: 3 | 13 | null
  /** Fed at either end; supply to the terminals marked line; current in at the + marks. */
  readonly marking: 'either' | 'line-load' | 'dc'
  /** First way that it stands on, from 1; null where it has no way. */
  readonly way: number | null
}

/** A neutral, earth or linking bar. Terminals `1` … `terminals`, one conductor each. */
export interface Bar extends Common {
  readonly kind: 'bar'
  readonly serves: 'N' | 'E'
  readonly terminals: number
}

/** Surge protection between the lines, neutral and earth. */
export interface Arrester extends Common {
  readonly kind: 'arrester'
  readonly poles: readonly Pole[]
  /** Conducts above this peak voltage, V. */
  readonly clampV: number
  /** Way that it stands on, from 1; left out where it has none. */
  readonly way?: number
}

/**
 * A source that takes over where the grid is gone, with its neutral joined to its own earth terminal. Terminals as a
 * supply's.
 */
export interface StandbySource extends Common {
  readonly kind: 'standby'
  readonly source: Standby['source']
  readonly phases: Phases
  /** Line to neutral, V, > 0. */
  readonly volt: number
  /** Of each line, Ω, > 0: small sources drive small fault currents. */
  readonly lineOhm: number
}

/**
 * Joins what is behind it to the grid or to the standby source, never to both. Terminals `<pole> grid`, `…
 * standby`, `… out`.
 */
export interface Changeover extends Common {
  readonly kind: 'changeover'
  readonly poles: readonly Pole[]
  /** Goes over by itself, so long after the grid is gone or back, s, ≥ 0; null where a hand does it. */
  readonly afterS: number | null
}

export interface Socket extends Common {
  readonly kind: 'socket'
  readonly gangs: 1 | 2
  /** What may be plugged in. */
  readonly load: LoadKind | null
}

/** `C`, `L1`; two-way also `L2`; intermediate `A1 A2 B1 B2`. All with `E`. */
export interface Switch extends Common {
  readonly kind: 'switch'
  readonly action: 'one-way' | 'two-way' | 'intermediate'
}

/** L (of an Edison-screw holder its centre), N, E. */
export interface Lampholder extends Common {
  readonly kind: 'lampholder'
  readonly holder: 'screw' | 'two-pin'
  readonly load: LoadKind
}

/** Anything fixed that takes power. */
export interface Appliance extends Common {
  readonly kind: 'appliance'
  readonly poles: readonly Pole[]
  readonly load: LoadKind
}

/** Connectors in a box: L, N, E and spare S. */
export interface Junction extends Common {
  readonly kind: 'junction'
}

/** A metal thing that touches the ground: pipe, structure. Terminal E. */
export interface Metalwork extends Common {
  readonly kind: 'metalwork'
  /** To the mass of earth, Ω, > 0. */
  readonly toEarthOhm: number
}

export type Part =
  | Supply
  | Meter
  | DevicePart
  | Bar
  | Arrester
  | StandbySource
  | Changeover
  | Socket
  | Switch
  | Lampholder
  | Appliance
  | Junction
  | Metalwork

/**
 * A comb that feeds the devices of a row. A tooth that is missing leaves its terminal out; a cut ends the bar
 * behind that tooth.
 */
export interface Busbar {
  readonly id: string
  readonly name: string
  readonly teeth: readonly TerminalRef[]
  /** Places in `teeth`, from 0. */
  readonly missing: readonly number[]
  readonly cutAfter: readonly number[]
}

/** What conductors share on their way: a cable, a conduit, trunking. */
export interface Run {
  readonly id: string
  readonly name: string
  readonly made: 'cable' | 'steel' | 'plastic' | 'loose'
  /** m, > 0. */
  readonly lengthM: number
  /** Earth terminals that metallic containment joins at its ends; null for the rest. */
  readonly metal: readonly [TerminalRef, TerminalRef] | null
}

export const COLOURS = ['brown', 'black', 'grey', 'blue', 'green-and-yellow', 'red'] as const
export type Colour = (typeof COLOURS)[number]

/** One conductor, terminal to terminal. */
export interface Wire {
  readonly id: string
  readonly from: TerminalRef
  readonly to: TerminalRef
  /** mm², a size that copper conductors are made in. */
  readonly areaMm2: number
  /** m, > 0. */
  readonly lengthM: number
  readonly colour: Colour
  readonly run: string | null
  /** Of armour or sheath, Ω/m at 20 °C; copper of this area where it is left out. */
  readonly ohmPerM?: number
  /** Extra resistance of the terminations at `from` and `to`, Ω, ≥ 0. */
  readonly looseOhm?: readonly [number, number]
  /** Breaks and remakes under load. */
  readonly isArcing?: boolean
}

/** An unwanted path between two terminals: damp, a nail, a trapped conductor. */
export interface Leak {
  readonly id: string
  readonly from: TerminalRef
  readonly to: TerminalRef
  /** Ω, > 0. */
  readonly ohm: number
}

/** The frame that devices, bars and busbars of a board stand in. */
export interface BoardFrame {
  readonly id: string
  readonly name: string
  readonly phases: Phases
  readonly ways: number
  /** Spare ways that are closed with a blank. */
  readonly blanks: readonly number[]
  /** What is written at a way. */
  readonly labels: Readonly<Record<string, string>>
}

/** A training bay as it is built: what is fixed there, and every conductor from terminal to terminal. */
export interface Rig {
  readonly format: 'nakshi.rig'
  readonly version: 1
  readonly name: string
  readonly boards: readonly BoardFrame[]
  readonly parts: readonly Part[]
  readonly busbars: readonly Busbar[]
  readonly runs: readonly Run[]
  readonly wires: readonly Wire[]
  readonly leaks: readonly Leak[]
}
