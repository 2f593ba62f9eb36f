import type { Database } from 'better-sqlite3'

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
  readonly criteria: readonly { readonly code: string; readonly met: boolean }[]
  readonly exerciseId: number
  readonly exerciseCode: string
  readonly exerciseTitle: string
  readonly person: string
  readonly personNumber: string
  readonly cohort: string
  readonly bay: number
}

interface RawSecond extends Omit<SecondMarking, 'verdicts' | 'settled'> {
  verdicts: string
  how: 'talk' | 'third' | null
  stands: 'first' | 'second'
  reason: string
  settledBy: string
  settledAt: string
}
type RawDecision = Omit<SampledDecision, 'met' | 'criteria' | 'exerciseCode' | 'exerciseTitle'> & {
  met: number
  criteria: string
}
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
const DECISIONS = `
  SELECT d.id, d.attempt_id AS attemptId, d.by_id AS byId, p.name AS "by", d.at, d.met, d.mark, d.out_of AS outOf,
         coalesce(k.overrides, json_array_length(d.evidence, '$.overrides')) AS overrides,
         coalesce(k.critical, json_array_length(d.evidence, '$.proposal.critical')) AS critical,
         (SELECT json_group_array(json_object('code', o.criterion, 'met', o.met)) FROM occasion o
          WHERE o.decision_id = d.id) AS criteria,
         a.exercise_id AS exerciseId, w.name AS person, w.number AS personNumber, w.cohort, a.bay
  FROM decision d JOIN attempt a ON a.id = d.attempt_id
  JOIN person p ON p.id = d.by_id JOIN person w ON w.id = a.person_id
  LEFT JOIN kept_mark k ON k.attempt_id = a.id AND k.version = 'decision ' || d.id
  WHERE d.id = (SELECT max(id) FROM decision WHERE attempt_id = d.attempt_id)`

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
  criteria: (JSON.parse(raw.criteria) as { code: string; met: number }[]).map(({ code, met }) => ({
    code,
    met: met === 1,
  })),
})

/** What a second assessor said of the same work, and how differences were settled. */
export function createSecondMarkingsRepo(db: Database) {
  const since = db.prepare<[string], RawSecond>(
    `${SECOND} WHERE m.decision_id IN (SELECT id FROM decision WHERE at >= ?) ORDER BY m.id`,
  )
  const byId = db.prepare<[number], RawSecond>(`${SECOND} WHERE m.id = ?`)
  const ofDecision = db.prepare<[number], RawSecond>(`${SECOND} WHERE m.decision_id = ? ORDER BY m.id`)
  const decisions = db.prepare<[string], RawDecision>(`${DECISIONS} AND d.at >= ? ORDER BY d.at, d.id`)
  const decision = db.prepare<[number], RawDecision>(`${DECISIONS} AND d.id = ?`)
  const add = db.prepare(
    'INSERT OR IGNORE INTO second_marking (decision_id, by_id, verdicts, at) VALUES (?, ?, ?, ?)',
  )
  const settle = db.prepare(
    'INSERT OR IGNORE INTO second_settled (second_id, by_id, how, stands, reason, at) VALUES (?, ?, ?, ?, ?, ?)',
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
    /** On decisions since then. */
    since: (at: string) => since.all(at).map(toSecond),
    byId: (id: number) => {
      const row = byId.get(id)
      return row && toSecond(row)
    },
    ofDecision: (id: number) => ofDecision.all(id).map(toSecond),
    /** Latest decisions since then. */
    decisionsSince: (at: string) => withHeads(decisions.all(at)),
    decision: (id: number) => {
      const row = decision.get(id)
      return row && withHeads([row])[0]
    },
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
