import type { Action, Happening } from '../behaviour/happenings'
import { solveBay } from '../behaviour/network-of'
import { simulate } from '../behaviour/simulate'
import { workingState, type BayState } from '../behaviour/state'
import { magnitude, subtract } from '../network/complex'
import type { Solved } from '../network/solve'
import { practiceBay } from './bays'
import { applyFaults } from '../faults/catalogue'
import type { Rig } from '../model/rig'
import { indexParts, nodeOf } from '../model/terminals'

export const bayOf = (code: string): Rig => practiceBay(code)!.rig()

/** A practice bay with faults of the catalogue; trials are written so that they fit. */
export function faulty(rig: Rig, ...faults: readonly (readonly [code: string, place: string])[]): Rig {
  const faulted = applyFaults(
    rig,
    faults.map(([code, place]) => ({ code, place })),
  )
  if (!faulted.ok) throw new Error(`no place for ${faulted.code}`)
  return faulted.rig
}

/** The conductor between two terminals or bars. */
export function wireAt(rig: Rig, a: string, b: string): string {
  const is = (ref: string, text: string) => ref === text || ref.startsWith(`${text}.`)
  return rig.wires.find(({ from, to }) => (is(from, a) && is(to, b)) || (is(from, b) && is(to, a)))!.id
}

/** Energised, lights off, nothing plugged in, lamps fitted. */
export const quiet = (rig: Rig): BayState => ({ ...workingState(rig), thrown: {} })

export type Act = Action extends infer A ? (A extends Action ? Omit<A, 'atS'> : never) : never

/** Acts a second apart. */
export const inTurn = (acts: readonly Act[]): Action[] =>
  acts.map((act, i) => ({ ...act, atS: i })) as Action[]

/** Runs actions a second apart; what happened, until everything has settled. */
export const tryOut = (
  rig: Rig,
  state: BayState,
  acts: readonly Act[],
  untilS = 60,
): { readonly happenings: readonly Happening[]; readonly state: BayState; readonly rig: Rig } =>
  simulate(rig, state, inTurn(acts), { untilS })

/** The bay solved as it stands. Throws where it cannot be. */
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
