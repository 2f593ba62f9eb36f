import { appendFileSync, existsSync, mkdirSync, statSync, statfsSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import type { KeepingView } from '#schemas/trust-views'
import { answers, backupsIn, makeBackup, pruneBackups, type Backup } from '../db/backup'
import { OWN_FILE, OWN_FOLDER } from '../db/open'
import { heavy } from '../heavy/pool'
import { dataFolder, databaseFile, runningDatabase, runningRepos } from './runtime'

/** Better on another disk; NAKSHI_BACKUPS names it. */
const backupFolder = (): string => resolve(process.env.NAKSHI_BACKUPS ?? join(dataFolder(), 'backups'))
/** Hours between two; 0 or less turns them off. */
const everyH = (): number => Number(process.env.NAKSHI_BACKUP_HOURS ?? 24)
const HOUR_MS = 3_600_000
/** A backup that is this much later than planned is worth a look. */
const LATE = 1.5

let isRunning = false

/** Copies the database now, and removes what the retention does not keep. One at a time. */
export async function backUp(now: string): Promise<Backup | undefined> {
  if (isRunning) return undefined
  isRunning = true
  try {
    const backup = await makeBackup(runningDatabase(), backupFolder(), now)
    pruneBackups(backupFolder())
    noteHead(now)
    return backup
  } finally {
    isRunning = false
  }
}

/** When the log was last written, as it was merged; ms. */
let mergedAtMs = 0
let isMerging = false

/** Merges the log into the file, away from those who save, where it has been written since the last time. */
export async function mergeWritten(): Promise<void> {
  const log = `${databaseFile()}-wal`
  const writtenMs = statSync(log, { throwIfNoEntry: false })?.mtimeMs ?? mergedAtMs
  if (isMerging || writtenMs === mergedAtMs) return
  isMerging = true
  try {
    await heavy({}, 'mergeLog', databaseFile())
    mergedAtMs = writtenMs
  } finally {
    isMerging = false
  }
}

/** The newest links of the audit and of the seal in a file that grows a line a day: best on another disk. */
function noteHead(now: string): void {
  const file = resolve(process.env.NAKSHI_AUDIT_HEADS ?? join(dataFolder(), 'audit-heads.txt'))
  mkdirSync(dirname(file), { recursive: true, mode: OWN_FOLDER })
  appendFileSync(file, `${now} ${runningRepos().audit.head()} ${runningRepos().seal.head()}\n`, {
    mode: OWN_FILE,
  })
}

const ageH = (backup: Backup | undefined, now: string): number | null =>
  backup ? (Date.parse(now) - Date.parse(backup.madeAt)) / HOUR_MS : null

/** Is a backup due? */
export function isBackupDue(now: string): boolean {
  if (!(everyH() > 0)) return false
  const age = ageH(backupsIn(backupFolder())[0], now)
  return age === null || age >= everyH()
}

/** Less than this free is no room to work in, B. */
const LEAST_FREE_BYTES = 200_000_000

/** For a watch over the server: nothing that concerns a person. */
export function healthOf(now: string) {
  const { ageH: age, dueH, freeBytes } = keepingView(now)
  const isDatabaseRead = answers(runningDatabase())
  const hasRoom = freeBytes > LEAST_FREE_BYTES
  const isBackedUp = !(dueH > 0) || (age !== null && age <= dueH)
  return {
    ok: isDatabaseRead && hasRoom,
    database: isDatabaseRead,
    room: hasRoom,
    backedUp: isBackedUp,
    at: now,
  }
}

export function keepingView(now: string): KeepingView {
  const backups = backupsIn(backupFolder())
  const { bavail, bsize } = statfsSync(dataFolder())
  const file = databaseFile()
  return {
    backups: backups.map(({ madeAt, bytes }) => ({ madeAt, bytes })),
    folder: backupFolder(),
    ageH: ageH(backups[0], now),
    dueH: everyH() * LATE,
    freeBytes: bavail * bsize,
    databaseBytes: existsSync(file) ? statSync(file).size : 0,
    head: runningRepos().audit.head(),
    sealHead: runningRepos().seal.head(),
  }
}
