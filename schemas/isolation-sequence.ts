import { Type, type Static } from '@sinclair/typebox'
import {
  ACT_KINDS,
  DEVICE_KINDS,
  INDICATORS,
  NOTICE_PARTS,
  PLACES,
  PROOFS,
  SECOND_SOURCES,
} from '#core/isolation/model/act'
import { LEVELS } from '#core/policies/isolation'
import { ISOLATION_CHOICES } from '#words/policies'

const strict = { additionalProperties: false }
const oneOf = <T extends string>(values: readonly T[]) =>
  Type.Union(values.map((value) => Type.Literal(value)))

const ActSchema = Type.Object(
  {
    kind: oneOf(ACT_KINDS),
    place: Type.Optional(oneOf(PLACES)),
    indicator: Type.Optional(oneOf(INDICATORS)),
    proof: Type.Optional(oneOf(PROOFS)),
    shows: Type.Optional(Type.Boolean()),
    pairs: Type.Optional(Type.Integer({ minimum: 0, maximum: 10 })),
    atPoint: Type.Optional(Type.Boolean()),
    isMain: Type.Optional(Type.Boolean()),
    device: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
    deviceKind: Type.Optional(oneOf(DEVICE_KINDS)),
    source: Type.Optional(oneOf(SECOND_SOURCES)),
    content: Type.Optional(Type.Array(oneOf(NOTICE_PARTS), { maxItems: 3, uniqueItems: true })),
    atS: Type.Optional(Type.Number({ minimum: 0 })),
  },
  strict,
)

/**
 * An isolation as it was done, with what was known of the place. Choices of the policy that are left out are
 * the default.
 */
export const IsolationSequenceSchema = Type.Object(
  {
    format: Type.Literal('nakshi.isolation'),
    version: Type.Literal(1),
    site: Type.Object(
      {
        needsPermit: Type.Boolean(),
        phases: Type.Union([Type.Literal(1), Type.Literal(3)]),
        level: oneOf(LEVELS),
        hasDependants: Type.Optional(Type.Boolean()),
        secondSources: Type.Optional(
          Type.Array(oneOf(SECOND_SOURCES), { maxItems: SECOND_SOURCES.length, uniqueItems: true }),
        ),
        workers: Type.Optional(Type.Integer({ minimum: 1, maximum: 12 })),
        needsTwoPoles: Type.Optional(Type.Boolean()),
      },
      strict,
    ),
    policy: Type.Optional(
      Type.Partial(
        Type.Object(
          Object.fromEntries(
            ISOLATION_CHOICES.map(({ key, options }) => [key, oneOf(options.map(({ value }) => value))]),
          ),
        ),
        strict,
      ),
    ),
    acts: Type.Array(ActSchema, { minItems: 1, maxItems: 400 }),
  },
  { additionalProperties: false, title: 'Nakshi isolation, version 1' },
)

export type IsolationSequence = Static<typeof IsolationSequenceSchema>
