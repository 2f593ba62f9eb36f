import { Type, type Static } from '@sinclair/typebox'
import { STEP_KEYS } from '#core/design/step-keys'
import { DEAD_KEYS, LIVE_KEYS } from '#core/results/readings'
import type { Answers } from '#core/marking/answer'
import type { ItemKey } from '#core/outcomes/framework'
import { ExerciseSchema, PolicySchema } from './exercise'

const strict = { additionalProperties: false }
const Version = Type.Integer({ minimum: 1 })
const Typed = Type.String({ maxLength: 60 })
/** `c2.zs`: a circuit or board, and a step. */
const NODE = `^[a-z][a-z0-9]{0,9}\\.(${STEP_KEYS.join('|')})$`
const NewPassword = Type.String({ minLength: 10, maxLength: 200 })

export const SetUpRequest = Type.Object({
  number: Type.String({ pattern: '^[A-Za-z0-9-]{2,20}$' }),
  name: Type.String({ minLength: 1, maxLength: 80, pattern: '\\S' }),
  password: NewPassword,
}, strict)

export const SignInRequest = Type.Object({ number: Type.String({ minLength: 1, maxLength: 40 }), password: Type.String({ minLength: 1, maxLength: 200 }) }, strict)

export const PasswordRequest = Type.Object({ current: Type.String({ minLength: 1, maxLength: 200 }), password: NewPassword }, strict)

/** The file's bytes in base64, so that its encoding can be judged before it is read. */
export const RosterRequest = Type.Object({ fileBase64: Type.String({ minLength: 1, maxLength: 2_000_000 }) }, strict)

export const ExerciseSaveRequest = Type.Object({ version: Version, exercise: ExerciseSchema }, strict)

export const ExerciseImportRequest = Type.Object({ text: Type.String({ maxLength: 1_000_000 }) }, strict)

export const SetRequest = Type.Object({ version: Version, cohort: Type.String({ minLength: 1, maxLength: 80 }) }, strict)

const typedBy = (keys: readonly string[]) => Type.Partial(Type.Object(Object.fromEntries(keys.map((key) => [key, Typed]))), strict)

export const WorkRequest = Type.Object({
  version: Version,
  answers: Type.Unsafe<Answers>(Type.Record(Type.String({ pattern: NODE }), Typed, strict)),
  readings: Type.Unsafe<Partial<Record<(typeof DEAD_KEYS)[number] | (typeof LIVE_KEYS)[number], string>>>(typedBy([...DEAD_KEYS, ...LIVE_KEYS])),
}, strict)

export const ActRequest = Type.Object({ version: Version }, strict)

export const PermissionRequest = Type.Object({ granted: Type.Boolean(), reason: Type.String({ maxLength: 1000 }) }, strict)

const OverrideSchema = Type.Object({
  item: Type.Unsafe<ItemKey>({ type: 'string', pattern: `^(design\\.${NODE.slice(1, -1)}|reading\\.(${[...DEAD_KEYS, ...LIVE_KEYS].join('|')}))$` }),
  verdict: Type.Union([Type.Literal('right'), Type.Literal('wrong')]),
  reason: Type.String({ minLength: 3, maxLength: 500, pattern: '\\S' }),
}, strict)

export const MarkingRequest = Type.Object({
  version: Type.Integer({ minimum: 0 }),
  overrides: Type.Array(OverrideSchema, { maxItems: 400 }),
  feedback: Type.Union([Type.String({ maxLength: 8000 }), Type.Null()]),
}, strict)

export const DecisionRequest = Type.Object({ version: Type.Integer({ minimum: 0 }) }, strict)

export const PolicyRequest = PolicySchema

export const ReleaseRequest = Type.Object({ ids: Type.Array(Type.Integer({ minimum: 1 }), { minItems: 1, maxItems: 200, uniqueItems: true }) }, strict)

export type SetUpBody = Static<typeof SetUpRequest>
export type WorkBody = Static<typeof WorkRequest>
export type MarkingBody = Static<typeof MarkingRequest>
