/* The seal: every decision, occasion, permission and signature in one chain; broken by hand, the first broken
   link is named. */
import { createHash } from 'node:crypto'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import BetterSqlite, { type Database } from 'better-sqlite3'
import { beforeEach, describe, expect, it } from 'vitest'
import { problemsOf, verify } from '../../server/db/backup'
import { openDatabase } from '../../server/db/open'
import { sealBreak, sealHead, sealedTables } from '../../server/db/seal-chain'
import { decide } from '../../server/services/marking'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'

let centre: Centre
let db: Database
beforeEach(() => {
  centre = aCentre()
  db = centre.db
  const { attemptId } = aSetExercise(centre)
  bringTo(centre, attemptId, 'handedIn')
  decide(centre.context, centre.assessor, attemptId, { version: 0 })
})
/** What an append-only table refuses, done by hand as somebody with the file could. */
function byHand(sql: string): void {
  const triggers = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'trigger' AND name NOT LIKE '%_sealed'",
    )
    .all()
  for (const { name } of triggers) db.exec(`DROP TRIGGER ${name}`)
  db.exec(sql)
}

describe('the chain', () => {
  it('is the one that a second reading of the rule gives', () => {
    const sha = (text: string) => createHash('sha256').update(text).digest('hex')
    let before = ''
    for (const { kind, row, chain } of db
      .prepare<[], { kind: string; row: number; chain: string }>('SELECT * FROM seal ORDER BY id')
      .all()) {
      const stored = db
        .prepare<[number], Record<string, unknown>>(`SELECT * FROM ${kind} WHERE rowid = ?`)
        .get(row)!
      before = sha(before + kind + row + sha(JSON.stringify(Object.values(stored))))
      expect(chain).toBe(before)
    }
    expect(sealHead(db)).toBe(before)
    expect(sealBreak(db)).toBeUndefined()
  })
  it('holds permission, decision and occasions in the order in which they were made', () => {
    const kinds = db
      .prepare<[], { kind: string }>('SELECT kind FROM seal ORDER BY id')
      .all()
      .map(({ kind }) => kind)
    expect(kinds.indexOf('stage_event')).toBeLessThan(kinds.indexOf('decision'))
    expect(kinds.lastIndexOf('occasion')).toBeGreaterThan(kinds.indexOf('decision'))
  })
  it('seals every column of each table: none can be changed unseen', () => {
    for (const { name, columns } of sealedTables(db)) {
      const trigger = db
        .prepare<[string], { sql: string }>(
          "SELECT sql FROM sqlite_master WHERE type = 'trigger' AND name = ?",
        )
        .get(`${name}_sealed`)!
      expect(/json_array\((.*?)\)/s.exec(trigger.sql)![1]!.split(/,\s+/)).toEqual(
        columns.map((column) => `NEW.${column}`),
      )
    }
    expect(sealedTables(db).map(({ name }) => name)).toEqual(
      expect.arrayContaining([
        'decision',
        'occasion',
        'stage_event',
        'signed_paper',
        'claim_decision',
        'second_marking',
        'appeal',
      ]),
    )
  })
})

describe('broken by hand', () => {
  it.each([
    [
      'a mark that was raised',
      'UPDATE decision SET mark = mark + 1 WHERE id = 1',
      /decision 1 has changed since link \d+/,
    ],
    [
      'an occasion that was turned',
      'UPDATE occasion SET met = 1 - met WHERE id = 3',
      /occasion 3 has changed/,
    ],
    ['a permission that went', "DELETE FROM stage_event WHERE act = 'permit'", /stage event \d+ is gone/],
    [
      'a decision put in past the seal',
      'DROP TRIGGER occasion_sealed; INSERT INTO occasion SELECT 900, decision_id, person_id, criterion, met FROM occasion LIMIT 1',
      /occasion 900 was put in without the seal/,
    ],
    [
      'a link that was rewritten',
      "UPDATE seal SET content = 'x' WHERE id = 2",
      /link 2 of the seal, of .*, has changed/,
    ],
    ['a link that was taken out', 'DELETE FROM seal WHERE id = 2', /gap before link 3/],
  ])('%s is named', (_name, sql, said) => {
    byHand(sql)
    expect(sealBreak(db)).toMatch(said)
    expect(problemsOf(db).join('\n')).toMatch(said)
  })
  it('the end cut off shows against a head that is kept elsewhere', () => {
    const head = sealHead(db)
    byHand('DELETE FROM seal WHERE id = (SELECT max(id) FROM seal)')
    expect(sealHead(db)).not.toBe(head)
  })
})

it('a file is verified without the program that wrote it, and one from before the seal is no worse for it', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'nakshi-seal-')), 'centre.sqlite')
  openDatabase(file).close()
  expect(verify(file)).toEqual([])
  const old = new BetterSqlite(file)
  old.exec('DROP TABLE seal')
  old.close()
  expect(verify(file)).toEqual([])
})
