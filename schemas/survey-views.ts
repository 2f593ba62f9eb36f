/* Surveys, between server and screens. */
import type { Shapes } from '#core/drawing/shape'
import type { Contradiction } from '#core/survey/sheet/contradictions'
import type { Followed } from '#core/survey/sheet/follow'
import type { FedBox, Origin } from '#core/survey/sheet/feed'
import type { SurveyFields } from '#core/survey/sheet/sheet'
import type { SurveyMarks } from '#core/survey/site/mark'
import type { SiteShown } from '#core/survey/site/site'
import type { Criterion } from '#core/assessment/outcomes/framework'

export interface SiteItem {
  readonly code: string
  readonly title: string
  readonly story: string
  readonly isOwn: boolean
}

export interface SurveyItem {
  readonly id: number
  readonly title: string
  readonly site: string | null
  readonly person: string
  readonly cohort: string
  readonly isOwn: boolean
  readonly handedInAt: string | null
  /** The latest decision on the latest hand-in; null where it waits. */
  readonly met: boolean | null
}

export interface SurveyDecisionView {
  readonly handInId: number
  readonly met: boolean
  readonly feedback: string
  readonly marks: SurveyMarks
  readonly by: string
  readonly at: string
}

export interface SurveyView {
  readonly id: number
  readonly person: string
  readonly isOwn: boolean
  readonly site: SiteShown | null
  /** Of its writer as it is written; of others as it was handed in last. */
  readonly fields: SurveyFields
  readonly version: number
  readonly savedAt: string | null
  /** What was done at the site, in order, and what it showed. */
  readonly seen: readonly {
    readonly act: string
    readonly shows: string
    readonly at: string
    /** What was looked at, drawn; null where words are enough. */
    readonly picture: Shapes | null
  }[]
  readonly handIns: readonly { readonly id: number; readonly at: string }[]
  readonly decisions: readonly SurveyDecisionView[]
  /** What the marks would be now; to assessors alone. */
  readonly marks: SurveyMarks | null
  readonly criteria: readonly Pick<Criterion, 'code' | 'text'>[]
  /** Exercises made from it. */
  readonly exercises: readonly { readonly id: number; readonly code: string; readonly isSet: boolean }[]
}

/** One box of an exercise that its survey fills, and what the survey says of it now. */
export interface SurveyedBox {
  readonly box: string
  /** As it stands in the exercise; null where it has gone. */
  readonly now: string | null
  /** As the survey had it when it was taken. */
  readonly taken: string | null
  /** As the survey has it today; null where it says nothing any more. */
  readonly surveyed: string | null
  readonly from: Origin | null
}
export interface ExerciseSurvey {
  readonly survey: { readonly id: number; readonly title: string }
  readonly version: number
  readonly isSet: boolean
  readonly boxes: readonly SurveyedBox[]
  /** Routes that have no circuit in the exercise, and circuits whose route has gone, by name. */
  readonly added: readonly string[]
  readonly gone: readonly string[]
}

/**
 * What follows from a survey as it is saved. Designs are for those who set exercises: for others they are the
 * answer.
 */
export interface SurveyFollows {
  readonly version: number
  readonly tooLong: readonly Contradiction[]
  readonly designs: readonly Followed[]
  readonly boxes: readonly FedBox[]
}
