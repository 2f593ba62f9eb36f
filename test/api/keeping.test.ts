/* Nothing lost: copies that hold, a restore that was tried, a seal that shows what was touched. */
import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import BetterSqlite from 'better-sqlite3'
import { describe, expect, it } from 'vitest'
import { backupsIn, keptOf, makeBackup, pruneBackups, restore, verify } from '../../server/db/backup'
import { claimFolder } from '../../server/db/claim'
import { openDatabase } from '../../server/db/open'
import { createRepos } from '../../server/repos'
import { nakshi, nakshiWhole } from '../../cli/nakshi'

const folder = () => mkdtempSync(join(tmpdir(), 'nakshi-keeping-'))
const NOW = '2026-11-27T18:00:00.000Z'
const MIGRATIONS = join(process.cwd(), 'server/db/migrations')

/** A centre in a file with three people and a few lines of audit. */
function aFile(): { readonly at: string; readonly file: string } {
  const at = folder()
  const file = join(at, 'nakshi.sqlite')
  const db = openDatabase(file)
  const repos = createRepos(db)
  for (const number of ['A-1', 'I-1', 'T-1']) {
    const id = repos.people.insert(
      { number, name: number, role: 'apprentice', cohort: 'x' },
      'scrypt$x$x',
      false,
      NOW,
    )
    repos.audit.add(NOW, id, 'signIn', `person ${id}`)
  }
  db.close()
  return { at, file }
}
const peopleIn = (file: string): number => {
  const db = new BetterSqlite(file, { readonly: true })
  const { n } = db.prepare<[], { n: number }>('SELECT count(*) AS n FROM person').get()!
  db.close()
  return n
}

describe('on the disk', () => {
  it('what is acknowledged has been synced, and the file is for its owner alone', () => {
    const { file } = aFile()
    const db = openDatabase(file)
    // 2 is FULL; SQLite documentation, PRAGMA synchronous.
    expect(db.pragma('synchronous', { simple: true })).toBe(2)
    expect(statSync(file).mode & 0o777).toBe(0o600)
    db.close()
  })
  it('the program finds its migrations wherever it was started from', () => {
    const before = process.cwd()
    process.chdir(tmpdir())
    try {
      expect(() => openDatabase(join(folder(), 'nakshi.sqlite')).close()).not.toThrow()
    } finally {
      process.chdir(before)
    }
  })
  it('two servers on one folder: the second is told; after the first has ended it may', () => {
    const at = folder()
    const release = claimFolder(at)
    expect(() => claimFolder(at)).toThrow(/Another server works on/)
    release()
    claimFolder(at)()
  })
})

describe('a backup', () => {
  it('is taken while somebody writes, is one whole file, and holds all that was acknowledged before it', async () => {
    const { at, file } = aFile()
    const db = openDatabase(file)
    const repos = createRepos(db)
    const making = makeBackup(db, join(at, 'backups'), NOW)
    repos.audit.add(NOW, null, 'during', 'the copy')
    const { file: copy, madeAt } = await making
    expect(madeAt).toBe('2026-11-27T18:00:00Z')
    expect(verify(copy)).toEqual([])
    expect(peopleIn(copy)).toBe(3)
    expect(readdirSync(join(at, 'backups'))).toEqual(['nakshi-2026-11-27T18-00-00Z.sqlite'])
    db.close()
  })
  it('is restored over what stands there, and that is kept', async () => {
    const { at, file } = aFile()
    const db = openDatabase(file)
    const { file: copy } = await makeBackup(db, join(at, 'backups'), NOW)
    createRepos(db).people.insert(
      { number: 'X-9', name: 'late', role: 'apprentice', cohort: '' },
      'h',
      false,
      NOW,
    )
    db.close()
    const { kept } = restore(copy, file, NOW)
    expect(peopleIn(file)).toBe(3)
    expect(peopleIn(kept!)).toBe(4)
    expect(verify(file)).toEqual([])
  })
  it('one that does not hold is refused, and nothing is changed', () => {
    const { at, file } = aFile()
    const broken = join(at, 'broken.sqlite')
    copyFileSync(file, broken)
    const bytes = readFileSync(broken)
    bytes.fill(0xaa, 4096, 4096 * 3)
    writeFileSync(broken, bytes)
    const before = readFileSync(file)
    expect(() => restore(broken, file, NOW)).toThrow(/does not hold/)
    expect(readFileSync(file).equals(before)).toBe(true)
    expect(verify(join(at, 'not-there.sqlite'))).toEqual(['there is no such file'])
    writeFileSync(join(at, 'words.sqlite'), 'these are words')
    expect(verify(join(at, 'words.sqlite')).join()).toMatch(/cannot be read|no database/)
  })
  it('the last fourteen stay, and one a month for a year', () => {
    const at = folder()
    const days = Array.from({ length: 420 }, (_, i) =>
      new Date(Date.parse(NOW) - i * 86_400_000).toISOString(),
    )
    for (const day of days) writeFileSync(join(at, `nakshi-${day.slice(0, 10)}T02-00-00Z.sqlite`), '')
    pruneBackups(at)
    const left = backupsIn(at).map(({ madeAt }) => madeAt.slice(0, 10))
    expect(left.slice(0, 14)).toEqual(days.slice(0, 14).map((day) => day.slice(0, 10)))
    expect(new Set(left.map((day) => day.slice(0, 7))).size).toBe(12)
    expect(left.length).toBeLessThanOrEqual(14 + 12)
    expect(keptOf([])).toEqual(new Set())
  })
  it.each(readdirSync(MIGRATIONS).map((name, i) => [name, i + 1] as const))(
    'from the version that ended with %s is brought up to this one',
    async (_name, count) => {
      const at = folder()
      const some = join(at, 'migrations')
      const file = join(at, 'old.sqlite')
      const { mkdirSync } = await import('node:fs')
      mkdirSync(some)
      for (const name of readdirSync(MIGRATIONS).sort().slice(0, count))
        copyFileSync(join(MIGRATIONS, name), join(some, name))
      openDatabase(file, some).close()
      expect(verify(file)).toEqual([])
      restore(file, join(at, 'nakshi.sqlite'), NOW)
      expect(verify(join(at, 'nakshi.sqlite'))).toEqual([])
    },
  )
  it('a centre of an earlier version with its work is restored whole', () => {
    const at = folder()
    const file = join(at, 'earlier.sqlite')
    writeFileSync(file, gunzipSync(readFileSync('test/fixtures/centre-2026-11.sqlite.gz')))
    restore(file, join(at, 'nakshi.sqlite'), NOW)
    expect(verify(join(at, 'nakshi.sqlite'))).toEqual([])
    expect(peopleIn(join(at, 'nakshi.sqlite'))).toBe(peopleIn(file))
  })
})

