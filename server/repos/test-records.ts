import type { Database } from 'better-sqlite3'
import type { RecordKind } from '#core/testing/records/record-shape'
import type { SignedTestRecord } from '#schemas/test-record-views'

export interface TestRecordDraft {
  readonly fields: Readonly<Record<string, string>>
  readonly version: number
  readonly savedAt: string | null
}

/** A record as it is sealed: its content as text, and the hash of that text. */
interface NewSignature {
  readonly attemptId: number
  readonly kind: RecordKind
  readonly content: string
  readonly hash: string
}

/** Before anything has been typed. */
const NOT_BEGUN: TestRecordDraft = { fields: {}, version: 1, savedAt: null }

/** Records as they are typed, and their signed versions, which stay as they are. */
export function createTestRecordsRepo(db: Database) {
  const draft = db.prepare<[number, string], { fields: string; version: number; saved_at: string | null }>(
    'SELECT fields, version, saved_at FROM paper WHERE attempt_id = ? AND kind = ?',
  )
  const open = db.prepare('INSERT OR IGNORE INTO paper (attempt_id, kind) VALUES (?, ?)')
  const save = db.prepare(
    'UPDATE paper SET fields = ?, saved_at = ?, version = version + 1 WHERE attempt_id = ? AND kind = ? AND version = ?',
  )
  const sign = db.prepare(
    'INSERT INTO signed_paper (attempt_id, kind, content, hash, signed_by, signed_at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const signed = db.prepare<[number], Omit<SignedTestRecord, 'content'> & { content: string }>(
    'SELECT s.id, s.kind, s.content, s.hash, p.name AS signedBy, s.signed_at AS signedAt FROM signed_paper s JOIN person p ON p.id = s.signed_by WHERE s.attempt_id = ? ORDER BY s.id DESC',
  )
  return {
    draft: (attemptId: number, kind: RecordKind): TestRecordDraft => {
      const row = draft.get(attemptId, kind)
      return row ? { fields: JSON.parse(row.fields), version: row.version, savedAt: row.saved_at } : NOT_BEGUN
    },
    /** Begins it with the first save. */
    save: (
      attemptId: number,
      kind: RecordKind,
      version: number,
      fields: Readonly<Record<string, string>>,
      now: string,
    ): boolean => {
      open.run(attemptId, kind)
      return save.run(JSON.stringify(fields), now, attemptId, kind, version).changes === 1
    },
    sign: ({ attemptId, kind, content, hash }: NewSignature, by: number, at: string): number =>
      Number(sign.run(attemptId, kind, content, hash, by, at).lastInsertRowid),
    signed: (attemptId: number): SignedTestRecord[] =>
      signed.all(attemptId).map(({ content, ...rest }) => ({ ...rest, content: JSON.parse(content) })),
  }
}
