import type { Database } from 'better-sqlite3'

/**
 * How much evidence somebody has, as one mark: everything it counts is append-only, so that the same mark is the
 * same evidence.
 */
export function createEvidenceMarksRepo(db: Database) {
  const ofCohort = db.prepare<[string], { personId: number; mark: string }>(`
    SELECT p.id AS personId,
      (SELECT count(*) FROM occasion WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM decision d JOIN attempt a ON a.id = d.attempt_id WHERE a.person_id = p.id) || ' ' ||
      (SELECT count(*) FROM observation_occasion WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM run_occasion WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM question_occasion WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM question_undone u JOIN question_asked q ON q.id = u.asked_id WHERE q.person_id = p.id) || ' ' ||
      (SELECT count(*) FROM claim_decision WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM survey_decision WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM behaviour_seen WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM behaviour_undone u JOIN behaviour_seen b ON b.id = u.seen_id WHERE b.person_id = p.id) AS mark
    FROM person p WHERE p.cohort = ?`)
  return {
    ofCohort: (cohort: string): ReadonlyMap<number, string> =>
      new Map(ofCohort.all(cohort).map(({ personId, mark }) => [personId, mark])),
  }
}
