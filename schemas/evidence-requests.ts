import { Type, type Static } from '@sinclair/typebox'
import type { Framework } from '#core/assessment/outcomes/framework'
import { FrameworkSchema } from './framework'
import { oneOf } from './one-of'

const strict = { additionalProperties: false }
const Reason = Type.String({ minLength: 1, maxLength: 600, pattern: '\\S' })

/** A framework to put in force, with what becomes of criteria in use that it no longer has. */
export const FrameworkRequest = Type.Object(
  {
    seen: Type.Optional(Type.String({ maxLength: 64 })),
    value: FrameworkSchema,
    mapping: Type.Optional(
      Type.Record(Type.String({ maxLength: 20 }), Type.Union([Type.String({ maxLength: 20 }), Type.Null()])),
    ),
  },
  strict,
)
export interface FrameworkBody {
  /** The hash of the framework that stood on the screen; left out where there was none. */
  readonly seen?: string
  readonly value: Framework
  /** Codes of criteria in use that are gone, and what took their place; null for nothing. */
  readonly mapping?: Readonly<Record<string, string | null>>
}

export const BehaviourRequest = Type.Object(
  {
    behaviour: Type.String({ minLength: 1, maxLength: 20 }),
    note: Type.String({ maxLength: 300 }),
    attemptId: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
  },
  strict,
)
export type BehaviourBody = Static<typeof BehaviourRequest>

/** An account's boxes; see `AccountFields` for their names. */
export const AccountRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    fields: Type.Record(
      Type.String({
        pattern:
          '^(title|job|day|setting|wiring|cables|equipment|text|(claim|measure|answer|photo|page)\\.[A-Za-z0-9-]{4,64})$',
      }),
      Type.String({ maxLength: 60_000 }),
      { maxProperties: 200 },
    ),
  },
  strict,
)
export type AccountBody = Static<typeof AccountRequest>

export const AccountHandInRequest = Type.Object({ version: Type.Integer({ minimum: 1 }) }, strict)

export const ClaimDecisionRequest = Type.Object(
  {
    handInId: Type.Integer({ minimum: 1 }),
    claim: Type.String({ minLength: 4, maxLength: 64 }),
    met: Type.Boolean(),
    reason: Type.String({ maxLength: 600 }),
  },
  strict,
)
export type ClaimDecisionBody = Static<typeof ClaimDecisionRequest>

/** A professional discussion of one claim: what was asked, and what was said. */
export const DiscussionRequest = Type.Object(
  {
    claim: Type.String({ minLength: 4, maxLength: 64 }),
    asked: Type.String({ minLength: 10, maxLength: 2000, pattern: '\\S' }),
    said: Type.String({ minLength: 20, maxLength: 6000, pattern: '\\S' }),
    minutes: Type.Integer({ minimum: 1, maximum: 240 }),
  },
  strict,
)
export type DiscussionBody = Static<typeof DiscussionRequest>

const Line = Type.String({ minLength: 1, maxLength: 120, pattern: '\\S' })
export const WitnessRequest = Type.Object({ name: Line, role: Line, contact: Line }, strict)
export type WitnessBody = Static<typeof WitnessRequest>

const Code = Type.String({ minLength: 8, maxLength: 20 })
export const WitnessCodeRequest = Type.Object({ code: Code }, strict)
export const WitnessStatementRequest = Type.Object(
  { code: Code, statement: Type.String({ minLength: 20, maxLength: 4000, pattern: '\\S' }) },
  strict,
)
export type WitnessStatementBody = Static<typeof WitnessStatementRequest>

export const SecondMarkingRequest = Type.Object(
  {
    decisionId: Type.Integer({ minimum: 1 }),
    verdicts: Type.Array(
      Type.Object(
        {
          code: Type.String({ minLength: 1, maxLength: 20 }),
          met: Type.Boolean(),
          reason: Type.String({ maxLength: 600 }),
        },
        strict,
      ),
      { minItems: 1, maxItems: 200 },
    ),
  },
  strict,
)
export type SecondMarkingBody = Static<typeof SecondMarkingRequest>

export const SettleRequest = Type.Object(
  { how: oneOf(['talk', 'third'] as const), stands: oneOf(['first', 'second'] as const), reason: Reason },
  strict,
)
export type SettleBody = Static<typeof SettleRequest>

export const AppealRequest = Type.Object({ reason: Reason }, strict)
export const AppealAnswerRequest = Type.Object(
  { outcome: oneOf(['upheld', 'notUpheld'] as const), reason: Reason },
  strict,
)
export type AppealAnswerBody = Static<typeof AppealAnswerRequest>

/** A framework as a file, to be read and looked at. */
export const FrameworkFileRequest = Type.Union([
  Type.Object({ csv: Type.String({ maxLength: 1_000_000 }) }, strict),
  Type.Object({ json: Type.String({ maxLength: 1_000_000 }) }, strict),
])
export type FrameworkFileBody = Static<typeof FrameworkFileRequest>

/** A page of a drawing, a specification or instructions. */
export const PageRequest = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 120 }),
    pdfBase64: Type.String({ minLength: 100, maxLength: 2_300_000, pattern: '^[A-Za-z0-9+/=]+$' }),
  },
  strict,
)
export type PageBody = Static<typeof PageRequest>
