import type { BayState } from '../../bay/behaviour/state'
import {
  freeEnd,
  NO_SETUP,
  prepare,
  type Bench,
  type Setup,
  type SolveBench,
} from '../../bay/instruments/setup'
import type { Rig } from '../../bay/model/rig'
import { homeEnds, type WireEnd } from './circuit-ends'
import { deadBench, type PrepareOptions } from './bench-state'

/** The bay made ready for a test: state, links, free ends, and where the probes go. */
export interface Prepared {
  readonly state: BayState
  readonly setup: Setup
  readonly at: string
  readonly to: string
  /** How its bench is solved; left out: from nothing. */
  readonly solve?: SolveBench
}

/** The bench of a test that has been made ready. */
export const benchOf = (rig: Rig, { state, setup, solve }: Prepared): Bench => ({
  ...prepare(rig, state, setup),
  solve,
})

/** Probes on a bay in this state, nothing linked and nothing taken out. */
export const plainly = (state: BayState, at: string, to: string): Prepared => ({
  state,
  setup: NO_SETUP,
  at,
  to,
})

/** Conductors' ends out of their terminals, and where each is probed then. */
export const free = (
  ends: readonly WireEnd[],
): { readonly freed: Setup['freed']; readonly at: readonly string[] } => ({
  freed: ends.map(({ wire, end }) => ({ wire: wire.id, end })),
  at: ends.map(({ wire, end }) => freeEnd(wire.id, end)),
})

/** Both ends of one conductor of a ring, out of the board. */
export function endToEnd(
  rig: Rig,
  circuit: string,
  conductor: 'line' | 'neutral' | 'earth',
  options: PrepareOptions,
): Prepared | undefined {
  const { freed, at } = free(homeEnds(rig, circuit)[conductor])
  return at.length < 2
    ? undefined
    : { state: deadBench(rig, options), setup: { freed, links: [] }, at: at[0]!, to: at[1]! }
}
