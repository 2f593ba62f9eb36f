import { Type, type Static } from '@sinclair/typebox'
import { CALL_KINDS, type CallKind, type DeskKind, type WalkNeed } from '#core/floor/needs'
import type { Behaviour } from '#core/assessment/outcomes/framework'
import { oneOf } from './one-of'

const strict = { additionalProperties: false }

/** An apprentice asks an assessor over. */
export const CallRequest = Type.Object({ kind: oneOf(CALL_KINDS) }, strict)
export const CallAnswerRequest = Type.Object(
  { answer: oneOf(['seen', 'notYet'] as const), note: Type.String({ maxLength: 300 }) },
  strict,
)
export type CallAnswerBody = Static<typeof CallAnswerRequest>

/** What was asked from a bay, and what came of it. */
export interface CallView {
  readonly id: number
  readonly kind: CallKind
  readonly at: string
  readonly answer: 'seen' | 'notYet' | 'withdrawn' | null
  readonly note: string
  readonly answeredAt: string | null
  readonly answeredBy: string | null
}

/** One thing that needs an assessor at a bay, and where it is done. */
export interface NeedView extends WalkNeed {
  /** Distinct among its kind: attempt, call, permit or booking. */
  readonly id: number
  readonly personId: number
  readonly name: string
  readonly attemptId: number | null
  /** What it is about, in a few words. */
  readonly about: string
}
/** What waits at the desk. */
export interface DeskNeed {
  readonly kind: DeskKind
  readonly count: number
}
export interface NeedsView {
  readonly now: string
  readonly walk: readonly NeedView[]
  readonly desk: readonly DeskNeed[]
  /** What may be put down in two taps while one stands there. */
  readonly behaviours: readonly Behaviour[]
}
/** What waits for an apprentice. */
export interface OwnNeedsView {
  /** Tasks that an assessor has permitted, stopped or sent back, and that they have not gone on with. */
  readonly tasks: number
  /** Claims that were refused and not answered yet. */
  readonly claims: number
}
