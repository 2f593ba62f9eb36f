import type { Database } from 'better-sqlite3'
import type { CalibrationBody } from '#schemas/schedule-requests'
import type { InstrumentView } from '#schemas/schedule-views'

/** The centre's test instruments, each with its newest calibration. */
export function createInstrumentsRepo(db: Database) {
  const all = db.prepare<[], InstrumentView>(`
    SELECT i.id, i.name, i.serial, i.kind, c.done_on AS doneOn, c.due_on AS dueOn, c.certificate, p.name AS notedBy
    FROM instrument i JOIN calibration c ON c.id = (SELECT max(id) FROM calibration WHERE instrument_id = i.id) JOIN person p ON p.id = c.noted_by
    WHERE i.is_retired = 0 ORDER BY i.kind, i.name`)
  const known = db.prepare<[string], { id: number }>(
    'SELECT id FROM instrument WHERE name = ? COLLATE NOCASE',
  )
  const insert = db.prepare('INSERT INTO instrument (name, serial, kind) VALUES (?, ?, ?)')
  const retire = db.prepare('UPDATE instrument SET is_retired = 1 WHERE id = ?')
  const calibrate = db.prepare(
    'INSERT INTO calibration (instrument_id, done_on, due_on, certificate, noted_by, noted_at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  return {
    all: () => all.all(),
    byName: (name: string) =>
      all.all().find((instrument) => instrument.name.toLowerCase() === name.trim().toLowerCase()),
    /** A name that was ever given, also of one that is out of use. */
    isKnown: (name: string): boolean => known.get(name.trim()) !== undefined,
    insert: (name: string, serial: string, kind: string): number =>
      Number(insert.run(name, serial, kind).lastInsertRowid),
    retire: (id: number): boolean => retire.run(id).changes === 1,
    calibrate: (id: number, { doneOn, dueOn, certificate }: CalibrationBody, by: number, at: string) =>
      void calibrate.run(id, doneOn, dueOn, certificate.trim(), by, at),
  }
}
