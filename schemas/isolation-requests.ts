import { Type, type Static } from '@sinclair/typebox'
import { ISOLATION_CHOICES } from '#words/policies'
import type { IsolationPolicy } from '#core/policies/isolation'
import { RUN_MODES } from './isolation-views'

const strict = { additionalProperties: false }
const Id = Type.Integer({ minimum: 1 })
const Bay = Type.Integer({ minimum: 1, maximum: 99 })
const words = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: '\\S' })
const Pin = Type.String({ pattern: '^\\d{4,8}$' })
const Moment = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}(:\\d{2}(\\.\\d{1,3})?)?Z?$' })

export const IsolationPolicyRequest = Type.Unsafe<IsolationPolicy>(
  Type.Object(
    Object.fromEntries(
      ISOLATION_CHOICES.map(({ key, options }) => [
        key,
        Type.Union(options.map(({ value }) => Type.Literal(value))),
      ]),
    ),
    strict,
  ),
)

export const StartRunRequest = Type.Object(
  {
    scenario: Type.String({ minLength: 1, maxLength: 40 }),
    mode: Type.Union(RUN_MODES.map((mode) => Type.Literal(mode))),
  },
  strict,
)
export const MoveRequest = Type.Object(
  { version: Type.Integer({ minimum: 1 }), move: Type.String({ minLength: 1, maxLength: 60 }) },
  strict,
)

/** `head.bay`, `act.20261112140001000`, `undo.…`, `remark.…`. */
const ObservationFieldsSchema = Type.Record(
  Type.String({ pattern: '^(head\\.[a-zA-Z]{1,20}|(act|undo|remark)\\.\\d{8,20}|feedback)$' }),
  Type.String({ maxLength: 4000 }),
  { ...strict, maxProperties: 1200 },
)
export const StartObservationRequest = Type.Object(
  { apprenticeId: Id, fields: ObservationFieldsSchema },
  strict,
)
export const ObservationRequest = Type.Object(
  { version: Type.Integer({ minimum: 1 }), fields: ObservationFieldsSchema },
  strict,
)
export const ObservationDecisionRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    met: Type.Boolean(),
    feedback: Type.String({ maxLength: 4000 }),
    /** Why it is decided otherwise than proposed. */
    reason: Type.String({ maxLength: 600 }),
    /** The apprentice's name as typed, and their PIN. */
    signedName: words(80),
    pin: Pin,
    repeatOn: Type.Union([Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' }), Type.Null()]),
  },
  strict,
)

export const LockRequest = Type.Object(
  { personId: Id, bay: Bay, device: words(60), padlock: words(20), reason: words(160) },
  strict,
)
export const PermitRequest = Type.Object(
  {
    holderId: Id,
    bay: Bay,
    scope: words(300),
    fromAt: Moment,
    untilAt: Moment,
    siteName: words(80),
    pin: Pin,
  },
  strict,
)
export const SignedRequest = Type.Object({ pin: Pin }, strict)
export const PinRequest = Type.Object(
  { current: Type.String({ minLength: 1, maxLength: 200 }), pin: Pin },
  strict,
)

export type StartRunBody = Static<typeof StartRunRequest>
export type StartObservationBody = Static<typeof StartObservationRequest>
export type ObservationBody = Static<typeof ObservationRequest>
export type ObservationDecisionBody = Static<typeof ObservationDecisionRequest>
export type LockBody = Static<typeof LockRequest>
export type PermitBody = Static<typeof PermitRequest>
