import type { Database } from 'better-sqlite3'
import { createDecisionRisks, RISK } from './decision-risks'

export interface CriterionVerdict {
  readonly code: string
  readonly met: boolean
  readonly reason: string
}
export interface SecondMarking {
  readonly id: number
  readonly decisionId: number
  readonly byId: number
  readonly by: string
  readonly verdicts: readonly CriterionVerdict[]
  readonly at: string
  /** Null while it is open, or where both said the same. */
  readonly settled: {
    readonly how: 'talk' | 'third'
    readonly stands: 'first' | 'second'
    readonly reason: string
    readonly by: string
    readonly at: string
  } | null
}

/** A decision as the sampling looks at it. */
export interface SampledDecision {
  readonly id: number
  readonly attemptId: number
  readonly byId: number
  readonly by: string
  readonly at: string
  readonly met: boolean
  readonly mark: number
  readonly outOf: number
  readonly overrides: number
  readonly critical: number
  /** How many criteria it decides, and of how many it says not yet. */
  readonly criteria: number
  readonly unmet: number
  readonly exerciseId: number
  readonly exerciseCode: string
  readonly exerciseTitle: string
  readonly person: string
  readonly personNumber: string
  readonly cohort: string
  readonly bay: number
}

/** What a decision says of one criterion. */
export interface DecidedCriterion {
  readonly code: string
  readonly met: boolean
}

interface RawSecond extends Omit<SecondMarking, 'verdicts' | 'settled'> {
  verdicts: string
  how: 'talk' | 'third' | null
  stands: 'first' | 'second'
  reason: string
  settledBy: string
  settledAt: string
}
type RawDecision = Omit<SampledDecision, 'met' | 'exerciseCode' | 'exerciseTitle'> & { met: number }
interface Head {
  readonly id: number
  readonly code: string
  readonly title: string
}

const SECOND = `
  SELECT m.id, m.decision_id AS decisionId, m.by_id AS byId, p.name AS "by", m.verdicts, m.at,
         s.how, s.stands, s.reason, sp.name AS settledBy, s.at AS settledAt
  FROM second_marking m JOIN person p ON p.id = m.by_id
  LEFT JOIN second_settled s ON s.second_id = m.id LEFT JOIN person sp ON sp.id = s.by_id`
// The latest decision on each sheet.
const LATEST = `
  FROM decision d JOIN attempt a ON a.id = d.attempt_id
  JOIN person w ON w.id = a.person_id
  LEFT JOIN kept_mark k ON k.attempt_id = a.id AND k.decision_id = d.id
  WHERE d.id = (SELECT max(id) FROM decision WHERE attempt_id = d.attempt_id)`
const DECISIONS = `
  SELECT ${RISK}, w.cohort,
         (SELECT name FROM person WHERE id = d.by_id) AS "by", d.mark, d.out_of AS outOf,
         w.name AS person, w.number AS personNumber, a.bay ${LATEST}`

const toSecond = (raw: RawSecond): SecondMarking => {
  const { verdicts, how, stands, reason, settledBy, settledAt, ...row } = raw
  return {
    ...row,
    verdicts: JSON.parse(verdicts) as CriterionVerdict[],
    settled: how === null ? null : { how, stands, reason, by: settledBy, at: settledAt },
  }
}
const toDecision = (raw: RawDecision, { code, title }: Head): SampledDecision => ({
  ...raw,
  exerciseCode: code,
  exerciseTitle: title,
  met: raw.met === 1,
})

/** The decisions that second assessors look at. */
function firstDecisions(db: Database) {
  const decisions = db.prepare<[string], RawDecision>(`${DECISIONS} AND d.at >= ? ORDER BY d.at, d.id`)
  const these = db.prepare<[string], RawDecision>(`${DECISIONS} AND d.id IN (SELECT value FROM json_each(?))`)
  const decision = db.prepare<[number], RawDecision>(`${DECISIONS} AND d.id = ?`)
  const criteria = db.prepare<[string], { decisionId: number; code: string; met: number }>(
    `SELECT decision_id AS decisionId, criterion AS code, met FROM occasion
     WHERE decision_id IN (SELECT value FROM json_each(?)) ORDER BY id`,
  )
  const heads = db.prepare<[], Head>(
    "SELECT id, code, json_extract(document, '$.title') AS title FROM exercise",
  )
  // A title is read once and not once a decision.
  function withHeads(raws: readonly RawDecision[]): SampledDecision[] {
    const byExercise = new Map(heads.all().map((head) => [head.id, head]))
    return raws.map((raw) => toDecision(raw, byExercise.get(raw.exerciseId)!))
  }
  return {
    /** Latest decisions since then, the earliest first, as far as their risk is concerned. */
    risksSince: createDecisionRisks(db),
    these: (ids: readonly number[]) => withHeads(these.all(JSON.stringify(ids))),
    /** Latest decisions since then. */
    decisionsSince: (at: string) => withHeads(decisions.all(at)),
    decision: (id: number) => {
      const row = decision.get(id)
      return row && withHeads([row])[0]
    },
    /** What each of these decisions says of its criteria. */
    criteriaOf: (wanted: readonly number[]): ReadonlyMap<number, readonly DecidedCriterion[]> => {
      const byDecision = new Map<number, DecidedCriterion[]>()
      for (const { decisionId, code, met } of criteria.all(JSON.stringify(wanted)))
        byDecision.set(decisionId, [...(byDecision.get(decisionId) ?? []), { code, met: met === 1 }])
      return byDecision
    },
  }
}

/** What a second assessor said of the same work, and how differences were settled. */
export function createSecondMarkingsRepo(db: Database) {
  const since = db.prepare<[string], RawSecond>(
    `${SECOND} WHERE m.decision_id IN (SELECT id FROM decision WHERE at >= ?) ORDER BY m.id`,
  )
  const byId = db.prepare<[number], RawSecond>(`${SECOND} WHERE m.id = ?`)
  const ofDecision = db.prepare<[number], RawSecond>(`${SECOND} WHERE m.decision_id = ? ORDER BY m.id`)
  const add = db.prepare(
    'INSERT OR IGNORE INTO second_marking (decision_id, by_id, verdicts, at) VALUES (?, ?, ?, ?)',
  )
  const settle = db.prepare(
    'INSERT OR IGNORE INTO second_settled (second_id, by_id, how, stands, reason, at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  return {
    ...firstDecisions(db),
    /** On decisions since then. */
    since: (at: string) => since.all(at).map(toSecond),
    byId: (id: number) => {
      const row = byId.get(id)
      return row && toSecond(row)
    },
    ofDecision: (id: number) => ofDecision.all(id).map(toSecond),
    /** Null when this person has judged it before. */
    add: (
      decisionId: number,
      by: number,
      verdicts: readonly CriterionVerdict[],
      at: string,
    ): number | null => {
      const run = add.run(decisionId, by, JSON.stringify(verdicts), at)
      return run.changes === 1 ? Number(run.lastInsertRowid) : null
    },
    /** False when it has been settled. */
    settle: (
      secondId: number,
      by: number,
      { how, stands, reason }: Pick<NonNullable<SecondMarking['settled']>, 'how' | 'stands' | 'reason'>,
      at: string,
    ): boolean => settle.run(secondId, by, how, stands, reason, at).changes === 1,
  }
}
