import { Type, type Static } from '@sinclair/typebox'
import { EDITIONS } from '#core/regulations/editions'
import { oneOf } from './one-of'

const strict = { additionalProperties: false }
const Key = (maxLength: number) => Type.String({ minLength: 1, maxLength })

/** A value as it is written down from the book; the same in a request and in a file. */
export const BookEntrySchema = Type.Object(
  {
    edition: oneOf(EDITIONS),
    table: Key(60),
    row: Key(40),
    column: Key(20),
    value: Type.Union([Type.Number(), Type.Null()]),
    /** Where a rule stands, in the list of clauses alone. */
    clause: Type.Optional(Type.String({ minLength: 1, maxLength: 120 })),
    from: Key(10),
    place: Type.String({ maxLength: 200 }),
  },
  strict,
)

export const BookEntriesRequest = Type.Object(
  { entries: Type.Array(BookEntrySchema, { minItems: 1, maxItems: 2000 }) },
  strict,
)
export type BookEntriesBody = Static<typeof BookEntriesRequest>

/** The centre's own values as a file. */
export const BookFileSchema = Type.Object(
  {
    format: Type.Literal('nakshi.book'),
    version: Type.Literal(1),
    values: Type.Array(BookEntrySchema, { minItems: 1, maxItems: 2000 }),
  },
  { ...strict, title: 'Nakshi book supplement, version 1' },
)

export const BookFileRequest = Type.Object(
  { name: Type.String({ maxLength: 200 }), content: Type.String({ maxLength: 1_000_000 }) },
  strict,
)
export type BookFileBody = Static<typeof BookFileRequest>

export const BookAgreeRequest = Type.Object(
  {
    edition: oneOf(EDITIONS),
    table: Key(60),
    row: Key(20),
    column: Key(20),
    /** What stood on the screen. */
    value: Type.Number(),
  },
  strict,
)
export type BookAgreeBody = Static<typeof BookAgreeRequest>

export const BookSignRequest = Type.Object(
  { edition: oneOf(EDITIONS), name: Key(120), pin: Type.String({ maxLength: 40 }), seen: Key(64) },
  strict,
)
export type BookSignBody = Static<typeof BookSignRequest>

const Chosen = Type.Object({ edition: oneOf(EDITIONS), own: Type.Boolean() }, strict)
/** Two books to compare: an edition each, as shipped or as the centre reads it. */
export const BookCompareRequest = Type.Object({ first: Chosen, second: Chosen }, strict)
export type BookCompareBody = Static<typeof BookCompareRequest>
