/* Benchmarks on a centre after five years: what each screen asks of the server, alone and while others work; STOP and
   autosave meanwhile. Part of npm run bench; NAKSHI_FILLED names a folder that npm run fill has filled already. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { isPortFree, startServer } from '../../scripts/steps.mjs'
import { DEMO_PASSWORD } from '../../demo/story'
import { quantile } from './clock'
import type { LookerData } from './looker'
import { report } from './report'

const LIMITS = { screenMs: 100, screenKB: 300, stopMs: 20, saveMs: 10, beside95Ms: 20 }
const LOOKS = 7
const BESIDE_S = 20
const LOOKERS = 2
const STOP_EVERY_MS = 200

/** What screens ask, by who looks. */
const SCREENS: Readonly<Record<string, readonly string[]>> = {
  'I-201': [
    ...[
      'floor',
      'needs',
      'marking',
      'exercises',
      'first-steps',
      'records',
      'stores',
      'people',
      'planning',
      'asking',
      'rounds',
    ],
    ...[
      'closing',
      'runs',
      'cohorts',
      'picture?cohort=Wednesday%20level%202&since=2026-10-01',
      'questions',
      'surveys',
      'instruments',
    ],
    ...['marking/22', 'exercises/4', 'bays'],
  ],
  'S-301': ['accounts', 'verification', 'observations', 'appeals', 'marking'],
  'A-100': ['keeping', 'audit', 'centre', 'framework/file'],
  'T-402': ['work', 'record', 'accounts', 'needs/own', 'isolation'],
}

let base = ''
async function signIn(number: string): Promise<string> {
  const response = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ number, password: DEMO_PASSWORD }),
  })
  return response.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ')
}
interface Look {
  readonly ms: number
  readonly kB: number
  readonly body: string
}
async function look(cookie: string, path: string, method = 'GET', body?: unknown): Promise<Look> {
  const from = performance.now()
  const response = await fetch(`${base}/api/${path}`, {
    method,
    headers: { cookie, 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  const text = await response.text()
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${text.slice(0, 200)}`)
  return { ms: performance.now() - from, kB: Buffer.byteLength(text) / 1024, body: text }
}

/** The slowest and the largest of what a role's screens ask, each the median of several. */
async function benchLooks(number: string, paths: readonly string[]): Promise<void> {
  const cookie = await signIn(number)
  const looked: { path: string; ms: number; kB: number }[] = []
  for (const path of paths) {
    const looks: Look[] = []
    for (let i = 0; i < LOOKS; i += 1) looks.push(await look(cookie, path))
    looked.push({
      path,
      ms: quantile(
        looks.map(({ ms }) => ms),
        0.5,
      ),
      kB: looks[0]!.kB,
    })
  }
  const slowest = looked.reduce((a, b) => (b.ms > a.ms ? b : a))
  const largest = looked.reduce((a, b) => (b.kB > a.kB ? b : a))
  report(
    `Filled centre, ${number}: slowest of ${paths.length} (${slowest.path})`,
    slowest.ms,
    'ms',
    LIMITS.screenMs,
  )
  report(`… largest (${largest.path})`, largest.kB, 'kB', LIMITS.screenKB)
}

/** STOP and autosave while several people open one screen after another, all of them without a pause. */
async function benchBeside(): Promise<void> {
  const [tablet, wall] = [await signIn('T-404'), await signIn('S-301')]
  const screens: (readonly [cookie: string, path: string])[] = []
  for (const [number, paths] of Object.entries(SCREENS)) {
    const cookie = await signIn(number)
    screens.push(...paths.map((path) => [cookie, path] as const))
  }
  const own = JSON.parse((await look(tablet, 'work')).body) as { id: number; stage: string }[]
  const { id } = own.find(({ stage }) => stage === 'design') ?? own[0]!
  let { version } = JSON.parse((await look(tablet, `work/${id}`)).body) as { version: number }
  const lookers = Array.from({ length: LOOKERS }, (_, k) => {
    const beginsAt = Math.round((k * screens.length) / LOOKERS)
    const data: LookerData = { base, screens, beginsAt }
    return new Worker(new URL('looker.mjs', import.meta.url), { workerData: data })
  })
  const endsAt = performance.now() + BESIDE_S * 1000
  const until = () => performance.now() < endsAt
  const [saves, stops]: [number[], number[]] = [[], []]
  await Promise.all([
    (async () => {
      for (let i = 0; until(); i += 1) {
        const body = { version, answers: { 'c1.ib': `${12 + (i % 10) / 10}` }, readings: {} }
        const { ms, body: answer } = await look(tablet, `work/${id}`, 'PUT', body)
        ;({ version } = JSON.parse(answer) as { version: number })
        saves.push(ms)
        await new Promise((go) => setTimeout(go, 60))
      }
    })(),
    (async () => {
      while (until()) {
        stops.push((await look(wall, 'floor/stop', 'POST', { attemptId: null, reason: '' })).ms)
        await new Promise((go) => setTimeout(go, STOP_EVERY_MS))
      }
    })(),
  ])
  await Promise.all(lookers.map((looker) => looker.terminate()))
  report(
    `Filled centre, ${saves.length} autosaves beside other work, half within`,
    quantile(saves, 0.5),
    'ms',
    LIMITS.saveMs,
  )
  report('… 95 of 100 within', quantile(saves, 0.95), 'ms', LIMITS.beside95Ms)
  report('… 99 of 100 within', quantile(saves, 0.99), 'ms')
  report(
    `Filled centre, ${stops.length} times STOP beside other work, half within`,
    quantile(stops, 0.5),
    'ms',
    LIMITS.stopMs,
  )
  report('… 95 of 100 within', quantile(stops, 0.95), 'ms', LIMITS.beside95Ms)
  report('… the slowest', Math.max(...stops), 'ms')
}

export async function benchFilled(): Promise<void> {
  const data = process.env.NAKSHI_FILLED ?? mkdtempSync(join(tmpdir(), 'nakshi-filled-'))
  if (!process.env.NAKSHI_FILLED)
    execFileSync('npm', ['run', '--silent', 'fill', '--', data], { stdio: 'ignore' })
  // More than a gigabyte has just been written: the disk is done with it before anything is measured.
  execFileSync('sync')
  let port = 4700
  while (!(await isPortFree(port))) port += 1
  const server = await startServer(port, data, 'ignore')
  base = `http://localhost:${port}`
  try {
    for (const [number, paths] of Object.entries(SCREENS)) await benchLooks(number, paths)
    const desk = await signIn('I-201')
    const stop = async () => (await look(desk, 'floor/stop', 'POST', { attemptId: null, reason: '' })).ms
    const stops: number[] = []
    for (let i = 0; i < LOOKS; i += 1) stops.push(await stop())
    report('Filled centre, STOP for all bays', quantile(stops, 0.5), 'ms', LIMITS.stopMs)
    await benchBeside()
  } finally {
    server.kill()
  }
}
