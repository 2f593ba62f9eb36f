import { magnitude, subtract } from '../network/complex'
import type { Element } from '../network/network'
import type { Answers } from '../network/answers'
import { solveBay } from '../behaviour/network-of'
import type { TerminalRef } from '../model/rig'
import { indexParts, nodeOf } from '../model/terminals'
import type { Hazard } from './reading'
import type { Bench } from './setup'

/** Where an instrument touches the bay. */
export interface Probes {
  readonly at: TerminalRef
  readonly to: TerminalRef
}

/**
 * The bay with the instrument in it, at mains frequency or for direct current; undefined if it cannot be
 * solved.
 */
export function solveWith(
  { rig, state, conductorC, links, solve }: Bench,
  hertz: number,
  add: readonly Element[] = [],
): Answers | undefined {
  if (solve) return solve(hertz, add)
  const solved = solveBay(rig, state, { hertz, conductorC, add: [...links, ...add] })
  return solved.ok ? solved : undefined
}

/** Why a test that needs a supply shows nothing: none at all, or a conductor is missing on the way. */
export const withoutSupply = (volt: number): Hazard =>
  volt < FELT_V ? { code: 'noSupply', params: {} } : { code: 'lowSupply', params: { volt: Math.round(volt) } }
/** Less than this is no trace of a supply, V. */
const FELT_V = 10

/** Voltage between the probes, V. */
export function voltBetween(bench: Bench, solved: Answers, { at, to }: Probes): number {
  const parts = indexParts(bench.rig)
  return magnitude(subtract(solved.volt(nodeOf(parts, at)), solved.volt(nodeOf(parts, to))))
}

/** Mains or battery voltage between the probes as things stand, V. */
export function standingVolt(bench: Bench, probes: Probes): number {
  const ac = solveWith(bench, 50)
  const dc = solveWith(bench, 0)
  return Math.max(ac ? voltBetween(bench, ac, probes) : 0, dc ? voltBetween(bench, dc, probes) : 0)
}
