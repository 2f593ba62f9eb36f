/* The picture of a group, between server and screen. */
import type { Drift } from '#core/statistics/drift'
import type { DatedSheet } from '#core/statistics/weeks'
import type { LearntStages } from '#core/planning/learn'
import type { Topic } from '#core/questions/topics'

export interface LessonView {
  readonly id: number
  readonly day: string
  readonly about: string
  readonly title: string
  readonly by: string
  /** The starter that was set with it, and how many of its sheets show the slip. */
  readonly starter: {
    readonly id: number
    readonly code: string
    readonly sheets: number
    readonly withSlip: number
  } | null
}

export interface PictureSheet extends DatedSheet {
  readonly exercise: number
  readonly bay: number
  readonly instrument: string
}

export interface GroupPicture {
  readonly cohort: string
  readonly since: string
  readonly people: readonly { readonly id: number; readonly name: string }[]
  readonly exercises: readonly { readonly id: number; readonly code: string; readonly title: string }[]
  readonly sheets: readonly PictureSheet[]
  readonly lessons: readonly LessonView[]
  /** Criteria that are complete, by unit and person. */
  readonly outcomes: readonly {
    readonly code: string
    readonly title: string
    readonly by: readonly { readonly person: number; readonly met: number; readonly of: number }[]
  }[]
  readonly bays: readonly Drift[]
  readonly instruments: readonly Drift[]
  readonly times: readonly { readonly exercise: number; readonly stages: LearntStages }[]
  /** Rules of isolation that were broken in observations, by rule. */
  readonly isolation: readonly { readonly rule: string; readonly broken: number; readonly of: number }[]
  readonly questions: readonly { readonly topic: Topic; readonly asked: number; readonly unaided: number }[]
  /** The observations behind the broken rules, and the questions that needed help; the newest of them. */
  readonly brokenIn: readonly {
    readonly rule: string
    readonly observation: number
    readonly person: number
    readonly day: string
  }[]
  readonly helpedWith: readonly {
    readonly topic: string
    readonly person: number
    readonly attempt: number | null
    readonly day: string
    readonly wording: string
  }[]
  readonly progress: readonly {
    readonly person: number
    readonly units: readonly {
      readonly code: string
      readonly steps: number
      readonly closesAt: string | null
    }[]
  }[]
  /** The end of the term that goes on; null where the calendar has none. */
  readonly termEnds: string | null
}

/** One apprentice, to talk over. */
export interface TalkView {
  readonly person: {
    readonly id: number
    readonly name: string
    readonly number: string
    readonly cohort: string
  }
  readonly since: string
  readonly strengths: readonly string[]
  readonly recurring: readonly {
    readonly kind: string
    readonly sheets: number
    readonly of: number
    readonly attempts: readonly number[]
  }[]
  readonly steps: readonly string[]
  readonly sheets: readonly {
    readonly attempt: number
    readonly code: string
    readonly title: string
    readonly day: string
    readonly met: boolean
    readonly mark: number
    readonly outOf: number
  }[]
}

/** Ten variants that provoke a slip, and questions that unpick it. */
export interface StarterView {
  readonly base: { readonly id: number; readonly code: string; readonly title: string }
  readonly step: string
  /** What is right and what the slip gives, SI. */
  readonly variants: readonly {
    readonly index: number
    readonly lengthM: number
    readonly right: number
    readonly slip: number
  }[]
  readonly questions: readonly { readonly code: string; readonly text: string }[]
}
