import { Type } from '@sinclair/typebox'
import { FIXTURE_KINDS } from '#core/survey/plan/plan'
import { ITEM_KEYS, OBJECTIVES } from '#core/survey/sheet/checklist'
import { ACT_KINDS } from '#core/survey/site/site'
import { USES } from '#core/regulations/supply'
import { oneOf } from './one-of'

const strict = { additionalProperties: false }
const Id = Type.String({ pattern: '^[A-Za-z0-9-]{1,40}$' })
const Words = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: '\\S' })
const Place = Type.Number({ minimum: -100_000, maximum: 100_000 })
const Spot = Type.Object({ x: Place, y: Place }, strict)

/** A site to survey, with everything that is so there. */
export const SiteSchema = Type.Object(
  {
    format: Type.Literal('nakshi.site'),
    version: Type.Literal(1),
    code: Type.String({ pattern: '^[A-Za-z0-9][A-Za-z0-9.-]{0,39}$' }),
    title: Words(120),
    story: Words(4000),
    objectives: Type.Array(oneOf(OBJECTIVES), { minItems: 1, uniqueItems: true }),
    isReal: Type.Boolean(),
    plan: Type.Object(
      {
        walls: Type.Array(
          Type.Object({ id: Id, line: Type.Array(Spot, { minItems: 2, maxItems: 200 }) }, strict),
          { minItems: 1, maxItems: 200 },
        ),
        doors: Type.Array(
          Type.Object(
            {
              id: Id,
              x: Place,
              y: Place,
              widthM: Type.Number({ minimum: 0.3, maximum: 12 }),
              name: Words(80),
            },
            strict,
          ),
          { maxItems: 60 },
        ),
        fixtures: Type.Array(
          Type.Object(
            { id: Id, kind: oneOf(FIXTURE_KINDS), corners: Type.Array(Spot, { minItems: 1, maxItems: 60 }) },
            strict,
          ),
          { maxItems: 40 },
        ),
        labels: Type.Array(Type.Object({ x: Place, y: Place, text: Words(80) }, strict), { maxItems: 60 }),
        board: Spot,
      },
      strict,
    ),
    metresPerUnit: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
    acts: Type.Array(
      Type.Object({ id: Id, kind: oneOf(ACT_KINDS), name: Words(160), shows: Words(2000) }, strict),
      { minItems: 1, maxItems: 60 },
    ),
    facts: Type.Array(
      Type.Object({ key: oneOf(ITEM_KEYS), value: Words(200), by: Type.Array(Id, { maxItems: 20 }) }, strict),
      { minItems: 1, maxItems: 80 },
    ),
    routes: Type.Array(
      Type.Object(
        { name: Words(80), use: oneOf(USES), lengthM: Type.Number({ exclusiveMinimum: 0, maximum: 500 }) },
        strict,
      ),
      { maxItems: 40 },
    ),
  },
  strict,
)
