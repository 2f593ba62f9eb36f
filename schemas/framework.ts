import { Type, type Static } from '@sinclair/typebox'
import { RUN_PARTS } from '#core/containment/parts-met'
import type { EvidenceKey } from '#core/assessment/outcomes/evidence-key'
import { SEPARATE_RULES, SET_SORTS, type Framework } from '#core/assessment/outcomes/framework'
import { EVIDENCE_KINDS } from '#core/assessment/outcomes/kinds'
import { SETTINGS } from '#core/assessment/outcomes/shows'
import { upgradeFramework, type FormerFramework } from '#core/assessment/outcomes/upgrade-framework'
import { ITEM_GROUPS } from '#core/inspection/items'
import { PARTS } from '#core/isolation/model/rule'
import { STEP_KEYS } from '#core/design/model/step-keys'
import { TOPICS } from '#core/questions/topics'
import { READING_EVIDENCE } from '#core/testing/kinds/kind'
import { oneOf } from './one-of'
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

const strict = { additionalProperties: false }
const Code = Type.String({ minLength: 1, maxLength: 20, pattern: '\\S' })
const Sentence = Type.String({ minLength: 1, maxLength: 300, pattern: '\\S' })
const Kinds = Type.Array(oneOf(EVIDENCE_KINDS), { maxItems: EVIDENCE_KINDS.length, uniqueItems: true })

const Criterion = Type.Object(
  {
    code: Code,
    text: Sentence,
    bs7671: Type.String({ maxLength: 200 }),
    occasions: Type.Integer({ minimum: 1, maximum: 10 }),
    evidence: Type.Array(Type.Unsafe<EvidenceKey>({ type: 'string', enum: [...EVIDENCE_KEYS] }), {
      minItems: 1,
    }),
    kinds: Kinds,
    needs: Kinds,
    isCritical: Type.Boolean(),
  },
  strict,
)

const Quota = Type.Union([
  Type.Object(
    {
      kind: Type.Literal('set'),
      code: Code,
      text: Sentence,
      of: oneOf(SET_SORTS),
      least: Type.Integer({ minimum: 1, maximum: 40 }),
      compulsory: Type.Array(Type.String({ maxLength: 40 }), { maxItems: 20, uniqueItems: true }),
      each: Type.Integer({ minimum: 1, maximum: 10 }),
    },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('share'),
      code: Code,
      text: Sentence,
      settings: Type.Array(oneOf(SETTINGS), { maxItems: SETTINGS.length, uniqueItems: true }),
      moreThan: Type.Number({ minimum: 0, maximum: 0.99 }),
      jobs: Type.Integer({ minimum: 1, maximum: 40 }),
    },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('behaviours'),
      code: Code,
      text: Sentence,
      least: Type.Integer({ minimum: 1, maximum: 40 }),
    },
    strict,
  ),
])

export const FrameworkSchema = Type.Object(
  {
    format: Type.Literal('nakshi.framework'),
    version: Type.Literal(2),
    code: Code,
    title: Type.String({ minLength: 1, maxLength: 120 }),
    separate: oneOf(SEPARATE_RULES),
    domestic: Type.String({ maxLength: 600 }),
    behaviours: Type.Array(Type.Object({ code: Code, text: Sentence }, strict), { maxItems: 40 }),
    units: Type.Array(
      Type.Object(
        {
          code: Code,
          title: Type.String({ minLength: 1, maxLength: 120 }),
          criteria: Type.Array(Criterion, { minItems: 1, maxItems: 200 }),
          quotas: Type.Array(Quota, { maxItems: 40 }),
        },
        strict,
      ),
      { minItems: 1, maxItems: 60 },
    ),
  },
  { ...strict, title: 'Nakshi unit framework, version 2' },
)

export type FrameworkIsInStep = Proved<[Same<Static<typeof FrameworkSchema>, Framework>]>

/** A framework as a file may hold it, brought to the present version; anything else comes back as it is. */
export function presentFramework(document: unknown): unknown {
  const { format, version, units } = (document ?? {}) as Partial<FormerFramework>
  const isFormer = format === 'nakshi.framework' && version === 1 && Array.isArray(units)
  const isWhole = isFormer && units.every((unit) => Array.isArray((unit as typeof unit | null)?.criteria))
  return isWhole ? upgradeFramework(document as FormerFramework) : document
}
