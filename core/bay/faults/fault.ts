import type { Part, Rig, TerminalRef, Wire } from '../model/rig'
import { indexParts, partIdOf } from '../model/terminals'

export const FAULT_GROUPS = ['open', 'resistance', 'leak', 'swapped', 'place', 'thing', 'board'] as const
export type FaultGroup = (typeof FAULT_GROUPS)[number]

/** Where a fault may be: what it is about, told by wires, parts or terminals of the rig. */
export interface Place {
  /** Unique among the places of its fault in this rig. */
  readonly key: string
  /** For the words: wires, parts and terminals, the first one first. */
  readonly at: readonly string[]
}

/** A fault of the catalogue: where a sound rig could have it, and the rig that has it. */
export interface FaultKind {
  readonly code: string
  readonly group: FaultGroup
  /** How common it is beside the others of the catalogue, above 0; common practice, no source. */
  readonly prior: number
  readonly places: (rig: Rig) => Place[]
  /** It has no size of its own: a resistance at a screw, a damp path, a longer run. */
  readonly isAnySize?: true
  /** `size` multiplies what has no fixed size, a resistance or the conductance of a path; left out: 1. */
  readonly apply: (rig: Rig, place: Place, size?: number) => Rig
}

/** A fault as it is planted: its code and the key of its place. */
export interface Fault {
  readonly code: string
  readonly place: string
  /** Beside the catalogue's own, where it has no fixed size; left out: 1. */
  readonly size?: number
}

export type Conductor = 'line' | 'neutral' | 'earth'

/** What a conductor of a sound rig serves as, by its colour. */
export function conductorOf({ colour }: Pick<Wire, 'colour'>): Conductor {
  if (colour === 'green-and-yellow') return 'earth'
  return colour === 'blue' ? 'neutral' : 'line'
}

/** Conductors of final circuits and feeds, which lie in a run. */
export const circuitWires = (rig: Rig, conductor?: Conductor): Wire[] =>
  rig.wires.filter(
    (wire) => wire.run !== null && (conductor === undefined || conductorOf(wire) === conductor),
  )

export type PointPart = Extract<Part, { kind: 'socket' | 'lampholder' | 'appliance' }>
export const pointsOf = (rig: Rig): PointPart[] =>
  rig.parts.filter(
    (part): part is PointPart =>
      part.kind === 'socket' || part.kind === 'lampholder' || part.kind === 'appliance',
  )

/** The first line terminal of a point. */
export const lineOf = (part: PointPart): TerminalRef =>
  `${part.id}.${part.kind === 'appliance' ? part.poles[0]! : 'L'}`
export const hasNeutral = (part: PointPart): boolean => part.kind !== 'appliance' || part.poles.includes('N')

/** The end of a wire that lies in a board, and the other one. */
export function boardEnd(
  rig: Rig,
  wire: Wire,
): { readonly atBoard: TerminalRef; readonly away: TerminalRef } | undefined {
  const parts = indexParts(rig)
  const isBoard = (ref: TerminalRef) => (parts.get(partIdOf(ref))?.board ?? null) !== null
  if (isBoard(wire.from) && !isBoard(wire.to)) return { atBoard: wire.from, away: wire.to }
  if (isBoard(wire.to) && !isBoard(wire.from)) return { atBoard: wire.to, away: wire.from }
  return undefined
}

/** The circuit that a conductor of a run belongs to. */
export function circuitOf(rig: Rig, wire: Wire): string | null {
  const parts = indexParts(rig)
  return parts.get(partIdOf(wire.from))?.circuit ?? parts.get(partIdOf(wire.to))?.circuit ?? null
}

/** The conductors of a circuit that start at its board. */
export const startsOf = (rig: Rig, circuit: string) =>
  circuitWires(rig).filter((wire) => circuitOf(rig, wire) === circuit && boardEnd(rig, wire))
