import { magnitude, subtract } from '../network/complex'
import type { Element } from '../network/network'
import type { Solved } from '../network/solve'
import { solveBay } from '../behaviour/network-of'
import type { TerminalRef } from '../model/rig'
import { indexParts, nodeOf } from '../model/terminals'
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
  { rig, state, conductorC, links }: Bench,
  hertz: number,
  add: readonly Element[] = [],
): Solved | undefined {
  const solved = solveBay(rig, state, { hertz, conductorC, add: [...links, ...add] })
  return solved.ok ? solved : undefined
}

/** Voltage between the probes, V. */
export function voltBetween(bench: Bench, solved: Solved, { at, to }: Probes): number {
  const parts = indexParts(bench.rig)
  return magnitude(subtract(solved.volt(nodeOf(parts, at)), solved.volt(nodeOf(parts, to))))
}

/** Mains or battery voltage between the probes as things stand, V. */
export function standingVolt(bench: Bench, probes: Probes): number {
  const ac = solveWith(bench, 50)
  const dc = solveWith(bench, 0)
  return Math.max(ac ? voltBetween(bench, ac, probes) : 0, dc ? voltBetween(bench, dc, probes) : 0)
}
