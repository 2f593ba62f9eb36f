import { Type, type Static, type TSchema } from '@sinclair/typebox'
import { STEP_KEYS } from '#core/design/model/step-keys'
import type { Answers } from '#core/assessment/marking/answer'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import { ExerciseSchema, PolicySchema } from './exercise'

const strict = { additionalProperties: false }
const Version = Type.Integer({ minimum: 1 })
const Typed = Type.String({ maxLength: 60 })
/** `c2.zs`: a circuit or board, and a step. */
const NODE = `^[a-z][a-z0-9]{0,9}\\.(${STEP_KEYS.join('|')})$`
/** `zs`, `c1.zs@c1p4`; with `why:`, `at:` or `set:` in front what belongs to a test or to the sheet. */
const TEST = '([a-z][a-z0-9]{0,9}\\.)?[a-zA-Z0-9]{1,12}(@[a-z][a-z0-9]{0,19})?'
const READING = `^(why:|at:|set:)?${TEST}$`
const NewPassword = Type.String({ minLength: 10, maxLength: 200 })

export const SetUpRequest = Type.Object(
  {
    number: Type.String({ pattern: '^[A-Za-z0-9-]{2,20}$' }),
    name: Type.String({ minLength: 1, maxLength: 80, pattern: '\\S' }),
    password: NewPassword,
  },
  strict,
)

export const SignInRequest = Type.Object(
  {
    number: Type.String({ minLength: 1, maxLength: 40 }),
    password: Type.String({ minLength: 1, maxLength: 200 }),
  },
  strict,
)

export const PasswordRequest = Type.Object(
  { current: Type.String({ minLength: 1, maxLength: 200 }), password: NewPassword },
  strict,
)

/** The file's bytes in base64, so that its encoding can be judged before it is read. */
export const RosterRequest = Type.Object(
  { fileBase64: Type.String({ minLength: 1, maxLength: 2_000_000 }) },
  strict,
)

export const ExerciseSaveRequest = Type.Object({ version: Version, exercise: ExerciseSchema }, strict)

export const ExerciseImportRequest = Type.Object({ text: Type.String({ maxLength: 1_000_000 }) }, strict)

export const SetRequest = Type.Object(
  { version: Version, cohort: Type.String({ minLength: 1, maxLength: 80 }) },
  strict,
)

export const WorkRequest = Type.Object(
  {
    version: Version,
    answers: Type.Unsafe<Answers>(Type.Record(Type.String({ pattern: NODE }), Typed, strict)),
    readings: Type.Record(Type.String({ pattern: READING }), Type.String({ maxLength: 200 }), {
      ...strict,
      maxProperties: 4000,
    }),
  },
  strict,
)

export const ReadingsFileRequest = Type.Object({ text: Type.String({ maxLength: 500_000 }) }, strict)

export const ActRequest = Type.Object({ version: Version }, strict)

/** The hash of what stood on the screen. */
export const Seen = Type.String({ pattern: '^[0-9a-f]{32}$' })

/** A permission is given on what was seen; a refusal needs nothing but its reason. */
export const PermissionRequest = Type.Object(
  {
    granted: Type.Boolean(),
    reason: Type.String({ maxLength: 1000 }),
    seen: Type.Union([Seen, Type.Null()]),
  },
  strict,
)

export const StopRequest = Type.Object(
  {
    attemptId: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
    reason: Type.String({ maxLength: 300 }),
  },
  strict,
)

const OverrideSchema = Type.Object(
  {
    item: Type.Unsafe<ItemKey>({
      type: 'string',
      pattern: `^(design\\.${NODE.slice(1, -1)}|reading\\.${TEST})$`,
    }),
    verdict: Type.Union([Type.Literal('right'), Type.Literal('wrong')]),
    reason: Type.String({ minLength: 3, maxLength: 500, pattern: '\\S' }),
  },
  strict,
)

export const MarkingRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 0 }),
    overrides: Type.Array(OverrideSchema, { maxItems: 400 }),
    feedback: Type.Union([Type.String({ maxLength: 8000 }), Type.Null()]),
  },
  strict,
)

export const DecisionRequest = Type.Object({ version: Type.Integer({ minimum: 0 }), seen: Seen }, strict)

/** A choice of the centre with the hash of what stood on the screen, so that nobody's choice is written over unseen. */
export const seeing = <S extends TSchema>(value: S) => Type.Object({ seen: Seen, value }, strict)
export const PolicyRequest = seeing(PolicySchema)

export const ReleaseRequest = Type.Object(
  { ids: Type.Array(Type.Integer({ minimum: 1 }), { minItems: 1, maxItems: 200, uniqueItems: true }) },
  strict,
)

export const BayRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 0 }),
    fields: Type.Record(
      Type.String({
        pattern: '^(wire|blank|label|rail|mount|comb|cap|cover|proof|from)\\.[A-Za-z0-9.-]{1,40}$',
      }),
      Type.String({ maxLength: 120 }),
      { ...strict, maxProperties: 2000 },
    ),
  },
  strict,
)

const Words = Type.String({ minLength: 1, maxLength: 600, pattern: '\\S' })

export const PredictionRequest = Type.Object(
  {
    experiment: Type.String({ minLength: 1, maxLength: 40 }),
    settings: Type.Record(Type.String({ maxLength: 40 }), Type.Number(), { maxProperties: 20 }),
    predicted: Words,
  },
  strict,
)

export const MeasuredRequest = Type.Object({ measured: Words }, strict)

export type SetUpBody = Static<typeof SetUpRequest>
export type WorkBody = Static<typeof WorkRequest>
export type MarkingBody = Static<typeof MarkingRequest>
export type BayBody = Static<typeof BayRequest>
export type PredictionBody = Static<typeof PredictionRequest>
