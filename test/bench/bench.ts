/* npm run bench: time of the reference design and of marking, size of the first screen's scripts. Separate from tests. */
import { existsSync, readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { referenceDesign } from '#core/design/reference'
import { markDesign } from '#core/marking/mark-design'
import { judgeReadings } from '#core/results/judge'
import { makeVariants } from '#core/variants/variants'
import { typedAnswers, typedReadings } from '../../demo/story'
import { anExercise, aTask } from '../support/task'
import { isPortFree, startServer } from '../../scripts/steps.mjs'

const LIMITS = { designMs: 1, firstScreenKB: 250 }
let missed = 0

function report(name: string, value: number, unit: string, limit?: number): void {
  const isMissed = limit !== undefined && value > limit
  if (isMissed) missed += 1
  console.log(`${name.padEnd(44)} ${value.toFixed(unit === 'ms' ? 3 : 1).padStart(9)} ${unit}${limit === undefined ? '' : `   limit ${limit} ${unit}  ${isMissed ? 'MISSED' : 'kept'}`}`)
}

/** Median time of one call, ms, warmed up. */
function time(work: () => unknown, runs = 400): number {
  for (let i = 0; i < 100; i += 1) work()
  const times = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((a, b) => a - b)
  return times[Math.floor(runs / 2)]!
}

const task = aTask()
const exercise = anExercise()
const answers = typedAnswers(task, { slips: { ib: 23 } })
const readings = typedReadings(task, 3)
report('Reference design of one radial circuit', time(() => referenceDesign(task)), 'ms', LIMITS.designMs)
report('Marking one sheet, design and readings', time(() => [markDesign(task, answers), judgeReadings(task, readings)]), 'ms')
report('Variants for a group of 20', time(() => makeVariants(exercise, 20), 60), 'ms')

if (!existsSync('.output/server/index.mjs')) {
  console.log('First screen: build first (npm run build).')
  process.exit(1)
}

/** Compressed script that a browser fetches until a page stands, kB. */
async function scriptSize(base: string, signIn?: string): Promise<number> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] })
  const page = await browser.newPage()
  const scripts = new Map<string, number>()
  page.on('response', (response) => {
    const { pathname } = new URL(response.url())
    if (pathname.endsWith('.js')) scripts.set(pathname, gzipSync(readFileSync(`.output/public${pathname}`)).length)
  })
  await page.goto(base)
  await page.locator('[name=number]').waitFor()
  if (signIn) {
    scripts.clear()
    await page.request.post(`${base}/api/session`, { data: { number: signIn, password: 'tram-depot-14' } })
    await page.goto(base)
    await page.locator('h1').first().waitFor()
  }
  await page.waitForLoadState('networkidle')
  await browser.close()
  return [...scripts.values()].reduce((sum, size) => sum + size, 0) / 1024
}

let port = 4700
while (!(await isPortFree(port))) port += 1
const server = await startServer(port, process.env.NAKSHI_DATA ?? 'demo-data', 'ignore')
const base = `http://localhost:${port}`
report('First screen (sign-in), script compressed', await scriptSize(base), 'kB', LIMITS.firstScreenKB)
for (const [name, number] of [['floor', 'I-201'], ['my tasks', 'T-403']] as const) {
  report(`First screen signed in (${name})`, await scriptSize(base, number), 'kB', LIMITS.firstScreenKB)
}
server.kill()
process.exit(missed === 0 ? 0 : 1)
