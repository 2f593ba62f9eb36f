import { Type, type Static, type TSchema } from '@sinclair/typebox'
import { STEP_KEYS, type StepKey } from '#core/design/model/step-keys'
import { TASK_KINDS, type Exercise } from '#core/exercise/exercise'
import { DOUBLINGS, DRESSINGS, RCD_TESTS } from '#core/policies/policy'
import { MOST_MAKER_POINTS } from '#core/exercise/form/read-maker'
import { RANGES, type RangeKey } from '#core/exercise/ranges'
import { CONSEQUENCES, LINES, STANDBY_SOURCES, WATER_SERVICES } from '#core/installation/installation'
import { CABLE_KINDS, METHODS } from '#core/regulations/cables/cable'
import { CURVES, DEVICE_FAMILIES } from '#core/regulations/devices'
import { PREMISES } from '#core/regulations/diversity'
import { EDITIONS } from '#core/regulations/editions'
import { GROUPINGS } from '#core/regulations/factors'
import { INFEEDS, MARKINGS } from '#core/regulations/infeed'
import { IP_DEGREES } from '#core/regulations/ip'
import { DC_CONTENTS } from '#core/regulations/rcd'
import { USES } from '#core/regulations/supply'
import { oneOf } from './one-of'
import type { Proved, Same } from './same'

const strict = { additionalProperties: false }
const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()])

function within(key: RangeKey) {
  const range: { min?: number; above?: number; max: number } = RANGES[key]
  return { minimum: range.min, exclusiveMinimum: range.above, maximum: range.max }
}
/** A schema may not hold `undefined`; JSON drops it. */
const number = (key: RangeKey) => Type.Number(JSON.parse(JSON.stringify(within(key))))
const integer = (key: RangeKey) => Type.Integer(JSON.parse(JSON.stringify(within(key))))
const Id = Type.String({ pattern: '^[a-z][a-z0-9]{0,9}$' })
const Name = (maxLength: number) => Type.String({ minLength: 1, maxLength })

const Load = Type.Union([
  Type.Object(
    { basis: Type.Literal('power'), powerW: number('powerW'), powerFactor: number('powerFactor') },
    strict,
  ),
  Type.Object(
    { basis: Type.Literal('current'), currentA: number('currentA'), powerFactor: number('powerFactor') },
    strict,
  ),
  Type.Object({ basis: Type.Literal('cooker'), powerW: number('powerW'), hasSocket: Type.Boolean() }, strict),
  Type.Object(
    {
      basis: Type.Literal('lamps'),
      count: integer('count'),
      eachW: number('lampW'),
      isDischarge: Type.Boolean(),
    },
    strict,
  ),
  Type.Object(
    {
      basis: Type.Literal('motor'),
      powerW: number('powerW'),
      powerFactor: number('powerFactor'),
      efficiency: number('efficiency'),
      startMultiple: number('startMultiple'),
    },
    strict,
  ),
  Type.Object({ basis: Type.Literal('board') }, strict),
])

const aboveNothing = Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 1e12 })
const MakerPoint = Type.Object(
  {
    ratingA: aboveNothing,
    currentA: aboveNothing,
    timeS: orNull(aboveNothing),
    energyA2s: orNull(aboveNothing),
  },
  strict,
)

const Circuit = Type.Object(
  {
    id: Id,
    name: Name(80),
    board: Id,
    way: integer('way'),
    line: oneOf(LINES),
    use: oneOf(USES),
    phases: oneOf([1, 3]),
    topology: oneOf(['radial', 'ring']),
    load: Load,
    points: integer('points'),
    isSpread: Type.Boolean(),
    lengthM: number('lengthM'),
    spurM: number('spurM'),
    spurs: integer('spurs'),
    fusedSpurs: integer('spurs'),
    cable: Type.Object({ kind: oneOf(CABLE_KINDS), method: oneOf(METHODS) }, strict),
    run: Type.Object({ betweenBoxesM: number('betweenBoxesM'), bends: integer('bends') }, strict),
    ambientC: integer('ambientC'),
    grouping: Type.Object({ circuits: integer('groupCircuits'), arrangement: oneOf(GROUPINGS) }, strict),
    insulationMm: number('insulationMm'),
    location: oneOf(['general', 'bathroom', 'outdoors']),
    concealed: Type.Boolean(),
    ip: Type.Optional(oneOf(IP_DEGREES)),
    area: Type.Optional(Type.String({ minLength: 1, maxLength: 40 })),
    dc: oneOf(DC_CONTENTS),
    device: Type.Object({ family: oneOf(DEVICE_FAMILIES), curve: orNull(oneOf(CURVES)) }, strict),
    marking: Type.Optional(oneOf(MARKINGS)),
    infeed: Type.Optional(oneOf(INFEEDS)),
    maker: Type.Optional(Type.Array(MakerPoint, { minItems: 1, maxItems: MOST_MAKER_POINTS })),
    residualA: Type.Unsafe<number | null>({ enum: [null, 0.03, 0.1, 0.3] }),
    existing: orNull(Type.Object({ ratingA: number('existingRatingA'), lineMm2: number('areaMm2') }, strict)),
  },
  strict,
)

