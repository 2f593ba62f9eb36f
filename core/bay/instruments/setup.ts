import { real } from '../network/complex'
import type { Answers } from '../network/answers'
import type { Element } from '../network/network'
import { moveEnd } from '../faults/edit'
import type { Rig, TerminalRef } from '../model/rig'
import type { BayState } from '../behaviour/state'

/** How a bay is made ready for a test: ends taken out of their terminals, links put in. */
export interface Setup {
  /** Conductors' ends that hang free: probe them at `freeEnd(wire, end)`. */
  readonly freed: readonly { readonly wire: string; readonly end: 'from' | 'to' }[]
  readonly links: readonly (readonly [TerminalRef, TerminalRef])[]
}

export const NO_SETUP: Setup = { freed: [], links: [] }

/** The bay that an instrument is put to. */
export interface Bench {
  readonly rig: Rig
  readonly state: BayState
  /** Conductor temperature, °C. */
  readonly conductorC: number
  readonly links: readonly Element[]
  /** How it is solved at a frequency, Hz, with an instrument in it; left out: from nothing. */
  readonly solve?: SolveBench
}

/** Undefined where it cannot be solved. */
export type SolveBench = (hertz: number, add: readonly Element[]) => Answers | undefined

/** A link lead is nulled with the others: what is left of it, Ω. */
const LINK_OHM = 1e-6

/** Where the free end of a conductor is probed. */
export const freeEnd = (wire: string, end: 'from' | 'to'): TerminalRef => `free-${wire}-${end}.S`

/** The bay with its set-up made. */
export function prepare(
  rig: Rig,
  state: BayState,
  { freed, links }: Setup = NO_SETUP,
  conductorC = 20,
): Bench {
  const open = freed.reduce((wired, { wire: id, end }): Rig => {
    const wire = wired.wires.find((candidate) => candidate.id === id)
    if (!wire) return wired
    const part = {
      id: `free-${id}-${end}`,
      name: `Free end of ${id}`,
      kind: 'junction',
      board: null,
      circuit: null,
    } as const
    return moveEnd({ ...wired, parts: [...wired.parts, part] }, id, wire[end], freeEnd(id, end))
  }, rig)
  return { rig: open, state, conductorC, links: linkElements(links) }
}

/** Links between terminals, as elements of the network. */
export const linkElements = (links: Setup['links']): Element[] =>
  links.map(([from, to], i) => ({ kind: 'impedance', name: `link ${i + 1}`, from, to, ohm: real(LINK_OHM) }))
