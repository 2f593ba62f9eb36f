import { Type, type Static } from '@sinclair/typebox'
import type { Exercise } from '#core/exercise/exercise'
import { RANGES, type RangeKey } from '#core/exercise/ranges'
import type { Proved, Same } from './same'

const oneOf = <const T extends readonly string[]>(values: T) => Type.Unsafe<T[number]>({ type: 'string', enum: values as unknown as string[] })

function within(key: RangeKey) {
  const range: { min?: number; above?: number; max: number } = RANGES[key]
  return { minimum: range.min, exclusiveMinimum: range.above, maximum: range.max }
}
/** A schema may not hold `undefined`; JSON drops it. */
const number = (key: RangeKey) => Type.Number(JSON.parse(JSON.stringify(within(key))))
const integer = (key: RangeKey) => Type.Integer(JSON.parse(JSON.stringify(within(key))))

const Supply = Type.Object({
  arrangement: oneOf(['TN-S', 'TN-C-S', 'TT']),
  zeOhm: number('zeOhm'),
  ipfA: number('ipfA'),
}, { additionalProperties: false })

const Load = Type.Union([
  Type.Object({
    basis: Type.Literal('power'),
    powerW: number('powerW'),
    powerFactor: number('powerFactor'),
  }, { additionalProperties: false }),
  Type.Object({
    basis: Type.Literal('current'),
    currentA: number('currentA'),
    powerFactor: number('powerFactor'),
  }, { additionalProperties: false }),
])

export const TaskSchema = Type.Object({
  supply: Supply,
  use: oneOf(['sockets', 'lighting', 'fixed']),
  premises: oneOf(['dwelling', 'commercial', 'industrial']),
  location: oneOf(['general', 'bathroom', 'outdoors']),
  concealed: Type.Boolean(),
  load: Load,
  lengthM: number('lengthM'),
  cable: Type.Object({
    kind: oneOf(['flat-twin-earth', 'singles-in-conduit']),
    method: oneOf(['A', 'B', 'C', '100', '101', '102', '103']),
  }, { additionalProperties: false }),
  ambientC: Type.Integer({ minimum: 0, maximum: 80 }),
  grouping: Type.Object({
    circuits: Type.Integer({ minimum: 1, maximum: 20 }),
    arrangement: oneOf(['bunched', 'single-layer']),
  }, { additionalProperties: false }),
  device: Type.Object({ family: oneOf(['breaker', 'rcbo']), curve: oneOf(['B', 'C', 'D']) }, { additionalProperties: false }),
  residualA: Type.Unsafe<number | null>({ enum: [null, 0.03, 0.1, 0.3] }),
  measuredZs: oneOf(['eighty-percent', 'corrected']),
}, { additionalProperties: false })

export const ExerciseSchema = Type.Object({
  format: Type.Literal('nakshi.exercise'),
  version: Type.Literal(1),
  code: Type.String({ pattern: '^[A-Za-z0-9][A-Za-z0-9.-]{0,19}$' }),
  title: Type.String({ minLength: 1, maxLength: 120 }),
  scenario: Type.String({ maxLength: 4000 }),
  circuitName: Type.String({ minLength: 1, maxLength: 80 }),
  edition: Type.Literal('18-A2'),
  task: TaskSchema,
  variants: Type.Object({
    seed: integer('seed'),
    lengthSpread: number('spread'),
    loadSpread: number('spread'),
  }, { additionalProperties: false }),
  criteria: Type.Array(Type.String({ minLength: 1, maxLength: 20 }), { minItems: 1, uniqueItems: true }),
}, { additionalProperties: false, title: 'Nakshi exercise, version 1' })

// The schema and the core's type are one and the same, checked when the project is compiled.
export type ExerciseIsInStep = Proved<[Same<Static<typeof ExerciseSchema>, Exercise>]>
