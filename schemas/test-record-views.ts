/* Records between server and screens. */
import { Type, type Static } from '@sinclair/typebox'
import { Seen } from './requests'
import { RECORD_KINDS, type OtherSource, type RecordKind } from '#core/testing/records/record-shape'
import type { NamedRecord } from '#words/test-record'
import type { Edition } from '#core/regulations/editions'
import type { Readings } from '#core/testing/readings'
import type { CircuitHead } from './schedule-views'

const strict = { additionalProperties: false }
const Kind = Type.Unsafe<RecordKind>({ enum: [...RECORD_KINDS] })

export const TestRecordSaveRequest = Type.Object(
  {
    kind: Kind,
    version: Type.Integer({ minimum: 1 }),
    fields: Type.Record(
      Type.String({ pattern: '^(why\\.)?[a-zA-Z]{1,30}$' }),
      Type.String({ maxLength: 400 }),
      { ...strict, maxProperties: 80 },
    ),
  },
  strict,
)
export const TestRecordSignRequest = Type.Object(
  {
    kind: Kind,
    version: Type.Integer({ minimum: 1 }),
    name: Type.String({ minLength: 1, maxLength: 80 }),
    pin: Type.String({ pattern: '^\\d{4,8}$' }),
    seen: Seen,
  },
  strict,
)

export type TestRecordSaveBody = Static<typeof TestRecordSaveRequest>
export type TestRecordSignBody = Static<typeof TestRecordSignRequest>

/** A record as it was signed; never changed afterwards. */
export interface SignedTestRecord {
  readonly id: number
  readonly kind: RecordKind
  /** SHA-256 of the content, in hexadecimal. */
  readonly hash: string
  readonly signedBy: string
  readonly signedAt: string
  readonly content: SignedContent
}

export interface SignedContent {
  readonly paper: NamedRecord
  readonly readings: Readings
  readonly times: Readonly<Record<string, string>>
  readonly attempt: TestRecordsView['attempt']
}

export interface TestRecordsView {
  /** Sources beside the supply, for the notice at the origin. */
  readonly sources: readonly OtherSource[]
  readonly attempt: {
    readonly id: number
    readonly name: string
    readonly bay: number
    readonly code: string
    readonly title: string
    readonly edition: Edition
  }
  readonly circuits: readonly CircuitHead[]
  readonly tests: readonly {
    readonly key: string
    readonly kind: string
    readonly circuit: string | null
    readonly isAsked: boolean
  }[]
  readonly readings: Readings
  readonly papers: Readonly<
    Record<
      RecordKind,
      {
        readonly paper: NamedRecord
        readonly fields: Readonly<Record<string, string>>
        readonly version: number
        readonly savedAt: string | null
        /** The hash of what would be signed. */
        readonly seen: string
      }
    >
  >
  readonly signed: readonly SignedTestRecord[]
}
