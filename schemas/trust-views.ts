import { Type, type Static } from '@sinclair/typebox'
import type { Role } from '#core/exercise/roster'

/** A session that stands, as the administrator sees it. */
export interface SessionItem {
  readonly id: number
  readonly number: string
  readonly name: string
  readonly role: Role
  readonly startedAt: string
  readonly seenAt: string
  readonly device: string
  readonly address: string
}

export interface PasskeyItem {
  readonly id: number
  readonly name: string
  readonly madeAt: string
  readonly usedAt: string | null
}

export const ProofRequest = Type.Object(
  { secret: Type.String({ minLength: 1, maxLength: 200 }) },
  { additionalProperties: false },
)
/** What an authenticator answers; looked at by the package that knows the protocol. */
const Ceremony = Type.Object(
  {
    id: Type.String({ maxLength: 1400 }),
    rawId: Type.String({ maxLength: 1400 }),
    type: Type.Literal('public-key'),
    response: Type.Record(Type.String({ maxLength: 60 }), Type.Unknown(), { maxProperties: 12 }),
    authenticatorAttachment: Type.Optional(Type.String({ maxLength: 40 })),
    clientExtensionResults: Type.Optional(Type.Object({}, { additionalProperties: true })),
  },
  { additionalProperties: false },
)
export const PasskeyRequest = Type.Object(
  { name: Type.String({ minLength: 1, maxLength: 60 }), response: Ceremony },
  { additionalProperties: false },
)
export const PasskeyProofRequest = Type.Object({ response: Ceremony }, { additionalProperties: false })
const Years = Type.Integer({ minimum: 0, maximum: 50 })
export const TrustRequest = Type.Object(
  {
    proofMinutes: Type.Integer({ minimum: 0, maximum: 720 }),
    lockMinutes: Type.Integer({ minimum: 0, maximum: 720 }),
    staffGroups: Type.Unsafe<'all' | 'own'>({ enum: ['all', 'own'] }),
    keepPracticeYears: Years,
    keepPhotographYears: Years,
    keepLeaverYears: Years,
    samplePercent: Type.Integer({ minimum: 0, maximum: 100 }),
  },
  { additionalProperties: false },
)

export const GroupsRequest = Type.Object(
  { cohorts: Type.Array(Type.String({ minLength: 1, maxLength: 80 }), { maxItems: 100, uniqueItems: true }) },
  { additionalProperties: false },
)

/** How the server is doing; times over the last ten minutes. */
export interface MetricsView {
  readonly upS: number
  readonly memoryBytes: number
  readonly pauseMs: { readonly p99: number; readonly most: number }
  /** Screens that listen for news. */
  readonly streams: number
  readonly routes: readonly {
    readonly route: string
    readonly count: number
    readonly p50Ms: number
    readonly p99Ms: number
    readonly failed: number
  }[]
}

export const RetentionRequest = Type.Object(
  {
    kind: Type.Unsafe<RetentionItem['kind']>({ enum: ['practice', 'photographs', 'leavers'] }),
    count: Type.Integer({ minimum: 0 }),
  },
  { additionalProperties: false },
)
/** What is kept for longer than the centre wants. */
export interface RetentionItem {
  readonly kind: 'practice' | 'photographs' | 'leavers'
  /** Older than this; null where it is kept for ever. */
  readonly before: string | null
  readonly count: number
}

export interface AuditItem {
  readonly id: number
  readonly at: string
  readonly by: string | null
  readonly action: string
  readonly subject: string
  readonly device: string
  readonly address: string
}

export interface AuditView {
  readonly lines: readonly AuditItem[]
  readonly actions: readonly string[]
  readonly isMore: boolean
}

export const EraseRequest = Type.Object(
  { confirm: Type.String({ maxLength: 40 }) },
  { additionalProperties: false },
)

export const AuditQueryRequest = Type.Object(
  {
    by: Type.Optional(Type.String({ maxLength: 80 })),
    action: Type.Optional(Type.String({ maxLength: 60 })),
    from: Type.Optional(Type.String({ maxLength: 30 })),
    to: Type.Optional(Type.String({ maxLength: 30 })),
    before: Type.Optional(Type.Integer({ minimum: 1 })),
  },
  { additionalProperties: false },
)
export type AuditQueryBody = Static<typeof AuditQueryRequest>

/** How the data stands: copies, room, seal. */
export interface KeepingView {
  readonly backups: readonly { readonly madeAt: string; readonly bytes: number }[]
  readonly folder: string
  /** Of the newest one, h; null where there is none. */
  readonly ageH: number | null
  /** Older than this is worth a look, h. */
  readonly dueH: number
  /** Free on the disk of the data, B. */
  readonly freeBytes: number
  readonly databaseBytes: number
  /** The newest link of the audit. */
  readonly head: string
  /** The same of the chain of what was decided and signed. */
  readonly sealHead: string
}
