import { chmodSync, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import BetterSqlite from 'better-sqlite3'
import { OWN_FILE, OWN_FOLDER } from './open'

/**
 * Claims a folder for one server, until it ends in whatever way: the lock is the system's own and goes with
 * the process. Throws where another server works on it.
 */
export function claimFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true, mode: OWN_FOLDER })
  const file = join(folder, 'server.lock')
  const lock = new BetterSqlite(file, { timeout: 0 })
  try {
    lock.pragma('locking_mode = EXCLUSIVE')
    lock.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    lock.close()
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error
    throw new Error(
      `Another server works on ${folder}. Stop it first, or give this one a folder of its own with NAKSHI_DATA.`,
      { cause: error },
    )
  }
  chmodSync(file, OWN_FILE)
  return () => void lock.close()
}