export const InstallationSchema = Type.Object(
  {
    premises: oneOf(PREMISES),
    consequence: oneOf(CONSEQUENCES),
    intake: Type.Object(
      {
        arrangement: oneOf(['TN-S', 'TN-C-S', 'TT']),
        phases: oneOf([1, 3]),
        zeOhm: number('zeOhm'),
        ipfA: number('ipfA'),
        mainFuseA: number('mainFuseA'),
        neutralMm2: number('neutralMm2'),
        service: Type.Optional(oneOf(WATER_SERVICES)),
        standby: Type.Optional(
          Type.Object({ source: oneOf(STANDBY_SOURCES), powerW: number('powerW') }, strict),
        ),
      },
      strict,
    ),
    boards: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Name(60),
          phases: oneOf([1, 3]),
          ways: integer('ways'),
          fedBy: orNull(Id),
          electrodeOhm: orNull(number('electrodeOhm')),
          surge: Type.Optional(Type.Object({ deviceWay: integer('way'), way: integer('way') }, strict)),
        },
        strict,
      ),
      { minItems: 1, maxItems: 8 },
    ),
    circuits: Type.Array(Circuit, { minItems: 1, maxItems: 60 }),
  },
  strict,
)

const Step = Type.Unsafe<StepKey>({ enum: [...STEP_KEYS] })
const Steps = Type.Array(Step, { uniqueItems: true, maxItems: STEP_KEYS.length })

export const PolicySchema = Type.Object(
  {
    measuredZs: oneOf(['eighty-percent', 'corrected']),
    warmDrop: oneOf(['tabulated', 'corrected']),
    followShare: Type.Number({ minimum: 0, maximum: 1 }),
    rounding: Type.Number({ minimum: 0.01, maximum: 0.05 }),
    library: oneOf(['open', 'closed']),
    residualTests: Type.Optional(oneOf(RCD_TESTS)),
    doubling: Type.Optional(oneOf(DOUBLINGS)),
    dressing: Type.Optional(oneOf(DRESSINGS)),
  },
  strict,
)

/** A value of the centre's own book, as an exercise keeps it. */
export const BookChangeSchema = Type.Object(
  {
    edition: oneOf(EDITIONS),
    table: Type.String({ minLength: 1, maxLength: 60 }),
    row: Type.String({ minLength: 1, maxLength: 40 }),
    column: Type.String({ minLength: 1, maxLength: 20 }),
    value: orNull(Type.Number()),
    clause: Type.Optional(Type.String({ minLength: 1, maxLength: 120 })),
    place: Type.String({ minLength: 1, maxLength: 200 }),
    checked: Type.Boolean(),
  },
  strict,
)

export const ExerciseSchema = Type.Object(
  {
    format: Type.Literal('nakshi.exercise'),
    version: Type.Literal(2),
    code: Type.String({ pattern: '^[A-Za-z0-9][A-Za-z0-9.-]{0,19}$' }),
    title: Name(120),
    kind: oneOf(TASK_KINDS),
    scenario: Type.String({ maxLength: 4000 }),
    minutes: integer('minutes'),
    edition: oneOf(EDITIONS),
    installation: InstallationSchema,
    tests: orNull(Id),
    asks: Type.Object(
      {
        circuits: Type.Array(Id, { minItems: 1, uniqueItems: true }),
        steps: Type.Array(Step, { minItems: 1, uniqueItems: true }),
      },
      strict,
    ),
    marks: Type.Unsafe<Partial<Record<StepKey, number>>>(
      Type.Partial(Type.Object(Object.fromEntries(STEP_KEYS.map((key) => [key, number('marks')]))), strict),
    ),
    critical: Steps,
    policy: PolicySchema,
    book: Type.Optional(Type.Array(BookChangeSchema, { maxItems: 2000 })),
    variants: Type.Object(
      { seed: integer('seed'), lengthSpread: number('spread'), loadSpread: number('spread') },
      strict,
    ),
    criteria: Type.Array(Type.String({ minLength: 1, maxLength: 20 }), { minItems: 1, uniqueItems: true }),
  },
  { ...strict, title: 'Nakshi exercise, version 2' },
)

// The schema and the core's type are one and the same, checked when the project is compiled.
export type ExerciseIsInStep = Proved<[Same<Static<typeof ExerciseSchema>, Exercise>]>
