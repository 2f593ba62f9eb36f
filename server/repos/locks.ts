import type { Database } from 'better-sqlite3'
import type { LockView, PermitView } from '#schemas/isolation-views'

const LOCK = `
  SELECT l.id, l.person_id AS personId, p.name, l.bay, l.device, l.padlock, l.reason, l.on_at AS onAt, l.off_at AS offAt
  FROM bay_lock l JOIN person p ON p.id = l.person_id`
const PERMIT = `
  SELECT t.id, t.holder_id AS holderId, h.name AS holder, t.bay, t.scope, t.from_at AS fromAt, t.until_at AS untilAt, i.name AS issuedBy, t.issued_at AS issuedAt, t.site_name AS siteName, t.returned_at AS returnedAt, r.name AS returnedBy
  FROM permit t JOIN person h ON h.id = t.holder_id JOIN person i ON i.id = t.issued_by LEFT JOIN person r ON r.id = t.returned_by`

const statementsOf = (db: Database) => ({
  open: db.prepare<[], LockView>(`${LOCK} WHERE l.off_at IS NULL ORDER BY l.bay, l.id`),
  one: db.prepare<[number], LockView>(`${LOCK} WHERE l.id = ?`),
  openOf: db.prepare<[number], LockView>(`${LOCK} WHERE l.off_at IS NULL AND l.person_id = ?`),
  put: db.prepare(
    'INSERT INTO bay_lock (person_id, bay, device, padlock, reason, on_at, on_by) VALUES (?, ?, ?, ?, ?, ?, ?)',
  ),
  off: db.prepare('UPDATE bay_lock SET off_at = ?, off_by = ? WHERE id = ? AND off_at IS NULL'),
  permits: db.prepare<[], PermitView>(`${PERMIT} ORDER BY t.returned_at IS NOT NULL, t.id DESC LIMIT 60`),
  permit: db.prepare<[number], PermitView>(`${PERMIT} WHERE t.id = ?`),
  issue: db.prepare(
    'INSERT INTO permit (holder_id, bay, scope, from_at, until_at, issued_by, issued_at, site_name) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
  ),
  giveBack: db.prepare(
    'UPDATE permit SET returned_at = ?, returned_by = ? WHERE id = ? AND returned_at IS NULL',
  ),
  pin: db.prepare<[number], { pin_hash: string }>('SELECT pin_hash FROM person_pin WHERE person_id = ?'),
  setPin: db.prepare(
    'INSERT INTO person_pin (person_id, pin_hash, set_at) VALUES (?, ?, ?) ON CONFLICT (person_id) DO UPDATE SET pin_hash = excluded.pin_hash, set_at = excluded.set_at',
  ),
})

/** Padlocks on bays, permits, and the short numbers that people sign with. */
export function createLocksRepo(db: Database) {
  const sql = statementsOf(db)

  return {
    open: () => sql.open.all(),
    byId: (id: number) => sql.one.get(id),
    openOf: (personId: number) => sql.openOf.all(personId),
    put: (
      lock: { personId: number; bay: number; device: string; padlock: string; reason: string },
      by: number,
      at: string,
    ): number =>
      Number(
        sql.put.run(lock.personId, lock.bay, lock.device, lock.padlock, lock.reason, at, by).lastInsertRowid,
      ),
    takeOff: (id: number, by: number, at: string): boolean => sql.off.run(at, by, id).changes === 1,
    permits: () => sql.permits.all(),
    permit: (id: number) => sql.permit.get(id),
    issue: (
      removal: {
        holderId: number
        bay: number
        scope: string
        fromAt: string
        untilAt: string
        siteName: string
      },
      by: number,
      at: string,
    ): number =>
      Number(
        sql.issue.run(
          removal.holderId,
          removal.bay,
          removal.scope,
          removal.fromAt,
          removal.untilAt,
          by,
          at,
          removal.siteName,
        ).lastInsertRowid,
      ),
    giveBack: (id: number, by: number, at: string): boolean => sql.giveBack.run(at, by, id).changes === 1,
    pinHash: (personId: number) => sql.pin.get(personId)?.pin_hash,
    setPin: (personId: number, hash: string, at: string) => void sql.setPin.run(personId, hash, at),
  }
}
