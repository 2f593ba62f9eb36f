import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import type { Database } from 'better-sqlite3'
import { claimFolder } from '../db/claim'
import { randomBytes } from 'node:crypto'
import { join, resolve } from 'node:path'
import { syncApart, type Disk, type Urgency } from '../db/disk'
import { leaveMerging } from '../db/merge-log'
import { OWN_FILE, OWN_FOLDER, openDatabase } from '../db/open'
import { createRepos, type Repos } from '../repos'

export const dataFolder = (): string => resolve(process.env.NAKSHI_DATA ?? 'data')

let release: (() => void) | undefined
let open: { readonly db: Database; readonly repos: Repos; readonly disk: Disk } | undefined

export const databaseFile = (): string => join(dataFolder(), 'nakshi.sqlite')

/** The one connection of this process, opened at the first request. */
function running(): NonNullable<typeof open> {
  if (!open) {
    release = claimFolder(dataFolder())
    const db = openDatabase(databaseFile())
    leaveMerging(db)
    open = { db, repos: createRepos(db), disk: syncApart(db) }
  }
  return open
}
export const runningRepos = (): Repos => running().repos
export const runningDatabase = (): Database => running().db
/** Before anything is called saved: comes back when all that was committed until now is on the disk. */
export const reachedDisk = (urgency?: Urgency): Promise<void> => running().disk.reached(urgency)

/** Merges the log into the file and closes it; the next request would open it again. */
export function closeDatabase(): void {
  if (!open) return
  open.db.pragma('wal_checkpoint(TRUNCATE)')
  open.db.close()
  void open.disk.close()
  open = undefined
  release?.()
}

let secret: string | undefined

/** The key that seals session cookies; made once for each data folder and readable by its owner alone. */
export function sessionSecret(): string {
  if (secret) return secret
  const file = join(dataFolder(), 'session.key')
  if (!existsSync(file)) {
    mkdirSync(dataFolder(), { recursive: true, mode: OWN_FOLDER })
    writeFileSync(file, randomBytes(48).toString('base64'), { mode: OWN_FILE })
  }
  chmodSync(file, OWN_FILE)
  secret = readFileSync(file, 'utf8')
  return secret
}

/** The line-based port for instruments on this machine: off unless NAKSHI_INSTRUMENT_PORT names one. */
export function streamPort(): { readonly port: number; readonly secret: string } | undefined {
  const port = Number(process.env.NAKSHI_INSTRUMENT_PORT)
  return Number.isInteger(port) && port > 0 && port < 65536 ? { port, secret: sessionSecret() } : undefined
}
