import type { Database } from 'better-sqlite3'
import { headOfAccount, type AccountFields } from '#core/assessment/portfolio/account'
import type { EvidenceKind } from '#core/assessment/outcomes/kinds'
import type { PersonOccasion } from './decisions'

export interface StoredAccount {
  readonly id: number
  readonly personId: number
  readonly person: string
  readonly cohort: string
  readonly fields: AccountFields
  readonly version: number
  /** ISO 8601 UTC; null before the first save. */
  readonly savedAt: string | null
}
export interface HandIn {
  readonly id: number
  readonly accountId: number
  readonly fields: AccountFields
  readonly at: string
}
export interface ClaimDecision {
  readonly id: number
  readonly handInId: number
  readonly claim: string
  readonly criterion: string
  readonly kind: EvidenceKind
  readonly met: boolean
  readonly reason: string
  readonly by: string
  readonly at: string
}
export interface StoredWitness {
  readonly id: number
  readonly accountId: number
  readonly name: string
  readonly role: string
  readonly contact: string
  readonly askedAt: string
  /** Empty until they have answered. */
  readonly statement: string
  readonly statedAt: string | null
}

/** A page in PDF. */
export interface StoredPage {
  readonly hash: string
  readonly bytes: Buffer
  readonly name: string
  readonly madeBy: number
  readonly madeAt: string
}

const ACCOUNT = `
  SELECT a.id, a.person_id AS personId, p.name AS person, p.cohort, a.fields, a.version, a.saved_at AS savedAt
  FROM account a JOIN person p ON p.id = a.person_id`
const DECISION = `
  SELECT d.id, d.hand_in_id AS handInId, d.claim, d.criterion, d.kind, d.met, d.reason, p.name AS "by", d.at
  FROM claim_decision d JOIN person p ON p.id = d.by_id`
const WITNESS = `
  SELECT w.id, w.account_id AS accountId, w.name, w.role, w.contact, w.asked_at AS askedAt,
         coalesce(s.statement, '') AS statement, s.at AS statedAt
  FROM witness w LEFT JOIN witness_statement s ON s.witness_id = w.id`
// Of a claim that was decided again, the latest decision counts.
const OCCASIONS = `
  SELECT d.person_id AS personId, d.criterion, d.met, d.kind AS claimKind, p.name AS decidedBy, d.at AS decidedAt, h.fields,
         EXISTS (SELECT 1 FROM discussion t WHERE t.account_id = h.account_id AND t.claim = d.claim) AS wasDiscussed
  FROM claim_decision d JOIN account_hand_in h ON h.id = d.hand_in_id JOIN person p ON p.id = d.by_id
  WHERE d.id = (SELECT max(l.id) FROM claim_decision l WHERE l.person_id = d.person_id AND l.claim = d.claim)`

type Raw<T> = Omit<T, 'fields'> & { fields: string }
type RawDecision = Omit<ClaimDecision, 'met'> & { met: number }
interface RawOccasion extends Pick<PersonOccasion, 'personId' | 'criterion' | 'decidedBy' | 'decidedAt'> {
  met: number
  claimKind: EvidenceKind
  wasDiscussed: number
  fields: string
}

const read = <T extends { readonly fields: AccountFields }>(row: Raw<T>): T =>
  ({ ...row, fields: JSON.parse(row.fields) as AccountFields }) as unknown as T
const toDecision = (row: RawDecision): ClaimDecision => ({ ...row, met: row.met === 1 })

/** Two accounts of one job are one job, however it is written. */
const jobCode = (job: string): string => `job ${job.toLowerCase().replace(/\s+/g, ' ')}`

function toOccasion({ fields, met, wasDiscussed, ...row }: RawOccasion): PersonOccasion {
  const { title, job, day, shown } = headOfAccount(JSON.parse(fields) as AccountFields)
  return {
    ...row,
    from: 'claim',
    met: met === 1,
    wasDiscussed: wasDiscussed === 1,
    attemptId: null,
    exerciseCode: jobCode(job),
    exerciseTitle: title,
    workedOn: day,
    shown,
  }
}

