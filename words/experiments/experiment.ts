import type { Action } from '#core/bay/behaviour/happenings'
import type { BayState } from '#core/bay/behaviour/state'
import type { Rig } from '#core/bay/model/rig'
import type { Device } from '#core/regulations/devices'

export type Settings = Readonly<Record<string, number>>

/** Something that can be chosen before an experiment runs. */
export interface Setting {
  readonly key: string
  readonly name: string
  readonly unit: string
  readonly min: number
  readonly max: number
  readonly step: number
  readonly usual: number
  /** Where only these make sense, with their names. */
  readonly choices?: readonly { readonly value: number; readonly name: string }[]
}

/** A bay and what is done at it, to be watched. */
export interface Scene {
  /** Which of several it is, such as `sound` and `reversed`; empty where there is one. */
  readonly name: string
  readonly rig: Rig
  readonly state: BayState
  readonly actions: readonly Action[]
  readonly untilS: number
}

/** What was computed: what happened, in order, the figures to compare with, and why. */
export interface Outcome {
  readonly lines: readonly string[]
  readonly figures: readonly { readonly name: string; readonly value: string }[]
  readonly because: string
  /** A device's opening time is drawn, with this current in it. */
  /** What can be watched, in order. */
  readonly scenes: readonly Scene[]
  readonly curve?: { readonly device: Device; readonly ratingA: number; readonly currentA: number }
}

/** A short guided experiment: predicted first, then computed. */
export interface Experiment {
  readonly code: string
  readonly title: string
  /** The bay that it is made on, and can be tried on freely afterwards. */
  readonly bay: string
  readonly about: string
  /** What is to be predicted. */
  readonly question: string
  readonly settings: readonly Setting[]
  readonly run: (settings: Settings) => Outcome
}
