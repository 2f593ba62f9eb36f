/* npm run pictures: one picture of each main view from freshly loaded demo data, for docs/screenshots, and
   contact sheets of every screen on desk, tablet and phone, on both cloths, for whoever reviews them. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { contactSheets } from './contact-sheets'
import { DEMO_PASSWORD } from '../demo/story'
import { isPortFree, startServer } from './steps.mjs'

const data = mkdtempSync(join(tmpdir(), 'nakshi-pictures-'))
execFileSync('npx', ['tsx', 'demo/load.ts'], { env: { ...process.env, NAKSHI_DATA: data } })
let port = 4800
while (!(await isPortFree(port))) port += 1
const server = await startServer(port, data, 'ignore')
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const base = `http://localhost:${port}`
const pages = new Map<string, Page>()

async function pageOf(number: string): Promise<Page> {
  const known = pages.get(number)
  if (known) return known
  const context = await browser.newContext({
    baseURL: base,
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
  })
  await context.request.post('/api/session', { data: { number, password: DEMO_PASSWORD } })
  const page = await context.newPage()
  pages.set(number, page)
  return page
}

const task = (code: string) => (page: Page) => page.getByTestId(`task-${code}`).click()

async function readyWired(page: Page) {
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('menuitem', { name: 'Take it ready wired' }).click()
  await page.waitForTimeout(1200)
}

type View = readonly [name: string, number: string, path: string, act?: (page: Page) => Promise<unknown>]
const VIEWS: readonly View[] = [
  ['survey', 'S-301', '/surveys/1', (page) => page.getByTestId('tab-plan').click()],
  ['plan', 'I-201', '/plan/1'],
  ['board', 'I-201', '/exercises/4'],
  ['library', 'I-201', '/library?ask=Where does 1.37 Ω come from?'],
  ['book', 'I-201', '/book'],
  ['workbook', 'M-503', '/work', task('T-04')],
  ['floor', 'S-301', '/floor'],
  ['marking', 'S-301', '/marking', (page) => page.getByRole('link', { name: 'Davit Ombre' }).first().click()],
  [
    'picture',
    'I-201',
    '/picture',
    async (page) => {
      await page.getByTestId('picture-cohort').click()
      await page.getByRole('option', { name: 'Thursday level 2' }).click()
      await page.getByTestId('lesson-says').first().waitFor()
    },
  ],
  [
    'records',
    'I-201',
    '/records',
    async (page) => {
      await page.getByTestId('group').click()
      await page.getByRole('option', { name: 'Thursday level 2' }).click()
      await page.getByRole('button', { name: 'What is missing of Tomas Varga' }).click()
    },
  ],
  [
    'bay',
    'T-404',
    '/practice/bays/practice-split',
    async (page) => {
      await readyWired(page)
      await page.getByRole('radio', { name: 'Trace' }).click()
      await page.locator('[data-part="c2p2"]').press('Enter')
    },
  ],
  ['layout', 'T-402', '/practice/layouts/1'],
  [
    'schedule',
    'I-201',
    '/floor',
    async (page) => {
      await page.getByRole('link', { name: 'Set', exact: true }).waitFor()
      await page.goto('/schedules/26')
      await page.getByTestId('find-cause').click()
      await page.locator('aside li').first().waitFor({ timeout: 30_000 })
      await page.locator('aside').evaluate((aside) => aside.scrollTo(0, 360))
    },
  ],
  ['record', 'U-604', '/papers/27', (page) => page.getByRole('tab', { name: 'Installation record' }).click()],
  ['conduit', 'I-201', '/runs/1'],
  [
    'trainer',
    'T-404',
    '/practice/inspection',
    async (page) => {
      await page.getByTestId('start-board').click()
      await page.getByTestId('spot-spare5').click()
      await page.getByTestId('spot-top2').click()
    },
  ],
  [
    'observation',
    'S-301',
    '/isolation',
    async (page) => {
      await page.getByText('in hand').click()
      await page.locator('[data-act="testDead"]').click()
    },
  ],
  [
    'account',
    'S-301',
    '/accounts',
    (page) => page.getByRole('link', { name: /Trunking of the lamp store/ }).click(),
  ],
  [
    'questions',
    'I-201',
    '/ask',
    async (page) => {
      await page.getByTestId('ask-T-05-3').click()
      await page.getByTestId('offer-whatIf').first().click()
      await page.getByTestId('show-answer').click()
    },
  ],
]

for (const [name, number, path, act] of VIEWS) {
  const page = await pageOf(number)
  await page.goto(path)
  await page.locator('h1').first().waitFor()
  await page.waitForTimeout(900)
  await act?.(page)
  await page.waitForTimeout(700)
  await page.mouse.move(640, 796)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
}
await contactSheets(browser, pageOf)
await browser.close()
server.kill()