const statementsOf = (db: Database) => ({
  byId: db.prepare<[number], Raw<StoredAccount>>(`${ACCOUNT} WHERE a.id = ?`),
  ofPerson: db.prepare<[number], Raw<StoredAccount>>(`${ACCOUNT} WHERE a.person_id = ? ORDER BY a.id DESC`),
  handedIn: db.prepare<[], Raw<StoredAccount>>(
    `${ACCOUNT} WHERE EXISTS (SELECT 1 FROM account_hand_in h WHERE h.account_id = a.id) ORDER BY a.id DESC LIMIT 500`,
  ),
  insert: db.prepare('INSERT INTO account (person_id, fields, begun_at) VALUES (?, ?, ?)'),
  save: db.prepare(
    'UPDATE account SET fields = ?, saved_at = ?, version = version + 1 WHERE id = ? AND version = ?',
  ),
  handIns: db.prepare<[number], Raw<HandIn>>(
    'SELECT id, account_id AS accountId, fields, at FROM account_hand_in WHERE account_id = ? ORDER BY id',
  ),
  handIn: db.prepare('INSERT INTO account_hand_in (account_id, fields, at) VALUES (?, ?, ?)'),
  lastHandIns: db.prepare<[string], Raw<HandIn>>(
    `SELECT id, account_id AS accountId, fields, at FROM account_hand_in WHERE id IN (
       SELECT max(id) FROM account_hand_in WHERE account_id IN (SELECT value FROM json_each(?)) GROUP BY account_id)`,
  ),
  lastDecisions: db.prepare<[string], RawDecision>(
    `${DECISION} WHERE d.hand_in_id IN (
         SELECT id FROM account_hand_in WHERE account_id IN (SELECT value FROM json_each(?)))
       AND d.id = (SELECT max(l.id) FROM claim_decision l WHERE l.person_id = d.person_id AND l.claim = d.claim)`,
  ),
  decisions: db.prepare<[number], RawDecision>(
    `${DECISION} JOIN account_hand_in h ON h.id = d.hand_in_id WHERE h.account_id = ? ORDER BY d.id`,
  ),
  decide: db.prepare(
    `INSERT INTO claim_decision (hand_in_id, claim, person_id, criterion, kind, met, reason, by_id, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ),
  occasionsOf: db.prepare<[number], RawOccasion>(`${OCCASIONS} AND d.person_id = ? ORDER BY d.id`),
  occasionsOfCohort: db.prepare<[string], RawOccasion>(
    `${OCCASIONS} AND d.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY d.id`,
  ),
  witnesses: db.prepare<[number], StoredWitness>(`${WITNESS} WHERE w.account_id = ? ORDER BY w.id`),
  witnessByCode: db.prepare<[string], StoredWitness>(`${WITNESS} WHERE w.code_hash = ?`),
  askWitness: db.prepare(
    'INSERT INTO witness (account_id, name, role, contact, code_hash, asked_at) VALUES (?, ?, ?, ?, ?, ?)',
  ),
  addPage: db.prepare(
    'INSERT OR IGNORE INTO page_file (hash, bytes, name, made_by, made_at) VALUES (?, ?, ?, ?, ?)',
  ),
  page: db.prepare<[string], StoredPage>(
    'SELECT hash, bytes, name, made_by AS madeBy, made_at AS madeAt FROM page_file WHERE hash = ?',
  ),
  pagesSince: db.prepare<[number, string], { n: number }>(
    'SELECT count(*) AS n FROM page_file WHERE made_by = ? AND made_at > ?',
  ),
  state: db.prepare('INSERT OR IGNORE INTO witness_statement (witness_id, statement, at) VALUES (?, ?, ?)'),
})

export interface NewClaimDecision extends Omit<ClaimDecision, 'id' | 'by'> {
  readonly personId: number
  readonly byId: number
}

/** Accounts of work elsewhere, what was claimed in them, and who saw it. */
export function createAccountsRepo(db: Database) {
  const sql = statementsOf(db)
  const one = <T extends { readonly fields: AccountFields }>(row: Raw<T> | undefined): T | undefined =>
    row && read<T>(row)
  return {
    byId: (id: number) => one<StoredAccount>(sql.byId.get(id)),
    ofPerson: (personId: number) => sql.ofPerson.all(personId).map((row) => read<StoredAccount>(row)),
    /** Handed in at least once, newest first. */
    handedIn: () => sql.handedIn.all().map((row) => read<StoredAccount>(row)),
    insert: (personId: number, fields: AccountFields, at: string): number =>
      Number(sql.insert.run(personId, JSON.stringify(fields), at).lastInsertRowid),
    /** False when somebody else was quicker. */
    save: (id: number, version: number, fields: AccountFields, at: string): boolean =>
      sql.save.run(JSON.stringify(fields), at, id, version).changes === 1,
    handIns: (accountId: number) => sql.handIns.all(accountId).map((row) => read<HandIn>(row)),
    /** The latest of each of these accounts. */
    lastHandIns: (accounts: readonly number[]) =>
      sql.lastHandIns.all(JSON.stringify(accounts)).map((row) => read<HandIn>(row)),
    /** The latest decision on each claim in these accounts. */
    lastDecisions: (accounts: readonly number[]) =>
      sql.lastDecisions.all(JSON.stringify(accounts)).map(toDecision),
    handIn: (accountId: number, fields: AccountFields, at: string): number =>
      Number(sql.handIn.run(accountId, JSON.stringify(fields), at).lastInsertRowid),
    decisions: (accountId: number): ClaimDecision[] => sql.decisions.all(accountId).map(toDecision),
    decide: (decision: NewClaimDecision): number => {
      const { handInId, claim, personId, criterion, kind, met, reason, byId, at } = decision
      const run = sql.decide.run(handInId, claim, personId, criterion, kind, met ? 1 : 0, reason, byId, at)
      return Number(run.lastInsertRowid)
    },
    occasionsOf: (personId: number) => sql.occasionsOf.all(personId).map(toOccasion),
    occasionsOfCohort: (cohort: string) => sql.occasionsOfCohort.all(cohort).map(toOccasion),
    witnesses: (accountId: number) => sql.witnesses.all(accountId),
    witnessByCode: (codeHash: string) => sql.witnessByCode.get(codeHash),
    askWitness: (
      { accountId, name, role, contact, askedAt }: Omit<StoredWitness, 'id' | 'statement' | 'statedAt'>,
      codeHash: string,
    ): void => void sql.askWitness.run(accountId, name, role, contact, codeHash, askedAt),
    addPage: ({ hash, bytes, name, madeBy, madeAt }: StoredPage): void =>
      void sql.addPage.run(hash, bytes, name, madeBy, madeAt),
    page: (hash: string) => sql.page.get(hash),
    pagesSince: (personId: number, since: string): number => sql.pagesSince.get(personId, since)!.n,
    /** False when the code has been used. */
    state: (witnessId: number, statement: string, at: string): boolean =>
      sql.state.run(witnessId, statement, at).changes === 1,
  }
}
