import type { BayState } from '../../bay/behaviour/state'
import type { Rig } from '../../bay/model/rig'
import type { Level } from '../../policies/isolation'

export const TOPICS = ['what', 'where', 'else', 'permit'] as const
/** What the duty holder can be asked. */
export type Topic = (typeof TOPICS)[number]

/** Something that happens by itself in a scenario. */
export type Surprise =
  /** The indicator's battery dies before the dead test. */
  | { readonly kind: 'battery' }
  /** Somebody switches it on again as soon as the board is left unsecured. */
  | { readonly kind: 'reset' }
  /** Somebody turns a switch after the accessory has been opened. */
  | { readonly kind: 'switchedOn'; readonly part: string }
  /** Neutral and earth touch when they are parted and not taped. */
  | { readonly kind: 'neutralTouchesEarth' }
  /** Somebody else has a padlock on the same hasp. */
  | { readonly kind: 'secondLock'; readonly device: string }

/**
 * A place to rehearse an isolation: the bay, the point and what is written; words/scenarios.ts has what is
 * said.
 */
export interface World {
  readonly rig: Rig
  readonly state: BayState
  readonly level: Level
  readonly phases: 1 | 3
  readonly needsPermit: boolean
  /** People who put their hands to it, 1 or more; each hangs a padlock of their own. */
  readonly workers: number
  /** The accessory that is worked on. */
  readonly point: string
  /** Written at each device of the board, by part. */
  readonly chart: Readonly<Record<string, string>>
  readonly surprises: readonly Surprise[]
}
