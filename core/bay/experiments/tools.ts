import type { Action, Happening } from '../behaviour/happenings'
import { solveBay } from '../behaviour/network-of'
import { simulate } from '../behaviour/simulate'
import { workingState, type BayState } from '../behaviour/state'
import { magnitude, subtract } from '../network/complex'
import type { Solved } from '../network/solve'
import { practiceBay } from '../practice/bays'
import { applyFaults } from '../faults/catalogue'
import type { Rig } from '../model/rig'
import { indexParts, nodeOf } from '../model/terminals'
import { happeningSentence, timeWords } from '../../texts/happenings'

export const bayOf = (code: string): Rig => practiceBay(code)!.rig()

/** A practice bay with faults of the catalogue; experiments are written so that they fit. */
export function faulty(rig: Rig, ...faults: readonly (readonly [code: string, place: string])[]): Rig {
  const made = applyFaults(
    rig,
    faults.map(([code, place]) => ({ code, place })),
  )
  if (!made.ok) throw new Error(`no place for ${made.code}`)
  return made.rig
}

/** The conductor between two terminals or bars. */
export function wireAt(rig: Rig, a: string, b: string): string {
  const is = (ref: string, text: string) => ref === text || ref.startsWith(`${text}.`)
  return rig.wires.find(({ from, to }) => (is(from, a) && is(to, b)) || (is(from, b) && is(to, a)))!.id
}

/** Energised, lights off, nothing plugged in, lamps fitted. */
export const quiet = (rig: Rig): BayState => ({ ...workingState(rig), thrown: {} })

type Act = Action extends infer A ? (A extends Action ? Omit<A, 'atS'> : never) : never

/** Runs actions a second apart and tells what happened. */
export function play(
  rig: Rig,
  state: BayState,
  acts: readonly Act[],
  untilS = 60,
): {
  readonly lines: string[]
  readonly happenings: readonly Happening[]
  readonly state: BayState
  readonly rig: Rig
} {
  const played = simulate(rig, state, acts.map((act, i) => ({ ...act, atS: i })) as Action[], { untilS })
  const parts = indexParts(rig)
  const lines = played.happenings
    .filter(({ kind }) => kind !== 'settled')
    .map((one) => `${timeWords(one.atS)}: ${happeningSentence(one, parts)}`)
  return { ...played, lines }
}

export function solved(rig: Rig, state: BayState): Solved {
  const result = solveBay(rig, state)
  if (!result.ok) throw new Error(`${result.reason} at ${result.name}`)
  return result
}

/** Voltage between two terminals, or against the mass of earth, V. */
export function voltAt(rig: Rig, state: BayState, at: string, to?: string): number {
  const result = solved(rig, state)
  const node = (ref: string) => nodeOf(indexParts(rig), ref)
  return magnitude(to ? subtract(result.volt(node(at)), result.volt(node(to))) : result.volt(node(at)))
}

export const volts = (v: number): string => `${v.toFixed(v < 10 ? 1 : 0)} V`
export const amps = (a: number): string =>
  a < 5e-5 ? '0 A' : a < 1 ? `${(a * 1e3).toFixed(a < 0.01 ? 1 : 0)} mA` : `${a.toFixed(1)} A`
