import { STANDBY_SOURCES } from '#core/installation/installation'
import { INFEEDS } from '#core/regulations/infeed'
import { Type, type Static, type TSchema } from '@sinclair/typebox'
import { CURVES, DEVICE_FAMILIES } from '#core/regulations/devices'
import { RCD_TYPES } from '#core/regulations/rcd'
import { RCD_WEAR } from '#core/bay/protection/rcd'
import { COLOURS, DEVICE_ROLES, POLES, type Part, type Rig, type Wire } from '#core/bay/model/rig'
import type { LoadKind } from '#core/bay/model/loads'
import { oneOf } from './one-of'
import type { Proved, Same } from './same'

const strict = { additionalProperties: false }
const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()])
const Id = Type.String({ pattern: '^[A-Za-z][A-Za-z0-9-]{0,29}$' })
/** Whether the terminal exists is told by the check of the rig, by name. */
const Ref = Type.String({ pattern: '^[A-Za-z][A-Za-z0-9-]*\\..{1,12}$' })
const Name = Type.String({ minLength: 1, maxLength: 80 })
const Positive = Type.Number({ exclusiveMinimum: 0, maximum: 1e12 })
const Place = Type.Integer({ minimum: 0, maximum: 60 })

const Load = Type.Unsafe<LoadKind>(
  Type.Union([
    Type.Object({ kind: oneOf(['resistive', 'filament']), watt: Positive }, strict),
    Type.Object(
      {
        kind: Type.Literal('electronic'),
        watt: Positive,
        powerFactor: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
        earthLeakA: Type.Number({ minimum: 0, maximum: 1 }),
      },
      strict,
    ),
    Type.Object(
      {
        kind: Type.Literal('motor'),
        watt: Positive,
        powerFactor: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
        startMultiple: Type.Number({ minimum: 1, maximum: 20 }),
        startS: Positive,
      },
      strict,
    ),
    Type.Object({ kind: Type.Literal('infeed'), watt: Positive, source: oneOf(INFEEDS) }, strict),
  ]),
)

const common = { id: Id, name: Name, board: orNull(Id), circuit: orNull(Id) }
const PartSchema = Type.Unsafe<Part>(
  Type.Union([
    Type.Object(
      {
        ...common,
        kind: Type.Literal('supply'),
        arrangement: oneOf(['TN-S', 'TN-C-S', 'TT', 'battery']),
        phases: oneOf([1, 3]),
        volt: Positive,
        lineOhm: Positive,
        neutralOhm: Positive,
        earthOhm: Positive,
      },
      strict,
    ),
    Type.Object({ ...common, kind: Type.Literal('meter'), phases: oneOf([1, 3]) }, strict),
    Type.Object(
      {
        ...common,
        kind: Type.Literal('device'),
        role: oneOf(DEVICE_ROLES),
        poles: Type.Array(oneOf(POLES), { minItems: 1, maxItems: 4, uniqueItems: true }),
        solid: Type.Array(oneOf(POLES)),
        hasEarth: Type.Boolean(),
        ratingA: Positive,
        overcurrent: orNull(
          Type.Object({ family: oneOf(DEVICE_FAMILIES), curve: orNull(oneOf(CURVES)) }, strict),
        ),
        residual: orNull(
          Type.Object(
            {
              ratedA: Positive,
              type: oneOf(RCD_TYPES),
              isDelayed: Type.Boolean(),
              wear: Type.Optional(oneOf(RCD_WEAR)),
            },
            strict,
          ),
        ),
        detectsArcs: Type.Boolean(),
        plugFuseA: Type.Unsafe<3 | 13 | null>({ enum: [null, 3, 13] }),
        marking: oneOf(['either', 'line-load', 'dc']),
        way: orNull(Type.Integer({ minimum: 1, maximum: 60 })),
      },
      strict,
    ),
    Type.Object(
      {
        ...common,
        kind: Type.Literal('bar'),
        serves: oneOf(['N', 'E']),
        terminals: Type.Integer({ minimum: 1, maximum: 80 }),
      },
      strict,
    ),
    Type.Object(
      {
        ...common,
        kind: Type.Literal('arrester'),
        poles: Type.Array(oneOf(POLES), { minItems: 1 }),
        clampV: Positive,
        way: Type.Optional(Type.Integer({ minimum: 1, maximum: 60 })),
      },
      strict,
    ),
    Type.Object(
      {
        ...common,
        kind: Type.Literal('standby'),
        source: oneOf(STANDBY_SOURCES),
        phases: oneOf([1, 3]),
        volt: Positive,
        lineOhm: Positive,
      },
      strict,
    ),
    Type.Object(
      {
        ...common,
        kind: Type.Literal('changeover'),
        poles: Type.Array(oneOf(POLES), { minItems: 2 }),
        afterS: orNull(Type.Number({ minimum: 0, maximum: 60 })),
      },
      strict,
    ),
    Type.Object(
      { ...common, kind: Type.Literal('socket'), gangs: oneOf([1, 2]), load: orNull(Load) },
      strict,
    ),
    Type.Object(
      { ...common, kind: Type.Literal('switch'), action: oneOf(['one-way', 'two-way', 'intermediate']) },
      strict,
    ),
    Type.Object(
      { ...common, kind: Type.Literal('lampholder'), holder: oneOf(['screw', 'two-pin']), load: Load },
      strict,
    ),
    Type.Object(
      {
        ...common,
        kind: Type.Literal('appliance'),
        poles: Type.Array(oneOf(POLES), { minItems: 1 }),
        load: Load,
      },
      strict,
    ),
    Type.Object({ ...common, kind: Type.Literal('junction') }, strict),
    Type.Object({ ...common, kind: Type.Literal('metalwork'), toEarthOhm: Positive }, strict),
  ]),
)

