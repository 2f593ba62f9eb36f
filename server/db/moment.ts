import type { Database } from 'better-sqlite3'

/**
 * What `work` reads over this connection until it first waits for something is all of one moment, whatever others save
 * meanwhile.
 */
export function asOfOneMoment<T>(db: Database, work: () => T): T {
  db.exec('BEGIN')
  try {
    return work()
  } finally {
    db.exec('COMMIT')
  }
}

/** What an open transaction has written may yet be taken back: nothing that is read then is kept in memory. */
export const mayBeTakenBack = (db: Database): boolean => db.inTransaction && !db.readonly
