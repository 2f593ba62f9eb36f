import { Type, type Static } from '@sinclair/typebox'
import { DRAWING_CODES } from '#core/questions/drawings'
import { ASKED_OUTCOMES } from '#core/questions/outcome'
import { VERDICTS, type Question } from '#core/questions/question'
import { RATINGS } from '#core/questions/judge'
import { MOMENTS, TOPICS } from '#core/questions/topics'
import { EDITIONS } from '#core/regulations/editions'
import { oneOf } from './one-of'
import type { Proved, Same } from './same'

const strict = { additionalProperties: false }
const Line = Type.String({ maxLength: 600 })
const Full = Type.String({ minLength: 1, maxLength: 600, pattern: '\\S' })
const Model = Type.String({ minLength: 1, maxLength: 4000, pattern: '\\S' })
const few = <T extends Parameters<typeof Type.Array>[0]>(item: T) => Type.Array(item, { maxItems: 12 })

const Expected = Type.Union([
  Type.Object({ kind: Type.Literal('spoken'), model: Model }, strict),
  Type.Object(
    {
      kind: Type.Literal('number'),
      value: Type.Number(),
      unit: Type.String({ minLength: 1, maxLength: 20, pattern: '\\S' }),
      within: Type.Number({ minimum: 0 }),
    },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('choose'),
      options: Type.Array(Full, { minItems: 2, maxItems: 12 }),
      right: Type.Array(Type.Integer({ minimum: 0, maximum: 11 }), { minItems: 1, maxItems: 12 }),
    },
    strict,
  ),
  Type.Object(
    { kind: Type.Literal('order'), items: Type.Array(Full, { minItems: 2, maxItems: 12 }) },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('point'),
      drawing: oneOf(DRAWING_CODES),
      spot: Type.String({ minLength: 1, maxLength: 40 }),
    },
    strict,
  ),
  Type.Object({ kind: Type.Literal('verdict'), verdict: oneOf(VERDICTS), why: Model }, strict),
])

export const QuestionSchema = Type.Object(
  {
    code: Type.String({ pattern: '^[A-Za-z0-9][A-Za-z0-9-]{0,59}$' }),
    text: Full,
    plain: Line,
    expected: Expected,
    also: few(Full),
    prompts: few(Full),
    follow: Line,
    topic: oneOf(TOPICS),
    criteria: Type.Optional(few(Type.String({ minLength: 1, maxLength: 20 }))),
    picture: Type.Optional(
      Type.Object({ drawing: oneOf(DRAWING_CODES), spot: Type.String({ maxLength: 40 }) }, strict),
    ),
    level: Type.Union([Type.Literal(1), Type.Literal(2), Type.Literal(3)]),
    moments: few(oneOf(MOMENTS)),
    edition: Type.Union([oneOf(EDITIONS), Type.Null()]),
    source: Line,
    isKept: Type.Boolean(),
    isMyth: Type.Boolean(),
  },
  strict,
)

/** A bank as it is exchanged. */
export const QuestionBankSchema = Type.Object(
  {
    format: Type.Literal('nakshi.questions'),
    version: Type.Literal(1),
    questions: Type.Array(QuestionSchema, { maxItems: 2000 }),
  },
  { ...strict, title: 'Nakshi question bank, version 1' },
)
export type QuestionBank = Static<typeof QuestionBankSchema>
export type QuestionIsInStep = Proved<[Same<Static<typeof QuestionSchema>, Question>]>

export const QuestionRequest = Type.Object(
  {
    question: QuestionSchema,
    version: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
    isRetired: Type.Boolean(),
  },
  strict,
)
export interface QuestionBody {
  readonly question: Question
  /** The version that stood on the screen; null for a new one. */
  readonly version: number | null
  readonly isRetired: boolean
}

/** A file in base64: a bank in JSON, or a QTI package. */
export const QuestionFileRequest = Type.Object(
  { name: Type.String({ maxLength: 200 }), content: Type.String({ maxLength: 2_400_000 }) },
  strict,
)
export type QuestionFileBody = Static<typeof QuestionFileRequest>

/** One asked question as the device keeps it; the text of a field of a round. */
export const AskedSchema = Type.Object(
  {
    code: Type.String({ minLength: 1, maxLength: 120 }),
    /** Written on the spot: its wording; else as it was shown. */
    wording: Full,
    topic: oneOf(TOPICS),
    outcome: oneOf(ASKED_OUTCOMES),
    prompt: Line,
    remark: Line,
    askedAt: Type.String({ pattern: '^\\d{4}-\\d\\d-\\d\\dT[\\d:.]+Z$' }),
  },
  strict,
)
export type Asked = Static<typeof AskedSchema>

/** A round of one person: `ask.<token>` holds what was asked, `undo.<token>` that it was taken back. */
export const RoundRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    fields: Type.Record(
      Type.String({ pattern: '^(ask|undo)\\.[A-Za-z0-9-]{8,60}$' }),
      Type.String({ maxLength: 4000 }),
    ),
  },
  strict,
)
export type RoundBody = Static<typeof RoundRequest>

const Given = Type.Union([
  Type.Object({ kind: Type.Literal('text'), text: Type.String({ maxLength: 400 }) }, strict),
  Type.Object(
    { kind: Type.Literal('chosen'), options: Type.Array(Type.Integer(), { maxItems: 12 }) },
    strict,
  ),
  Type.Object(
    { kind: Type.Literal('ordered'), items: Type.Array(Type.String({ maxLength: 600 }), { maxItems: 12 }) },
    strict,
  ),
  Type.Object({ kind: Type.Literal('pointed'), spot: Type.String({ maxLength: 40 }) }, strict),
  Type.Object({ kind: Type.Literal('verdict'), verdict: oneOf(VERDICTS) }, strict),
  Type.Object({ kind: Type.Literal('compared'), is: oneOf(RATINGS) }, strict),
])
export const RehearsalRequest = Type.Object(
  { code: Type.String({ minLength: 1, maxLength: 120 }), given: Given },
  strict,
)
export type RehearsalBody = Static<typeof RehearsalRequest>

export const QuestionPolicyRequest = Type.Object(
  {
    prompted: oneOf(['met', 'noted'] as const),
    earshotMinutes: Type.Integer({ minimum: 0, maximum: 120 }),
    seen: Type.Optional(Type.String({ maxLength: 64 })),
  },
  strict,
)

/** Whose answers are looked at, and the day of a lesson to compare before and after with. */
export const GroupQuestionsRequest = Type.Object(
  {
    cohort: Type.String({ minLength: 1, maxLength: 80 }),
    taughtOn: Type.Optional(Type.String({ pattern: '^\\d{4}-\\d\\d-\\d\\d$' })),
  },
  strict,
)
export type GroupQuestionsQuery = Static<typeof GroupQuestionsRequest>
