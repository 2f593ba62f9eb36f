import { Type, type Static } from '@sinclair/typebox'
import { RUN_PARTS } from '#core/containment/parts-met'
import type { EvidenceKey, Framework } from '#core/assessment/outcomes/framework'
import { ITEM_GROUPS } from '#core/inspection/items'
import { PARTS } from '#core/isolation/model/rule'
import { STEP_KEYS } from '#core/design/model/step-keys'
import { TOPICS } from '#core/questions/topics'
import { READING_EVIDENCE } from '#core/testing/kinds/kind'
import type { Proved, Same } from './same'

export const EVIDENCE_KEYS: readonly string[] = [
  ...STEP_KEYS.map((key) => `design.${key}`),
  ...READING_EVIDENCE.map((key) => `reading.${key}`),
  'process.permission',
  ...PARTS.map((part) => `isolation.${part}`),
  ...ITEM_GROUPS.map((group) => `work.${group}`),
  ...RUN_PARTS.map((part) => `run.${part}`),
  ...TOPICS.map((topic) => `question.${topic}`),
]

const Criterion = Type.Object(
  {
    code: Type.String({ minLength: 1, maxLength: 20 }),
    text: Type.String({ minLength: 1, maxLength: 300 }),
    bs7671: Type.String({ maxLength: 200 }),
    occasions: Type.Integer({ minimum: 1, maximum: 10 }),
    evidence: Type.Array(Type.Unsafe<EvidenceKey>({ type: 'string', enum: [...EVIDENCE_KEYS] }), {
      minItems: 1,
    }),
  },
  { additionalProperties: false },
)

export const FrameworkSchema = Type.Object(
  {
    format: Type.Literal('nakshi.framework'),
    version: Type.Literal(1),
    code: Type.String({ minLength: 1, maxLength: 20 }),
    title: Type.String({ minLength: 1, maxLength: 120 }),
    units: Type.Array(
      Type.Object(
        {
          code: Type.String({ minLength: 1, maxLength: 20 }),
          title: Type.String({ minLength: 1, maxLength: 120 }),
          criteria: Type.Array(Criterion, { minItems: 1 }),
        },
        { additionalProperties: false },
      ),
      { minItems: 1 },
    ),
  },
  { additionalProperties: false, title: 'Nakshi unit framework, version 1' },
)

export type FrameworkIsInStep = Proved<[Same<Static<typeof FrameworkSchema>, Framework>]>
