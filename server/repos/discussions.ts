import type { Database } from 'better-sqlite3'

/** A professional discussion of one claim. */
export interface Discussion {
  /** Token of the claim. */
  readonly claim: string
  readonly asked: string
  readonly said: string
  readonly minutes: number
  readonly by: string
  readonly at: string
}

/** Professional discussions of claims, as they were put down. */
export function createDiscussionsRepo(db: Database) {
  const ofAccount = db.prepare<[number], Discussion>(
    `SELECT d.claim, d.asked, d.said, d.minutes, p.name AS "by", d.at
     FROM discussion d JOIN person p ON p.id = d.by_id WHERE d.account_id = ? ORDER BY d.id`,
  )
  const add = db.prepare(
    'INSERT INTO discussion (account_id, claim, asked, said, minutes, by_id, at) VALUES (?, ?, ?, ?, ?, ?, ?)',
  )
  return {
    /** Oldest first. */
    ofAccount: (accountId: number) => ofAccount.all(accountId),
    add: (
      accountId: number,
      { claim, asked, said, minutes, at }: Omit<Discussion, 'by'>,
      byId: number,
    ): void => void add.run(accountId, claim, asked, said, minutes, byId, at),
  }
}
