/* npm run load -- SECONDS: a class at work. 32 tablets save every two seconds, five floors follow, STOP comes
   now and then. */
import { createServer } from 'node:http'
import { readFileSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { open } from 'node:fs/promises'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import framework from '../../frameworks/workshop-unit.json'
import type { Framework } from '#core/assessment/outcomes/framework'
import { openDatabase } from '../../server/db/open'
import { createRepos } from '../../server/repos'
import { createExercise } from '../../server/services/exercises'
import { setExercise } from '../../server/services/set-exercise'
import { hashOneTime } from '../../server/services/passwords'
import { isPortFree, startServer } from '../../scripts/steps.mjs'
import { anExercise } from '../support/task'
import { quantile } from './clock'
import { missedLimits, report } from './report'

const SECONDS = Number(process.argv[2] ?? 600)
const TABLETS = 32
const FLOORS = 5
const EVERY_MS = 2000
const STOP_EVERY_MS = 5000
/** Memory is compared from here on. */
const SETTLED_S = Math.min(60, SECONDS / 3)
const LIMITS = { saveP99Ms: 50, stopMs: 200, growth: 0.1, ratio: 2 }
const PASSWORD = 'three words apart'

const data = mkdtempSync(join(tmpdir(), 'nakshi-load-'))
/** A centre with one instructor and a class at its design. */
async function prepare(): Promise<void> {
  const db = openDatabase(join(data, 'nakshi.sqlite'))
  const repos = createRepos(db)
  const now = new Date().toISOString()
  const hash = await hashOneTime(PASSWORD)
  repos.centre.putFramework(framework as Framework)
  const add = (number: string, role: 'instructor' | 'apprentice') =>
    repos.people.insert({ number, name: `Person ${number}`, role, cohort: 'Class' }, hash, false, now)
  const instructor = repos.people.byId(add('I-1', 'instructor'))!
  for (let i = 1; i <= TABLETS; i += 1) add(`T-${i}`, 'apprentice')
  const { id, version } = createExercise({ repos, now }, instructor, anExercise())
  await setExercise({ repos, now }, instructor, { id, version, cohort: 'Class' })
  db.close()
}

let base = ''
async function signIn(number: string): Promise<string> {
  const response = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ number, password: PASSWORD }),
  })
  return response.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ')
}
async function ask<T>(cookie: string, method: string, path: string, body?: unknown): Promise<T> {
  const response = await fetch(`${base}/api/${path}`, {
    method,
    headers: { cookie, 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`)
  return (await response.json()) as T
}
const pause = (ms: number) => new Promise((go) => setTimeout(go, ms))

const saves: number[] = []
const stops: number[] = []
const memoryMB: number[] = []
const until = () => performance.now() < endsAt
let endsAt = 0

/** One apprentice's tablet: a step is typed and saved, again and again. */
async function tablet(cookie: string, i: number): Promise<void> {
  const [{ id }] = await ask<[{ id: number }]>(cookie, 'GET', 'work')
  let { version } = await ask<{ version: number }>(cookie, 'GET', `work/${id}`)
  await pause((i / TABLETS) * EVERY_MS)
  for (let turn = 0; until(); turn += 1) {
    const from = performance.now()
    const body = { version, answers: { 'c1.ib': `${12 + (turn % 10) / 10}` }, readings: {} }
    ;({ version } = await ask<{ version: number }>(cookie, 'PUT', `work/${id}`, body))
    saves.push(performance.now() - from)
    await pause(Math.max(0, EVERY_MS - (performance.now() - from)))
  }
}
/** A floor on a wall: it listens, and looks at most every 600 ms. */
async function floor(cookie: string): Promise<void> {
  const stream = await fetch(`${base}/api/news`, { headers: { cookie } })
  const reader = stream.body!.getReader()
  while (until()) {
    await reader.read()
    await ask(cookie, 'GET', 'floor')
    await pause(600)
  }
  await reader.cancel()
}
async function stopNowAndThen(cookie: string): Promise<void> {
  while (until()) {
    await pause(STOP_EVERY_MS)
    const from = performance.now()
    await ask(cookie, 'POST', 'floor/stop', { attemptId: null, reason: '' })
    stops.push(performance.now() - from)
  }
}

/** What the disk alone takes meanwhile for one synced write: no save can be quicker. */
const syncs: number[] = []
async function watchDisk(): Promise<void> {
  const file = await open(join(data, 'probe'), 'w')
  while (until()) {
    const from = performance.now()
    await file.write(Buffer.alloc(4096), 0, 4096, 0)
    await file.datasync()
    syncs.push(performance.now() - from)
    await pause(EVERY_MS / 4)
  }
  await file.close()
}

/** A bare handler with a bare insert, synced, on the same disk: what a save cannot be quicker than. */
function bareServer() {
  const db = new Database(join(data, 'bare.sqlite'))
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.exec('CREATE TABLE bare (id INTEGER PRIMARY KEY, body TEXT)')
  const insert = db.prepare('INSERT INTO bare (body) VALUES (?)')
  const server = createServer((request, response) => {
    let body = ''
    request.on('data', (part) => (body += part))
    request.on('end', () => {
      insert.run(body)
      response.setHeader('content-type', 'application/json')
      response.end('{"version":1}')
    })
  }).listen(0)
  const { port } = server.address() as { port: number }
  return {
    ask: async () =>
      (await fetch(`http://127.0.0.1:${port}`, { method: 'PUT', body: '{"version":1}' })).json(),
    close() {
      server.close()
      db.close()
    },
  }
}
/** How many times as long a save and a floor alone take, in turns: the disk has good and bad minutes. */
async function overBare(
  cookie: string,
  desk: string,
  runs: number,
): Promise<{ save: number; floor: number }> {
  const bare = bareServer()
  const [{ id }] = await ask<[{ id: number }]>(cookie, 'GET', 'work')
  let { version } = await ask<{ version: number }>(cookie, 'GET', `work/${id}`)
  const [bares, saves, floors]: [number[], number[], number[]] = [[], [], []]
  const took = async (work: () => Promise<unknown>) => {
    const from = performance.now()
    await work()
    return performance.now() - from
  }
  for (let i = 0; i < runs; i += 1) {
    bares.push(await took(bare.ask))
    const body = { version, answers: { 'c1.ib': `${13 + i / 100}` }, readings: {} }
    saves.push(
      await took(async () => {
        ;({ version } = await ask<{ version: number }>(cookie, 'PUT', `work/${id}`, body))
      }),
    )
    floors.push(await took(() => ask(desk, 'GET', 'floor')))
  }
  bare.close()
  const base = quantile(bares, 0.5)
  return { save: quantile(saves, 0.5) / base, floor: quantile(floors, 0.5) / base }
}

await prepare()
let port = 4700
while (!(await isPortFree(port))) port += 1
const server = await startServer(port, data, 'ignore')
base = `http://localhost:${port}`
const rssMB = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1024
const desk = await signIn('I-1')
const cookies: string[] = []
for (let i = 1; i <= TABLETS; i += 1) cookies.push(await signIn(`T-${i}`))

endsAt = performance.now() + SECONDS * 1000
const settledAt = performance.now() + SETTLED_S * 1000
const watch = setInterval(() => performance.now() > settledAt && memoryMB.push(rssMB()), 1000)
await Promise.all([
  ...cookies.map(tablet),
  ...Array.from({ length: FLOORS }, () => floor(desk)),
  stopNowAndThen(desk),
  watchDisk(),
])
clearInterval(watch)
const ratio = await overBare(cookies[0]!, desk, 200)
server.kill()

/** Memory goes up and down with what is thrown away, over a minute or two: long enough to hold whole rounds of it. */
const third = Math.max(1, Math.floor(memoryMB.length / 3))
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
const growth = mean(memoryMB.slice(-third)) / mean(memoryMB.slice(0, third)) - 1
console.log(
  `${TABLETS} tablets, ${FLOORS} floors, ${SECONDS} s, ${saves.length} saves, ${stops.length} times STOP`,
)
const spread = [0.5, 0.9, 0.95, 0.999].map(
  (share) => `${100 * share} %: ${quantile(saves, share).toFixed(1)}`,
)
console.log(`save, ms at ${spread.join(', ')}`)
report('save, 99 of 100 within', quantile(saves, 0.99), 'ms', LIMITS.saveP99Ms)
const [disk, diskWorst] = [quantile(syncs, 0.99), Math.max(...syncs)].map((ms) => ms.toFixed(1))
console.log(`a synced write by itself meanwhile, 99 of 100 within ${disk} ms, the slowest ${diskWorst} ms`)
report('STOP, the slowest', Math.max(...stops), 'ms', LIMITS.stopMs)
report('memory, end over beginning', 100 * growth, '%', 100 * LIMITS.growth)
report('save against a bare handler and synced insert', ratio.save, '×', LIMITS.ratio)
report('floor against the same', ratio.floor, '×', LIMITS.ratio)
process.exit(missedLimits() > 0 ? 1 : 0)
