/* The log of what was saved goes into the file away from those who save, and nothing waits or is lost for it. */
import { copyFileSync, existsSync, mkdtempSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import BetterSqlite, { type Database } from 'better-sqlite3'
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { leaveMerging, mergeLog } from '../../server/db/merge-log'

const asked = vi.hoisted(() => ({ merge: vi.fn<(file: string) => Promise<void>>() }))
vi.mock('../../server/heavy/pool', () => ({
  heavy: (_: object, __: string, file: string) => asked.merge(file),
}))

const PAGE_BYTES = 4096
const folder = () => mkdtempSync(join(tmpdir(), 'nakshi-log-'))
function aLog(file = join(folder(), 'nakshi.sqlite')): { readonly db: Database; readonly file: string } {
  const db = new BetterSqlite(file)
  db.pragma('journal_mode = WAL')
  db.exec('CREATE TABLE saved (id INTEGER PRIMARY KEY, body BLOB)')
  leaveMerging(db)
  return { db, file }
}
/** So many rows, each a page and more. */
const save = (db: Database, rows: number): void => {
  const insert = db.prepare('INSERT INTO saved (body) VALUES (zeroblob(?))')
  db.transaction(() => {
    for (let i = 0; i < rows; i += 1) insert.run(PAGE_BYTES)
  })()
}
/** What the file holds by itself, without its log. */
function rowsInFileAlone(file: string): number {
  const alone = join(folder(), 'alone.sqlite')
  copyFileSync(file, alone)
  const db = new BetterSqlite(alone)
  const isThere = db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'saved'").get() !== undefined
  const rows = isThere ? db.prepare<[], { n: number }>('SELECT count(*) AS n FROM saved').get()!.n : 0
  db.close()
  return rows
}

describe('the log', () => {
  it('a save that would have merged it does not; another connection does, and the log begins anew', () => {
    const { db, file } = aLog()
    save(db, 1500)
    expect(rowsInFileAlone(file)).toBe(0)
    const logBytes = statSync(`${file}-wal`).size
    mergeLog(file)
    expect(rowsInFileAlone(file)).toBe(1500)
    save(db, 200)
    expect(statSync(`${file}-wal`).size).toBe(logBytes)
    expect(db.prepare<[], { n: number }>('SELECT count(*) AS n FROM saved').get()!.n).toBe(1700)
    db.close()
  })

  it('where nobody merges, it does not grow without end', () => {
    const { db, file } = aLog()
    db.pragma('synchronous = OFF')
    for (let i = 0; i < 4; i += 1) save(db, 2500)
    expect(rowsInFileAlone(file)).toBeGreaterThan(5000)
    db.close()
  })

  it('whoever reads an older state, and whoever writes, is not waited for; what they hold up is merged later', () => {
    const { db, file } = aLog()
    save(db, 10)
    mergeLog(file)
    const reader = new BetterSqlite(file, { readonly: true })
    reader.exec('BEGIN')
    const seen = () => reader.prepare<[], { n: number }>('SELECT count(*) AS n FROM saved').get()!.n
    expect(seen()).toBe(10)
    save(db, 5)
    db.exec('BEGIN IMMEDIATE')
    db.prepare('INSERT INTO saved (body) VALUES (zeroblob(10))').run()
    mergeLog(file)
    expect(seen()).toBe(10)
    db.exec('COMMIT')
    reader.exec('COMMIT')
    expect(seen()).toBe(16)
    mergeLog(file)
    expect(rowsInFileAlone(file)).toBe(16)
    reader.close()
    db.close()
  })

  it('merged whole, the file can be moved by itself; what is no database is told, and none is made', () => {
    const { db, file } = aLog()
    save(db, 3)
    mergeLog(file, true)
    expect(statSync(`${file}-wal`).size).toBe(0)
    expect(rowsInFileAlone(file)).toBe(3)
    db.close()
    const none = join(folder(), 'none.sqlite')
    expect(() => mergeLog(none)).toThrow()
    expect(existsSync(none)).toBe(false)
    writeFileSync(none, 'a page that was printed, scanned and renamed'.repeat(100))
    expect(() => mergeLog(none)).toThrow(/not a database/)
  })
})

describe('merging it every now and then', async () => {
  process.env.NAKSHI_DATA = folder()
  const { mergeWritten } = await import('../../server/http/keeping')
  const { db, file } = aLog(join(process.env.NAKSHI_DATA, 'nakshi.sqlite'))
  afterAll(() => void db.close())
  beforeEach(async () => {
    asked.merge.mockReset().mockResolvedValue()
    save(db, 1)
    await new Promise((go) => setTimeout(go, 20))
  })

  it('happens once for what was written, and not again until something is', async () => {
    await mergeWritten()
    await mergeWritten()
    expect(asked.merge.mock.calls).toEqual([[file]])
    save(db, 1)
    await mergeWritten()
    expect(asked.merge).toHaveBeenCalledTimes(2)
  })

  it('one that takes long is not joined by a second', async () => {
    let end = () => {}
    asked.merge.mockReturnValueOnce(new Promise<void>((go) => (end = go)))
    const first = mergeWritten()
    await mergeWritten()
    expect(asked.merge).toHaveBeenCalledTimes(1)
    end()
    await first
  })

  it('what is written while it runs is merged the next time', async () => {
    asked.merge.mockImplementationOnce(async () => save(db, 1))
    await mergeWritten()
    await mergeWritten()
    expect(asked.merge).toHaveBeenCalledTimes(2)
  })

  it('one that fails says so, and is tried again', async () => {
    asked.merge.mockRejectedValueOnce(new Error('the disk is full'))
    await expect(mergeWritten()).rejects.toThrow('the disk is full')
    await mergeWritten()
    expect(asked.merge).toHaveBeenCalledTimes(2)
  })
})
