import type { Circuit } from '../../installation/installation'
import type { TerminalRef } from '../model/rig'
import type { Draft } from './draft'
import type { Origin } from './worked'

export type LaidEnds = readonly [
  conductor: 'line' | 'neutral' | 'earth',
  from: TerminalRef,
  to: TerminalRef,
  share?: number,
]

/**
 * Lays one leg: the circuit's conductors from terminal to terminal, over so many metres; `lineIndex` says
 * which line.
 */
export type Lay = (ends: readonly LaidEnds[], lengthM: number, lineIndex?: number) => void

/** A circuit while its points are being put in. */
export interface CircuitDraft {
  readonly draft: Draft
  readonly circuit: Circuit
  readonly origin: Origin
  readonly lay: Lay
}

/** The points of a circuit are numbered from 1; 0 is its switch or isolator. */
export const pointId = (circuit: string, i: number): string => `${circuit}p${i}`

/** What every point has: its id, its name, and the circuit that it is on. */
export const pointOf = (circuit: Circuit, i: number, name: string) => ({
  id: pointId(circuit.id, i),
  name,
  board: null,
  circuit: circuit.id,
})