/** Lengths and areas are judged by the check of the rig, which names the terminals. */
const WireSchema = Type.Unsafe<Wire>(
  Type.Object(
    {
      id: Id,
      from: Ref,
      to: Ref,
      areaMm2: Type.Number(),
      lengthM: Type.Number(),
      colour: oneOf(COLOURS),
      run: orNull(Id),
      ohmPerM: Type.Optional(Type.Number()),
      looseOhm: Type.Optional(Type.Tuple([Type.Number(), Type.Number()])),
      isArcing: Type.Optional(Type.Boolean()),
    },
    strict,
  ),
)

export const WiresSchema = Type.Array(WireSchema, { maxItems: 2000 })
export const FramesSchema = Type.Array(
  Type.Object(
    {
      id: Id,
      name: Name,
      phases: oneOf([1, 3]),
      ways: Type.Integer({ minimum: 1, maximum: 24 }),
      blanks: Type.Array(Place),
      labels: Type.Record(Type.String(), Type.String({ maxLength: 80 })),
    },
    strict,
  ),
  { maxItems: 8 },
)

export const RigSchema = Type.Object(
  {
    format: Type.Literal('nakshi.rig'),
    version: Type.Literal(1),
    name: Name,
    boards: FramesSchema,
    parts: Type.Array(PartSchema, { minItems: 1, maxItems: 500 }),
    busbars: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Name,
          teeth: Type.Array(Ref, { minItems: 2 }),
          missing: Type.Array(Place),
          cutAfter: Type.Array(Place),
        },
        strict,
      ),
    ),
    runs: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Name,
          made: oneOf(['cable', 'steel', 'plastic', 'loose']),
          lengthM: Type.Number(),
          metal: orNull(Type.Tuple([Ref, Ref])),
        },
        strict,
      ),
    ),
    wires: WiresSchema,
    leaks: Type.Array(Type.Object({ id: Id, from: Ref, to: Ref, ohm: Type.Number() }, strict)),
  },
  { ...strict, title: 'Nakshi rig, version 1' },
)

export type RigIsInStep = Proved<[Same<Static<typeof RigSchema>, Rig>]>