describe('the audit', () => {
  const touched = (sql: string) => {
    const { file } = aFile()
    const db = new BetterSqlite(file)
    for (const trigger of ['audit_keeps', 'audit_stays']) db.exec(`DROP TRIGGER ${trigger}`)
    db.exec(sql)
    db.close()
    return verify(file).join()
  }
  it('a line changed, taken out or put in afterwards shows, with its number', () => {
    expect(touched("UPDATE audit SET subject = 'person 9' WHERE id = 2")).toMatch(/line 2 .* changed/)
    expect(touched('DELETE FROM audit WHERE id = 2')).toMatch(/gap before line 3/)
    expect(
      touched(
        "INSERT INTO audit (at, by_id, action, subject) VALUES ('2026-11-27T19:00:00.000Z', 1, 'x', 'y')",
      ),
    ).toMatch(/line 4 .* changed/)
  })
  it('cannot be changed, deleted or replaced through the program', () => {
    const { file } = aFile()
    const db = openDatabase(file)
    for (const sql of [
      "UPDATE audit SET subject = 'x' WHERE id = 1",
      'DELETE FROM audit WHERE id = 1',
      "REPLACE INTO audit (id, at, action, subject) VALUES (1, '', 'x', 'y')",
    ])
      expect(() => db.exec(sql), sql).toThrow(/append-only/)
    db.close()
  })
  it('says who, what, when and from where, and can be filtered', () => {
    const { file } = aFile()
    const repos = createRepos(openDatabase(file))
    repos.audit.from({ device: 'tablet', address: '10.0.0.7' }).add(NOW, 1, 'policySet', 'notice')
    expect(repos.audit.list({ action: 'policySet', most: 10 })).toMatchObject([
      { by: 'A-1', action: 'policySet', device: 'tablet', address: '10.0.0.7' },
    ])
    expect(repos.audit.list({ by: 'T-1', most: 10 }).map(({ subject }) => subject)).toEqual(['person 3'])
    expect(repos.audit.list({ before: 3, most: 1 }).map(({ id }) => id)).toEqual([2])
  })
})

describe('nakshi backup, verify, restore', () => {
  it('copies, looks over and puts back; each says what it did', async () => {
    const { at, file } = aFile()
    const made = await nakshiWhole(['backup', '--data', at])
    expect(made.code).toBe(0)
    const copy = (JSON.parse(made.text) as { file: string }).file
    expect(nakshi(['verify', copy, '--explain'])).toMatchObject({ text: `${copy} is whole.`, code: 0 })
    const restored = nakshi(['restore', copy, '--data', at, '--explain'])
    expect(restored.code).toBe(0)
    expect(restored.text).toContain('is kept as')
    expect(existsSync(file)).toBe(true)
  })
  it('refuses while a server works on the folder, and where there is nothing', async () => {
    const { at, file } = aFile()
    const release = claimFolder(at)
    expect(nakshi(['restore', file, '--data', at])).toMatchObject({ code: 1 })
    release()
    expect(nakshi(['verify']).code).toBe(2)
    expect((await nakshiWhole(['backup', '--data', folder()])).text).toMatch(/no database/)
  })
})
