import type { Database } from 'better-sqlite3'
import type { DrumView, StockMoveView } from '#schemas/planning-views'

/** Drums of cable and every metre that came or went. */
export function createStockRepo(db: Database) {
  const drums = db.prepare<[], DrumView>(`
    SELECT d.id, d.cable, d.label, d.cost_pence AS costPence,
      round((SELECT coalesce(sum(m.metres), 0) FROM drum_move m WHERE m.drum_id = d.id), 2) AS leftM,
      (SELECT coalesce(sum(m.metres), 0) FROM drum_move m WHERE m.drum_id = d.id AND m.kind = 'bought') AS boughtM
    FROM drum d ORDER BY d.cable, d.id`)
  const used = db.prepare<[], { cable: string; usedM: number; wasteM: number; costPence: number }>(`
    SELECT d.cable,
      -sum(CASE WHEN m.kind <> 'bought' THEN m.metres ELSE 0 END) AS usedM,
      -sum(CASE WHEN m.kind = 'waste' THEN m.metres ELSE 0 END) AS wasteM,
      -sum(CASE WHEN m.kind <> 'bought' THEN m.metres * d.cost_pence ELSE 0 END) AS costPence
    FROM drum_move m JOIN drum d ON d.id = m.drum_id GROUP BY d.cable`)
  const points = db.prepare<[], { cable: string; metres: number }>('SELECT cable, metres FROM order_point')
  const setPoint = db.prepare('INSERT OR REPLACE INTO order_point (cable, metres) VALUES (?, ?)')
  const insert = db.prepare(
    'INSERT INTO drum (cable, label, cost_pence, made_by, made_at) VALUES (?, ?, ?, ?, ?)',
  )
  const move = db.prepare(
    'INSERT INTO drum_move (drum_id, kind, metres, session_id, note, by_id, at) VALUES (?, ?, ?, ?, ?, ?, ?)',
  )
  const moves = db.prepare<[], StockMoveView>(`
    SELECT m.id, d.label AS drum, m.kind, m.metres, m.note, p.name AS "by", m.at,
      json_extract(s.fields, '$.title') AS session, s.day AS sessionDay
    FROM drum_move m JOIN drum d ON d.id = m.drum_id JOIN person p ON p.id = m.by_id
      LEFT JOIN planned_session s ON s.id = m.session_id ORDER BY m.id DESC LIMIT 60`)
  return {
    drums: () => drums.all(),
    used: () => new Map(used.all().map((row) => [row.cable, row])),
    orderPoints: () => new Map(points.all().map(({ cable, metres }) => [cable, metres])),
    setOrderPoint: (cable: string, metres: number): void => void setPoint.run(cable, metres),
    insert: (
      { cable, label, costPence }: Pick<DrumView, 'cable' | 'label' | 'costPence'>,
      by: number,
      at: string,
    ): number => Number(insert.run(cable, label, costPence, by, at).lastInsertRowid),
    /** `metres` is added to the drum; below zero taken from it. */
    move: (
      drumId: number,
      {
        kind,
        metres,
        sessionId,
        note,
      }: { kind: string; metres: number; sessionId: number | null; note: string },
      by: number,
      at: string,
    ): void => void move.run(drumId, kind, metres, sessionId, note, by, at),
    /** The latest, newest first. */
    moves: () => moves.all(),
  }
}
