/* Bays on the screen, between server and screens. */
import type { Rig } from '#core/bay/model/rig'
import type { Route, WiringFields } from '#core/bay/model/wiring'
import type { Frame } from '#core/bay/behaviour/film'
import type { Experiment, Outcome, Settings } from '#words/experiments/experiment'

/** A bay that can be wired on the screen: `task-7` or `practice-split`. */
export interface BayListItem {
  readonly key: string
  readonly title: string
  readonly about: string
  /** Conductors made so far; null where nobody has begun. */
  readonly made: number | null
  readonly savedAt: string | null
}

export interface BayView {
  readonly key: string
  readonly title: string
  readonly about: string
  /** Mounted, with the intake connected, and nothing else. */
  readonly bare: Rig
  readonly routes: readonly Route[]
  readonly fields: WiringFields
  readonly version: number
  readonly savedAt: string | null
  /** A bay to practise on may be taken ready wired. */
  readonly canBeWired: boolean
  /** It always begins with an empty enclosure and a box of parts; any other with one line may. */
  readonly isBare: boolean
  readonly canBeBare: boolean
}

/** One way in which a bay differs from what was asked for, in words. */
export interface BayDifference {
  readonly seriousness: 'critical' | 'fault' | 'note'
  readonly says: string
  readonly means: string
  /** Conductor and terminals to show. */
  readonly wire: string | null
  readonly at: readonly string[]
}

export interface BayCheck {
  /** What makes the wiring no bay at all, such as two conductors in a terminal for one. */
  readonly problems: readonly string[]
  readonly differences: readonly BayDifference[]
  /** Connections of the wiring schedule that are made, of how many. */
  readonly made: number
  readonly asked: number
}

/** An experiment as it is offered; what comes of it is computed at the server alone. */
export type ExperimentHead = Omit<Experiment, 'run'>

export interface PredictionView {
  readonly id: number
  readonly experiment: string
  readonly settings: Settings
  readonly predicted: string
  readonly computed: Omit<Outcome, 'scenes'>
  readonly measured: string
  readonly at: string
}

/** What happened in an experiment, picture by picture, on the bay that it happened at. */
export interface FilmView {
  readonly name: string
  readonly rig: Rig
  readonly frames: readonly Frame[]
}

/** Films of one prediction, which they name: an answer that comes late never stands beside another. */
export interface FilmsView {
  readonly prediction: number
  readonly films: readonly FilmView[]
}
