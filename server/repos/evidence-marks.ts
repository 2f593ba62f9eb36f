import type { Database } from 'better-sqlite3'

/** What was handed in and decided last, of each sort. */
interface DeskMarks {
  readonly decisions: string
  readonly accounts: string
  readonly surveys: string
}

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
      (SELECT count(*) FROM discussion d JOIN account c ON c.id = d.account_id WHERE c.person_id = p.id) || ' ' ||
      (SELECT count(*) FROM survey_decision WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM behaviour_seen WHERE person_id = p.id) || ' ' ||
      (SELECT count(*) FROM behaviour_undone u JOIN behaviour_seen b ON b.id = u.seen_id WHERE b.person_id = p.id) AS mark
    FROM person p WHERE p.cohort = ?`)
  const desk = db.prepare<[], DeskMarks>(`
    SELECT
      (SELECT coalesce(max(id), 0) FROM decision) || ' ' || (SELECT coalesce(max(id), 0) FROM second_marking) AS decisions,
      (SELECT coalesce(max(id), 0) FROM account_hand_in) || ' ' || (SELECT coalesce(max(id), 0) FROM claim_decision) AS accounts,
      (SELECT coalesce(max(id), 0) FROM survey_hand_in) || ' ' || (SELECT coalesce(max(id), 0) FROM survey_decision) AS surveys`)
  return {
    /** What was decided last, of each sort: the same mark is the same pile. */
    desk: (): DeskMarks => desk.get()!,
    ofCohort: (cohort: string): ReadonlyMap<number, string> =>
      new Map(ofCohort.all(cohort).map(({ personId, mark }) => [personId, mark])),
  }
}
