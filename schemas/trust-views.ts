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
}
