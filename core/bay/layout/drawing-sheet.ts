import type { Part, TerminalRef } from '../model/rig'
import { LANE, PITCH, type BayLayout, type Channel, type PlacedTerminal } from './placed'

type Growing<K extends 'frames' | 'boxes' | 'slots' | 'groups' | 'busbars' | 'rails'> = BayLayout[K][number][]

const labelOf = (terminal: string): string => terminal.replace(/ (in|out|grid|standby)$/, '')

/** A drawing while it grows: what has been placed so far. */
export class DrawingSheet {
  readonly frames: Growing<'frames'> = []
  readonly boxes: Growing<'boxes'> = []
  readonly slots: Growing<'slots'> = []
  readonly rails: Growing<'rails'> = []
  readonly groups: Growing<'groups'> = []
  readonly busbars: Growing<'busbars'> = []
  readonly terminals = new Map<TerminalRef, PlacedTerminal>()
  readonly channels = new Map<string, Channel>()

  /** A row of terminals from (x, y) to the right, their conductors leaving into this channel. */
  row(
    part: Part,
    names: readonly string[],
    { x, y, channel }: { x: number; y: number; channel: string },
  ): void {
    names.forEach((name, i) => {
      const ref = `${part.id}.${name}`
      this.terminals.set(ref, { ref, x: x + i * PITCH, y, label: labelOf(name), channel })
    })
  }

  /** A strip of so many lanes under `from`; returns where it ends. */
  channel(id: string, from: number, lanes: number, trunks: readonly string[]): number {
    const to = from + (lanes + 1) * LANE
    this.channels.set(id, { id, from, to, trunks })
    return to
  }
}

/** Where a row of so many terminals starts in a box of this width, so that it stands in its middle. */
export const centred = (x: number, width: number, count: number): number =>
  x + (width - (count - 1) * PITCH) / 2
