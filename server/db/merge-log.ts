import BetterSqlite, { type Database } from 'better-sqlite3'

/** Pages of the log at which a connection that leaves merging to another merges all the same: 40 MB. */
const MOST_PAGES = 10_000

/** A commit of this connection no longer waits until the log is merged into the file; somebody else has to. */
export const leaveMerging = (db: Database): void => {
  db.pragma(`wal_autocheckpoint = ${MOST_PAGES}`)
}

/**
 * Brings what stands in the log into the database at `file`, over a connection of its own: as much as nobody is in the
 * way of, or with `isWhole` all of it, waiting for whoever works there, so that the file can be moved by itself. Throws
 * for a file that is no database.
 */
export function mergeLog(file: string, isWhole = false): void {
  const db = new BetterSqlite(file, { fileMustExist: true })
  try {
    db.pragma(`wal_checkpoint(${isWhole ? 'TRUNCATE' : 'PASSIVE'})`)
  } finally {
    db.close()
  }
}
