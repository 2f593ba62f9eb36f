import { Type, type Static } from '@sinclair/typebox'

/** Readings of a whole bay as typed, by test: `c1.r1r2@c1p2`, `c1.irNE`, `ze`. */
export const ReadingsSchema = Type.Object(
  {
    format: Type.Literal('nakshi.readings'),
    version: Type.Literal(1),
    readings: Type.Record(Type.String({ minLength: 1, maxLength: 60 }), Type.String({ maxLength: 40 }), {
      maxProperties: 2000,
    }),
  },
  { additionalProperties: false, title: 'Nakshi readings, version 1' },
)

export type ReadingsFile = Static<typeof ReadingsSchema>
