import type { Database } from 'better-sqlite3'
import type { RiskyDecision } from '#core/assessment/verification/sample'
import { mayBeTakenBack } from '../db/moment'

/** A decision as far as its risk is concerned, and whose work it is. It never changes. */
export interface DecisionRisk extends RiskyDecision {
  readonly attemptId: number
  readonly personId: number
}
type RawRisk = Omit<DecisionRisk, 'met'> & { readonly met: number }

/** Of a decision `d` on an attempt `a`; `k` holds what is kept of it. */
export const RISK = `
         d.id, d.by_id AS byId, d.at, d.met,
         coalesce(k.overrides, json_array_length(d.evidence, '$.overrides')) AS overrides,
         coalesce(k.critical, json_array_length(d.evidence, '$.proposal.critical')) AS critical,
         coalesce(k.criteria, (SELECT count(*) FROM occasion WHERE decision_id = d.id)) AS criteria,
         coalesce(k.unmet, (SELECT count(*) FROM occasion WHERE decision_id = d.id AND met = 0)) AS unmet,
         a.exercise_id AS exerciseId, d.attempt_id AS attemptId`
const DECIDED = `
  SELECT ${RISK}, a.person_id AS personId FROM decision d JOIN attempt a ON a.id = d.attempt_id
  LEFT JOIN kept_mark k ON k.attempt_id = a.id AND k.decision_id = d.id`

interface Kept {
  /** Everything decided since this moment, and up to this decision, has been read. */
  since: string
  lastId: number
  /** By the sheet: its latest decision. */
  readonly latest: Map<number, DecisionRisk>
}

/**
 * Latest decisions since a moment on the work of those whose group may be seen, the earliest first. Decisions are only
 * ever added, so that those that were read once are kept, and a look reads what has come since: after five years half a
 * year's took 20 ms.
 */
export function createDecisionRisks(db: Database) {
  const decidedSince = db.prepare<[string], RawRisk>(`${DECIDED} WHERE d.at >= ? ORDER BY d.at, d.id`)
  const decidedAfter = db.prepare<[number], RawRisk>(`${DECIDED} WHERE d.id > ? ORDER BY d.id`)
  const cohorts = db
    .prepare<[string], [id: number, cohort: string]>(
      'SELECT id, cohort FROM person WHERE id IN (SELECT value FROM json_each(?))',
    )
    .raw()
  let kept: Kept | undefined

  const readAll = (since: string): Kept =>
    add({ since, lastId: 0, latest: new Map() }, decidedSince.all(since))
  function add(to: Kept, rows: readonly RawRisk[]): Kept {
    for (const row of rows) {
      to.latest.set(row.attemptId, { ...row, met: row.met === 1 })
      to.lastId = Math.max(to.lastId, row.id)
    }
    return to
  }
  function keptSince(since: string): Kept {
    // What a transaction has written may yet be taken back, and its number given out again.
    if (mayBeTakenBack(db)) return readAll(since)
    if (!kept || since < kept.since) kept = readAll(since)
    return add(kept, decidedAfter.all(kept.lastId))
  }
  return (since: string, isSeen: (cohort: string) => boolean): readonly DecisionRisk[] => {
    const risks = [...keptSince(since).latest.values()].filter(({ at }) => at >= since)
    const people = [...new Set(risks.map(({ personId }) => personId))]
    const seen = new Set(
      cohorts.all(JSON.stringify(people)).flatMap(([id, cohort]) => (isSeen(cohort) ? id : [])),
    )
    return risks
      .filter(({ personId }) => seen.has(personId))
      .sort((a, b) => (a.at < b.at || (a.at === b.at && a.id < b.id) ? -1 : 1))
  }
}
