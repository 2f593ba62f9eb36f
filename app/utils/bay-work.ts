import type { Action } from '#core/bay/behaviour/happenings'
import { flowNow } from '#core/bay/behaviour/film'
import { isBattery, liveTerminals } from '#core/bay/behaviour/live'
import { networkOf } from '#core/bay/behaviour/network-of'
import { simulate, type Simulated } from '#core/bay/behaviour/simulate'
import type { BayState } from '#core/bay/behaviour/state'
import { prepare, type Setup } from '#core/bay/instruments/setup'
import { takeReading, type ReadingRequest, type Taken } from '#core/bay/instruments/take'
import { spiceListing } from '#core/bay/network/spice'
import type { Rig } from '#core/bay/model/rig'

/** Work of a bay that may take longer than a frame. */
export type BayJob =
  | {
      readonly kind: 'simulate'
      readonly rig: Rig
      readonly state: BayState
      readonly actions: readonly Action[]
      readonly untilS: number
    }
  | {
      readonly kind: 'read'
      readonly rig: Rig
      readonly state: BayState
      readonly setup: Setup
      readonly request: ReadingRequest
    }
  | { readonly kind: 'live'; readonly rig: Rig; readonly state: BayState }
  | { readonly kind: 'flow'; readonly rig: Rig; readonly state: BayState }
  | { readonly kind: 'listing'; readonly rig: Rig; readonly state: BayState }

export interface BayResults {
  readonly simulate: Simulated
  readonly read: Taken
  /** Terminals that stand at a voltage. */
  readonly live: readonly string[]
  /** What each conductor carries, A. */
  readonly flow: Readonly<Record<string, number>>
  /** Null for a bay that cannot be computed. */
  readonly listing: string | null
}

export function workAtBay(job: BayJob): BayResults[BayJob['kind']] {
  switch (job.kind) {
    case 'simulate':
      return simulate(job.rig, job.state, job.actions, { untilS: job.untilS })
    case 'read':
      return takeReading(prepare(job.rig, job.state, job.setup), job.request)
    case 'live':
      return liveTerminals(job.rig, job.state)
    case 'flow':
      return flowNow(job.rig, job.state)
    case 'listing':
      return (
        spiceListing(
          networkOf(job.rig, job.state, { hertz: isBattery(job.rig) ? 0 : 50, conductorC: 20, add: [] }),
          job.rig.name,
        )?.text ?? null
      )
  }
}
