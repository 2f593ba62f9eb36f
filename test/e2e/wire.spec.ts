/* A curious apprentice: everything that their browser can be sent in a term, searched for every secret of the
   database. */
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import type { APIRequestContext } from '@playwright/test'
import { designOf, assignmentOf } from '../../core/exercise/assignment'
import type { Exercise } from '../../core/exercise/exercise'
import type { Installation } from '../../core/installation/installation'
import { expect, signIn, test } from './support'

test.use({ file: 'wire' })

/** Every address that can be read, with numbers and keys tried in their places. */
function addresses(keys: readonly string[]): string[] {
  const files = readdirSync('server/api', { recursive: true, encoding: 'utf8' })
  return files
    .filter((file) => file.endsWith('.get.ts') && !file.includes('news'))
    .map((file) => file.replace(/(\/index)?\.get\.ts$/, ''))
    .flatMap((path) => {
      if (path.includes('[id]'))
        return Array.from({ length: 40 }, (_, i) => path.replace('[id]', String(i + 1)))
      return path.includes('[key]') ? keys.map((key) => path.replace('[key]', key)) : [path]
    })
}

async function everythingSent(request: APIRequestContext, centre: string, keys: readonly string[]) {
  const sent: string[] = []
  for (const address of addresses(keys)) {
    const response = await request.get(`${centre}/api/${address}`)
    if (response.ok()) sent.push(await response.text())
  }
  return sent.join('\n')
}

interface Secrets {
  readonly hashes: readonly string[]
  readonly unreleased: readonly string[]
  readonly others: readonly string[]
  readonly seeds: readonly number[]
  readonly references: readonly string[]
}

/** What nobody but the staff, or somebody else, may see. */
function secretsOf(data: string, number: string): Secrets {
  const db = new Database(join(data, 'nakshi.sqlite'), { readonly: true })
  const column = <T>(sql: string, ...values: unknown[]) =>
    db
      .prepare(sql)
      .pluck()
      .all(...values) as T[]
  const attempts = (where: string) =>
    db
      .prepare(
        `SELECT attempt.task, exercise.document FROM attempt
         JOIN exercise ON exercise.id = attempt.exercise_id
         JOIN person ON person.id = attempt.person_id WHERE person.number = ? AND attempt.stage ${where}`,
      )
      .all(number) as { task: string; document: string }[]
  // Worked values with all their digits are nobody's typing.
  const worked = (where: string) =>
    attempts(where).flatMap(({ task, document }) => {
      const design = designOf(
        assignmentOf(JSON.parse(document) as Exercise, JSON.parse(task) as Installation),
      )
      return JSON.stringify(design).match(/\d+\.\d{6,}/g) ?? []
    })
  // What has been given back to them is no secret, also where another task of theirs has the same cable.
  const released = new Set(worked("= 'released'"))
  const secrets = {
    hashes: [
      ...column<string>('SELECT password_hash FROM person'),
      ...column<string>('SELECT pin_hash FROM person_pin'),
      ...column<string>('SELECT token FROM session'),
    ],
    unreleased: [
      ...column<string>('SELECT feedback FROM marking_draft WHERE feedback IS NOT NULL'),
      ...column<string>(
        `SELECT decision.feedback FROM decision JOIN attempt ON attempt.id = decision.attempt_id
         WHERE attempt.stage = 'decided' AND decision.feedback NOT IN (
           SELECT decision.feedback FROM decision JOIN attempt ON attempt.id = decision.attempt_id
           WHERE attempt.stage = 'released')`,
      ),
    ],
    others: column<string>(`SELECT name FROM person WHERE role = 'apprentice' AND number <> ?`, number),
    seeds: column<number>('SELECT seed FROM inspection_round WHERE ended_at IS NULL'),
    references: worked("<> 'released'").filter((value) => !released.has(value)),
  }
  db.close()
  return secrets
}

test('nothing that an apprentice can fetch holds an answer, a hash, a seed or another person', async ({
  browser,
  centre,
  data,
}) => {
  test.setTimeout(180_000)
  const { page } = await signIn(browser, centre, 'T-410')
  // A term: a search for a fault, a round of the trainer, an isolation, a bay.
  for (const scene of ['board', 'intake'])
    expect((await page.request.post(`${centre}/api/rounds`, { data: { scene } })).ok()).toBe(true)
  const { bays: places } = await (await page.request.get(`${centre}/api/hunts`)).json()
  const hunt = { bay: places[0].code, aim: places[0].aims[0] }
  expect((await page.request.post(`${centre}/api/hunts`, { data: hunt })).ok()).toBe(true)
  const bays = (await (await page.request.get(`${centre}/api/bays`)).json()) as { key: string }[]
  const sent = await everythingSent(
    page.request,
    centre,
    bays.map(({ key }) => key),
  )
  expect(sent.length).toBeGreaterThan(50_000)

  const secrets = secretsOf(data, 'T-410')
  expect(secrets.references.length).toBeGreaterThan(10)
  expect(secrets.seeds.length).toBe(2)
  for (const [kind, texts] of Object.entries(secrets) as [keyof Secrets, readonly (string | number)[]][]) {
    const found = texts.filter((text) =>
      kind === 'seeds' ? new RegExp(`"seed":${text}\\b`).test(sent) : sent.includes(String(text)),
    )
    expect.soft(found, kind).toEqual([])
  }
  expect(sent).not.toMatch(/"(seed|faults|defects|look|alsoRight|passwordHash)":(?!null)/)
})

test('scripts that compute answers are served to staff alone; no other script computes a design', async ({
  browser,
  centre,
}) => {
  const names = readdirSync('.output/server/staff').filter((name) => name.endsWith('.js'))
  expect(names.length).toBeGreaterThan(5)
  const { page: bay } = await signIn(browser, centre, 'T-410')
  const { page: desk } = await signIn(browser, centre, 'I-201')
  const anybody = await browser.newContext()
  for (const name of names) {
    expect((await bay.request.get(`${centre}/staff/${name}`)).status(), name).toBe(403)
    expect((await anybody.request.get(`${centre}/staff/${name}`)).status(), name).toBe(401)
  }
  const first = await desk.request.get(`${centre}/staff/${names[0]}`)
  expect(first.status()).toBe(200)
  expect(first.headers()['cache-control']).toBe('private, no-cache')
  for (const name of ['..%2Findex.mjs', 'nothing.js', '%00.js'])
    expect((await desk.request.get(`${centre}/staff/${name}`)).status(), name).toBeGreaterThanOrEqual(400)

  // What only the design engine says: the constraint that no conductor meets.
  const everybodys = readdirSync('.output/public/_nuxt').filter((name) => name.endsWith('.js'))
  const guarded = names.map((name) => readFileSync(join('.output/server/staff', name), 'utf8')).join()
  const open = everybodys.map((name) => readFileSync(join('.output/public/_nuxt', name), 'utf8')).join()
  for (const mark of ['governs:', 'stopped:{at:']) {
    expect(guarded, mark).toContain(mark)
    expect(open, mark).not.toContain(mark)
  }
})
