import { createHash } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import BetterSqlite, { type Database } from 'better-sqlite3'
import { mergeLog } from './merge-log'
import { OWN_FILE, OWN_FOLDER, openDatabase } from './open'
import { auditBreak } from './audit-chain'
import { sealBreak } from './seal-chain'

/** `nakshi-2026-11-27T18-04-05Z.sqlite`. */
const NAME = /^nakshi-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})Z\.sqlite$/
const nameAt = (now: string): string => `nakshi-${now.slice(0, 19).replaceAll(':', '-')}Z.sqlite`

export interface Backup {
  readonly file: string
  /** ISO 8601 UTC, from its name. */
  readonly madeAt: string
  readonly bytes: number
}

/** The backups of a folder, newest first. */
export function backupsIn(folder: string): Backup[] {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name) => {
      const match = NAME.exec(name)
      if (!match) return []
      const [, day, hour, minute, second] = match
      const file = join(folder, name)
      return [{ file, madeAt: `${day}T${hour}:${minute}:${second}Z`, bytes: statSync(file).size }]
    })
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt))
}

/**
 * Copies a running database by the online backup, looks the copy over, and only then gives it its name: a
 * backup with a name is one that opens. Throws where it does not.
 */
export async function makeBackup(db: Database, folder: string, now: string): Promise<Backup> {
  mkdirSync(folder, { recursive: true, mode: OWN_FOLDER })
  const file = join(folder, nameAt(now))
  const part = `${file}.part`
  rmSync(part, { force: true })
  await db.backup(part)
  const copy = new BetterSqlite(part)
  // One file: no log beside it that could be forgotten.
  copy.pragma('journal_mode = DELETE')
  copy.close()
  chmodSync(part, OWN_FILE)
  const problems = verify(part)
  if (problems.length > 0) {
    rmSync(part, { force: true })
    throw new Error(`The backup does not hold: ${problems.join('; ')}`)
  }
  renameSync(part, file)
  return backupsIn(folder).find((backup) => backup.file === file)!
}

/** So many newest backups stay, and the newest of each of so many months. */
const KEPT_NEWEST = 14
const KEPT_MONTHS = 12

/** Which of these (newest first) are kept: the last ones, and one a month. */
export function keptOf(backups: readonly Backup[]): ReadonlySet<string> {
  const kept = new Set(backups.slice(0, KEPT_NEWEST).map(({ file }) => file))
  const months = new Map<string, string>()
  for (const { file, madeAt } of backups) {
    const month = madeAt.slice(0, 7)
    if (!months.has(month) && months.size < KEPT_MONTHS) months.set(month, file)
  }
  for (const file of months.values()) kept.add(file)
  return kept
}

/** Removes what is older than the retention keeps; returns what was removed. */
export function pruneBackups(folder: string): string[] {
  const backups = backupsIn(folder)
  const kept = keptOf(backups)
  const removed = backups.filter(({ file }) => !kept.has(file)).map(({ file }) => file)
  for (const file of removed) rmSync(file, { force: true })
  return removed
}

/**
 * What is wrong with a database file: its pages, its references, its photographs, its seal. Empty where
 * nothing is.
 */
export function verify(file: string): string[] {
  if (!existsSync(file)) return ['there is no such file']
  let db: Database
  try {
    db = new BetterSqlite(file, { readonly: true, fileMustExist: true })
  } catch (error) {
    return [`it does not open: ${(error as Error).message}`]
  }
  try {
    return problemsOf(db)
  } catch (error) {
    return [`it cannot be read: ${(error as Error).message}`]
  } finally {
    db.close()
  }
}

/** Does an open database answer? */
export const answers = (db: Database): boolean => db.prepare('SELECT 1').get() !== undefined

/** The same of a database that is open. */
export function problemsOf(db: Database): string[] {
  const pages = db
    .prepare<[], { integrity_check: string }>('PRAGMA integrity_check')
    .all()
    .map((row) => row.integrity_check)
    .filter((text) => text !== 'ok')
  const references = db
    .prepare<[], { table: string; rowid: number; parent: string }>('PRAGMA foreign_key_check')
    .all()
    .map(({ table, rowid, parent }) => `${table} ${rowid} names a ${parent} that is not there`)
  const tables = new Set(
    db
      .prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'")
      .all()
      .map(({ name }) => name),
  )
  if (!tables.has('migration')) return [...pages, 'it is no database of this program']
  return [
    ...pages,
    ...references,
    ...(tables.has('photo') ? brokenPhotos(db) : []),
    ...(auditBreak(db) ?? []),
    ...[sealBreak(db) ?? []].flat(),
  ]
}

/** A photograph's name is the hash of its bytes. */
function brokenPhotos(db: Database): string[] {
  const broken: string[] = []
  for (const { hash, bytes } of db
    .prepare<[], { hash: string; bytes: Buffer }>('SELECT hash, bytes FROM photo')
    .iterate())
    if (createHash('sha256').update(bytes).digest('hex') !== hash)
      broken.push(`photograph ${hash} has changed`)
  return broken
}

/**
 * Puts a backup in the place of the database of a server that does not run. What stood there is kept beside
 * it, and its name returned. Throws, and changes nothing, where the backup does not hold.
 */
export function restore(backup: string, file: string, now: string): { readonly kept: string | null } {
  const problems = verify(backup)
  if (problems.length > 0) throw new Error(`This backup does not hold: ${problems.join('; ')}`)
  const fresh = `${file}.restored`
  rmSync(fresh, { force: true })
  const source = new BetterSqlite(backup, { readonly: true })
  // Page by page through SQLite, so that a half copied file is never taken for a whole one.
  source.prepare('VACUUM INTO ?').run(fresh)
  source.close()
  // A backup of an earlier version is brought up to this one before it takes its place.
  openDatabase(fresh).close()
  let kept: string | null = null
  if (existsSync(file)) {
    kept = `${file}.before-restore-${now.slice(0, 19).replaceAll(':', '-')}Z`
    try {
      mergeLog(file, true)
    } catch {
      // It is put aside whatever it is: that is why a backup is restored.
    }
    renameSync(file, kept)
  }
  for (const beside of [`${file}-wal`, `${file}-shm`]) rmSync(beside, { force: true })
  renameSync(fresh, file)
  for (const beside of [`${fresh}-wal`, `${fresh}-shm`]) rmSync(beside, { force: true })
  chmodSync(file, OWN_FILE)
  return { kept }
}
