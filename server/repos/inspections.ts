import type { Database } from 'better-sqlite3'
import type { SceneCode } from '#core/inspection/scenes/code'
import {
  MANNER_NOW,
  SCENE_MANNERS,
  type FoundSpot,
  type RoundScore,
  type SceneManner,
} from '#core/inspection/scene'

export interface StoredInspection {
  readonly fields: Readonly<Record<string, string>>
  readonly version: number
  readonly savedAt: string | null
  readonly savedBy: number | null
}

export interface StoredRound {
  readonly id: number
  readonly personId: number
  readonly scene: SceneCode
  readonly seed: number
  readonly found: { readonly spots: readonly FoundSpot[]; readonly answers: Readonly<Record<string, string>> }
  readonly score: RoundScore | null
  readonly startedAt: string
  readonly endedAt: string | null
  /** The manner in which its picture is drawn again; null for one that cannot be. */
  readonly manner: SceneManner | null
}

interface InspectionRow {
  fields: string
  version: number
  saved_at: string | null
  saved_by: number | null
}
const toInspection = (row: InspectionRow): StoredInspection => ({
  fields: JSON.parse(row.fields),
  version: row.version,
  savedAt: row.saved_at,
  savedBy: row.saved_by,
})

interface RoundRow {
  id: number
  person_id: number
  scene: SceneCode
  seed: number
  found: string
  score: string | null
  started_at: string
  ended_at: string | null
  drawn: number
}
const toRound = (row: RoundRow): StoredRound => {
  const found = JSON.parse(row.found)
  return {
    id: row.id,
    personId: row.person_id,
    scene: row.scene,
    seed: row.seed,
    found: Array.isArray(found) ? { spots: [], answers: {} } : found,
    score: row.score === null ? null : JSON.parse(row.score),
    startedAt: row.started_at,
    endedAt: row.ended_at,
    manner: SCENE_MANNERS.find((manner) => manner === row.drawn) ?? null,
  }
}

const statementsOf = (db: Database) => ({
  open: db.prepare('INSERT OR IGNORE INTO inspection (attempt_id) VALUES (?)'),
  byAttempt: db.prepare<[number], InspectionRow>(
    'SELECT fields, version, saved_at, saved_by FROM inspection WHERE attempt_id = ?',
  ),
  ofAttempts: db.prepare<[string], InspectionRow & { attempt_id: number }>(
    'SELECT attempt_id, fields, version, saved_at, saved_by FROM inspection WHERE attempt_id IN (SELECT value FROM json_each(?))',
  ),
  save: db.prepare(
    'UPDATE inspection SET fields = ?, saved_at = ?, saved_by = ?, version = version + 1 WHERE attempt_id = ? AND version = ?',
  ),
  addPhoto: db.prepare('INSERT OR IGNORE INTO photo (hash, bytes, made_by, made_at) VALUES (?, ?, ?, ?)'),
  photosSince: db.prepare<[number, string], { n: number }>(
    'SELECT count(*) AS n FROM photo WHERE made_by = ? AND made_at > ?',
  ),
  photo: db.prepare<[string], { bytes: Buffer; made_by: number }>(
    'SELECT bytes, made_by FROM photo WHERE hash = ?',
  ),
  showsTo: db.prepare<[number, string]>(
    'SELECT 1 FROM inspection i JOIN attempt a ON a.id = i.attempt_id WHERE a.person_id = ? AND instr(i.fields, ?) > 0',
  ),
  insertRound: db.prepare(
    'INSERT INTO inspection_round (person_id, scene, seed, started_at, drawn) VALUES (?, ?, ?, ?, ?)',
  ),
  round: db.prepare<[number], RoundRow>('SELECT * FROM inspection_round WHERE id = ?'),
  rounds: db.prepare<[number], RoundRow>(
    'SELECT * FROM inspection_round WHERE person_id = ? ORDER BY id DESC LIMIT 20',
  ),
  endRound: db.prepare(
    'UPDATE inspection_round SET found = ?, score = ?, ended_at = ? WHERE id = ? AND ended_at IS NULL',
  ),
})

/** Inspections of an attempt's work, their pictures, and rounds of the trainer. */
export function createInspectionsRepo(db: Database) {
  const sql = statementsOf(db)
  return {
    byAttempt: (attemptId: number): StoredInspection | undefined => {
      const row = sql.byAttempt.get(attemptId)
      return row && toInspection(row)
    },
    /** Of these attempts, by attempt. */
    ofAttempts: (attempts: readonly number[]): ReadonlyMap<number, StoredInspection> =>
      new Map(
        sql.ofAttempts
          .all(JSON.stringify(attempts))
          .map((row) => [row.attempt_id, toInspection(row)] as const),
      ),
    /** Begins it with the first save. */
    save: (
      attemptId: number,
      version: number,
      fields: Readonly<Record<string, string>>,
      by: number,
      now: string,
    ): boolean => {
      sql.open.run(attemptId)
      return sql.save.run(JSON.stringify(fields), now, by, attemptId, version).changes === 1
    },
    addPhoto: (hash: string, bytes: Buffer, by: number, now: string) =>
      void sql.addPhoto.run(hash, bytes, by, now),
    photosSince: (by: number, since: string): number => sql.photosSince.get(by, since)!.n,
    photo: (hash: string): { readonly bytes: Buffer; readonly madeBy: number } | undefined => {
      const row = sql.photo.get(hash)
      return row && { bytes: row.bytes, madeBy: row.made_by }
    },
    /** Whether a picture stands in the inspection of somebody’s own work. */
    showsWorkOf: (personId: number, hash: string): boolean => sql.showsTo.get(personId, hash) !== undefined,
    startRound: (personId: number, scene: SceneCode, seed: number, now: string): number =>
      Number(sql.insertRound.run(personId, scene, seed, now, MANNER_NOW).lastInsertRowid),
    round: (id: number): StoredRound | undefined => {
      const row = sql.round.get(id)
      return row && toRound(row)
    },
    roundsOf: (personId: number) => sql.rounds.all(personId).map(toRound),
    endRound: (id: number, found: StoredRound['found'], score: RoundScore, now: string): boolean =>
      sql.endRound.run(JSON.stringify(found), JSON.stringify(score), now, id).changes === 1,
  }
}
