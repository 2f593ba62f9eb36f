/*
 * npm run drill: kills the server in the middle of writes, backs up while it is written to, restores, and
 * looks whether everything that was acknowledged is there. `KILLS=40 npm run drill` for a long one. Nothing
 * outside a folder of its own.
 */
import { execFile, execFileSync, spawnSync } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { setTimeout } from 'node:timers/promises'
import { promisify } from 'node:util'
import { DEMO_PASSWORD } from '../demo/story'
import { verify } from '../server/db/backup'
import { isPortFree, startServer } from './steps.mjs'

export interface DrillReport {
  readonly kills: number
  readonly acknowledged: number
  /** Acknowledged and not there after the next start. */
  readonly lost: number
  /** What `nakshi verify` says of database and backups; empty where all is whole. */
  readonly broken: readonly string[]
  /** From SIGTERM to the end, ms. */
  readonly downMs: number
}

const KILL_AFTER_MS = [250, 900] as const

interface Sheet {
  readonly version: number
  readonly answers: Record<string, string>
  readonly readings: Record<string, string>
}

/** One apprentice who types without pause, and remembers what was acknowledged. */
class Writer {
  acknowledged = 0
  /** What was acknowledged last, and what was sent last: killed in between, either may stand there. */
  last = ''
  sent = ''
  #cookie = ''
  constructor(
    readonly base: string,
    readonly id: number,
  ) {}

  async #ask<T>(method: string, path: string, body?: unknown): Promise<{ status: number; json: T }> {
    const response = await fetch(`${this.base}/api/${path}`, {
      method,
      headers: { 'content-type': 'application/json', cookie: this.#cookie },
      body: body === undefined ? undefined : JSON.stringify(body),
    })
    const cookie = response.headers.getSetCookie().map((text) => text.split(';')[0]!)
    if (cookie.length > 0) this.#cookie = cookie.join('; ')
    return { status: response.status, json: (await response.json().catch(() => null)) as T }
  }

  signIn = (number: string) => this.#ask('POST', 'session', { number, password: DEMO_PASSWORD })
  sheet = async (): Promise<Sheet> => (await this.#ask<Sheet>('GET', `work/${this.id}`)).json
  tasks = async () => (await this.#ask<{ id: number; stage: string }[]>('GET', 'work')).json

  /** Types until the server is gone. */
  async typeOn(): Promise<void> {
    const { readings, ...sheet } = await this.sheet()
    let { version, answers } = sheet
    for (let n = 0; ; n += 1) {
      const text = `${this.acknowledged}.${n}`
      answers = { ...answers, [Object.keys(answers)[0] ?? 'c1.ib']: text }
      this.sent = text
      try {
        const { status, json } = await this.#ask<{ version: number }>('PUT', `work/${this.id}`, {
          version,
          answers,
          readings,
        })
        if (status !== 200) throw new Error(`the server answered ${status}`)
        version = json.version
        this.acknowledged += 1
        this.last = text
      } catch (error) {
        if (error instanceof TypeError) return
        throw error
      }
    }
  }
}

const command = (...args: string[]) => ['tsx', '--tsconfig', 'tsconfig.server.json', 'cli/nakshi.ts', ...args]
const nakshi = (...args: string[]) => spawnSync('npx', command(...args), { encoding: 'utf8' })

/** Is this file whole? Empty where it is. */
const brokenIn = (file: string): string[] => verify(file).map((problem) => `${file}: ${problem}`)

/** A folder with the demo, or with a copy of what stands in this one. */
function aFolder(from: string | undefined): string {
  const data = mkdtempSync(join(tmpdir(), 'nakshi-drill-'))
  if (from) cpSync(from, data, { recursive: true })
  else
    execFileSync('npx', ['tsx', 'demo/load.ts'], {
      env: { ...process.env, NAKSHI_DATA: data },
      stdio: 'ignore',
    })
  return data
}

export async function drill(
  kills: number,
  log: (line: string) => void = () => {},
  from?: string,
): Promise<DrillReport> {
  const data = aFolder(from)
  const file = join(data, 'nakshi.sqlite')
  let port = 5200
  while (!(await isPortFree(port))) port += 1
  const base = `http://localhost:${port}`
  const broken: string[] = []
  let lost = 0

  let server = await startServer(port, data, 'ignore')
  const first = new Writer(base, 0)
  await first.signIn('T-404')
  const task = (await first.tasks()).find(({ stage }) => stage === 'design')!
  const writer = new Writer(base, task.id)
  await writer.signIn('T-404')

  for (let kill = 0; kill < kills; kill += 1) {
    const before = writer.acknowledged
    const typing = writer.typeOn()
    // The first answer of a server that has just started takes its time; the kill is to fall among writes.
    while (writer.acknowledged === before) await setTimeout(5)
    await setTimeout(KILL_AFTER_MS[0] + Math.random() * (KILL_AFTER_MS[1] - KILL_AFTER_MS[0]))
    // Beside the typing, so that it copies what is being written.
    if (kill === 0) await promisify(execFile)('npx', command('backup', '--data', data))
    const gone = new Promise((go) => server.once('exit', go))
    server.kill('SIGKILL')
    await Promise.all([typing, gone])
    broken.push(...brokenIn(file))
    server = await startServer(port, data, 'ignore')
    // The session of before goes on: it stands in the database.
    const { answers } = await writer.sheet()
    const stands = Object.values(answers)
    if (!stands.includes(writer.last) && !stands.includes(writer.sent)) lost += 1
    log(`kill ${kill + 1}: ${writer.acknowledged} acknowledged, ${lost} lost`)
  }

  const start = performance.now()
  const ended = new Promise((go) => server.once('exit', go))
  server.kill('SIGTERM')
  await ended
  const downMs = performance.now() - start
  if (existsSync(`${file}-wal`)) broken.push('the log was not merged when the server was told to stop')

  const backups = JSON.parse(nakshi('backup', '--data', data).stdout) as { file: string }
  broken.push(...brokenIn(backups.file))
  const { status, stdout, stderr } = nakshi('restore', backups.file, '--data', data)
  if (status !== 0) broken.push(`restore: ${stdout}${stderr}`)
  broken.push(...brokenIn(file))
  return { kills, acknowledged: writer.acknowledged, lost, broken, downMs }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const report = await drill(Number(process.env.KILLS ?? 12), console.log)
  console.log(report)
  process.exit(report.lost + report.broken.length > 0 || report.downMs > 2000 ? 1 : 0)
}
