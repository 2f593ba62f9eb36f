import type { Database } from 'better-sqlite3'

/** A behaviour that somebody has seen. */
export interface SeenBehaviour {
  readonly id: number
  readonly personId: number
  readonly behaviour: string
  readonly note: string
  readonly by: string
  readonly at: string
}

const SEEN = `
  SELECT b.id, b.person_id AS personId, b.behaviour, b.note, p.name AS "by", b.at
  FROM behaviour_seen b JOIN person p ON p.id = b.by_id
  WHERE NOT EXISTS (SELECT 1 FROM behaviour_undone u WHERE u.seen_id = b.id)`

/** Behaviours as they were put down; what was taken back is left out. */
export function createBehavioursRepo(db: Database) {
  const ofPerson = db.prepare<[number], SeenBehaviour>(`${SEEN} AND b.person_id = ? ORDER BY b.id`)
  const ofCohort = db.prepare<[string], SeenBehaviour>(
    `${SEEN} AND b.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY b.id`,
  )
  const byId = db.prepare<[number], SeenBehaviour>(`${SEEN} AND b.id = ?`)
  const add = db.prepare(
    'INSERT INTO behaviour_seen (person_id, behaviour, attempt_id, note, by_id, at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const undo = db.prepare('INSERT OR IGNORE INTO behaviour_undone (seen_id, by_id, at) VALUES (?, ?, ?)')
  const permitted = db.prepare<[number], { bay: number }>(
    `SELECT a.bay FROM attempt a JOIN stage_event s ON s.attempt_id = a.id
     WHERE a.person_id = ? AND s.act = 'permit' ORDER BY s.id LIMIT 1`,
  )
  const sound = db.prepare<[number], { bay: number }>(
    `SELECT a.bay FROM attempt a JOIN decision d ON d.attempt_id = a.id
     WHERE a.person_id = ? AND json_array_length(d.evidence, '$.marked.work') > 0
       AND NOT EXISTS (SELECT 1 FROM json_each(d.evidence, '$.marked.work') w WHERE w.value ->> 'verdict' <> 'right')
     ORDER BY d.id LIMIT 1`,
  )
  return {
    /** A bay at which permission to energise was asked and given; null for none. */
    permittedAt: (personId: number): number | null => permitted.get(personId)?.bay ?? null,
    /** A bay whose inspection found nothing wrong; null for none. */
    soundAt: (personId: number): number | null => sound.get(personId)?.bay ?? null,
    ofPerson: (personId: number) => ofPerson.all(personId),
    ofCohort: (cohort: string) => ofCohort.all(cohort),
    byId: (id: number) => byId.get(id),
    add: (
      seen: Pick<SeenBehaviour, 'personId' | 'behaviour' | 'note' | 'at'>,
      byPerson: number,
      attemptId: number | null,
    ): number =>
      Number(add.run(seen.personId, seen.behaviour, attemptId, seen.note, byPerson, seen.at).lastInsertRowid),
    undo: (id: number, byPerson: number, at: string): void => void undo.run(id, byPerson, at),
  }
}
