import type { BoardFrame, DevicePart, Part, TerminalRef } from '../model/rig'

export interface Rect {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

export interface PlacedTerminal {
  readonly ref: TerminalRef
  readonly x: number
  readonly y: number
  /** What stands in its circle. */
  readonly label: string
  /** The channel that its conductors leave into. */
  readonly channel: string
}

/** A strip in which conductors run side by side: along x between two y, or the other way round. */
export interface Channel {
  readonly id: string
  readonly from: number
  readonly to: number
  /** The upright strips that it opens into. */
  readonly trunks: readonly string[]
}

export interface PlacedBusbar {
  readonly id: string
  readonly y: number
  /** Where it ends, beyond its last tooth where it was cut longer; capped there or bare. */
  readonly right: number
  readonly end: 'tooth' | 'bare' | 'capped'
  readonly teeth: readonly { readonly x: number; readonly top: number; readonly place: number }[]
}

/** Where everything of a bay is drawn. Depends on its parts alone, so nothing moves while somebody wires. */
export interface BayLayout {
  readonly width: number
  readonly height: number
  readonly frames: readonly (Rect & { readonly board: BoardFrame })[]
  readonly boxes: readonly (Rect & { readonly part: Part })[]
  /** Spare ways; of a bare enclosure every place of the rail where nothing stands. */
  readonly slots: readonly (Rect & {
    readonly board: string
    readonly way: number
    /** Null where the board's own blanks say so, by way. */
    readonly isBlanked: boolean | null
  })[]
  /** Rails of bare enclosures that have been fitted. */
  readonly rails: readonly Rect[]
  readonly groups: readonly (Rect & { readonly name: string })[]
  readonly terminals: ReadonlyMap<TerminalRef, PlacedTerminal>
  readonly busbars: readonly PlacedBusbar[]
  readonly channels: ReadonlyMap<string, Channel>
  readonly trunks: ReadonlyMap<string, Channel>
}

export const TERMINAL_R = 13
/** From terminal to terminal, and from conductor to conductor in a strip. */
export const PITCH = 38
export const LANE = 7
export const PAD = 12
export const GAP = 18
export const HEAD = 30
/** A letter of a name. */
export const LETTER_W = 8.3

/** The picture of a part beside its name. */
const PICTURE_W = 54
/** What a part is, under its name, takes so much at least. */
const NOTE_W = 92
/** As wide as a part needs for its name, what it is, and its picture. */
export const namedWidth = (name: string): number => Math.max(name.length * LETTER_W, NOTE_W) + PICTURE_W

export const isWay = (part: Part): part is DevicePart => part.kind === 'device' && part.role === 'way'
