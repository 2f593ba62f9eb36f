/* npm run bench: time of the reference design and of marking, size of the first screen's scripts. Separate from tests. */
import { existsSync, readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import type { ExerciseForm } from '#core/exercise/form/fields'
import { readForm } from '#core/exercise/form/read-form'
import { CIRCUIT_TEMPLATES, addCircuit } from '#core/exercise/form/rows'
import { toForm } from '#core/exercise/form/to-form'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { ASK_SETS } from '#core/exercise/usual-asks'
import { markDesign } from '#core/marking/mark-design'
import { makeVariants } from '#core/variants/variants'
import { typedAnswers } from '../../demo/story'
import { anExercise } from '../support/task'
import { isPortFree, startServer } from '../../scripts/steps.mjs'

const LIMITS = { designMs: 2, markingMs: 100, firstScreenKB: 250, frameMs: 1000 / 60 }
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

/** A board of so many circuits, of the kinds that a workshop sets, every step asked. */
function aBoardOf(count: number): Exercise {
  const kinds = Object.entries(CIRCUIT_TEMPLATES).filter(([name]) => name !== 'Feed to a board').map(([, parts]) => parts)
  let form: ExerciseForm = { ...toForm(anExercise()), phases: '3', 'b1.phases': '3', 'b1.ways': '24', 'c1.amount': '2500 W', askSteps: ASK_SETS.full.join(' ') }
  for (let i = 1; i < count; i += 1) form = addCircuit(form, { ...kinds[i % kinds.length], line: (['L1', 'L2', 'L3'] as const)[i % 3]! }).form
  return readForm(form, anExercise().policy).exercise!
}
const twelve = aBoardOf(12)
const six = assignmentOf(aBoardOf(6))
const sheets = Array.from({ length: 30 }, (_, i) => typedAnswers(six, { slips: { 'c1.ib': 9 + i } }))
if (!designOf(assignmentOf(twelve)).circuits.every(({ stopped }) => !stopped)) throw new Error('the board of the bench has no solution')
report('Reference design of twelve ways', time(() => designOf(assignmentOf(twelve)), 100), 'ms', LIMITS.designMs)
report('Marking 30 submissions of six circuits', time(() => sheets.map((answers) => markDesign(six, answers)), 20), 'ms', LIMITS.markingMs)
report('Variants of one circuit for a group of 20', time(() => makeVariants(anExercise(), 20), 20), 'ms')

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

/** Longest frame while a length is typed in the builder's table, ms: the time between two animation frames at the 95th percentile. */
async function framesWhileTyping(base: string): Promise<number> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(base)
  await page.locator('[name=number]').waitFor()
  await page.request.post(`${base}/api/session`, { data: { number: 'I-201', password: 'tram-depot-14' } })
  await page.goto(`${base}/exercises/4`)
  await page.getByRole('button', { name: 'Duplicate' }).first().click()
  const cell = page.locator('[name="c3.length"]')
  await cell.waitFor()
  // As text: the runner names functions in a way that a page does not know.
  await page.evaluate('window.frameTimes = []; (function note(at) { if (at) window.frameTimes.push(at); requestAnimationFrame(note) })()')
  for (let i = 0; i < 20; i += 1) {
    await cell.fill(String(10 + i))
    await page.waitForTimeout(60)
  }
  const times = await page.evaluate<number[]>('window.frameTimes')
  await browser.close()
  const gaps = times.slice(1).map((at, i) => at - times[i]!).sort((a, b) => a - b)
  return gaps[Math.floor(gaps.length * 0.95)]!
}

let port = 4700
while (!(await isPortFree(port))) port += 1
const server = await startServer(port, process.env.NAKSHI_DATA ?? 'demo-data', 'ignore')
const base = `http://localhost:${port}`
report('First screen (sign-in), script compressed', await scriptSize(base), 'kB', LIMITS.firstScreenKB)
for (const [name, number] of [['floor', 'I-201'], ['my tasks', 'T-403']] as const) {
  report(`First screen signed in (${name})`, await scriptSize(base, number), 'kB', LIMITS.firstScreenKB)
}
report('Builder while typing, 95 of 100 frames within', await framesWhileTyping(base), 'ms', LIMITS.frameMs + 0.5)
server.kill()
process.exit(missed === 0 ? 0 : 1)
