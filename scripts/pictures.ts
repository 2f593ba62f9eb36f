/* npm run pictures: one picture of each main view from freshly loaded demo data, for docs/screenshots. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { DEMO_PASSWORD } from '../demo/story'
import { isPortFree, startServer } from './steps.mjs'

const data = mkdtempSync(join(tmpdir(), 'nakshi-pictures-'))
execFileSync('npx', ['tsx', 'demo/load.ts'], { env: { ...process.env, NAKSHI_DATA: data } })
let port = 4800
while (!(await isPortFree(port))) port += 1
const server = await startServer(port, data, 'ignore')
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] })
const base = `http://localhost:${port}`
const pages = new Map<string, Page>()

async function pageOf(number: string): Promise<Page> {
  const known = pages.get(number)
  if (known) return known
  const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
  await context.request.post('/api/session', { data: { number, password: DEMO_PASSWORD } })
  const page = await context.newPage()
  pages.set(number, page)
  return page
}

const task = (code: string) => (page: Page) => page.getByTestId(`task-${code}`).click()

type View = readonly [name: string, number: string, path: string, act?: (page: Page) => Promise<unknown>]
const VIEWS: readonly View[] = [
  ['builder', 'I-201', '/exercises', (page) => page.getByRole('link', { name: 'Lighting in the halt shelter' }).click()],
  ['board', 'I-201', '/exercises/4'],
  ['diagram', 'I-201', '/exercises/4', (page) => page.getByRole('tab', { name: 'Diagram' }).click()],
  ['library', 'I-201', '/library?ask=Where does 1.37 Ω come from?'],
  ['advisers', 'I-201', '/advisers', (page) => page.getByText('What does an addition require?').click()],
  ['workbook', 'M-503', '/work', task('T-04')],
  ['dead-tests', 'T-408', '/work', task('T-02')],
  ['result', 'T-402', '/work', task('T-01')],
  ['floor', 'S-301', '/floor'],
  ['marking', 'S-301', '/marking', (page) => page.getByRole('link', { name: 'Davit Ombre' }).first().click()],
  ['group', 'S-301', '/marking/groups/2'],
  ['records', 'I-201', '/records'],
  ['own-record', 'T-401', '/record'],
  ['task-sheet', 'I-201', '/exercises/2/sheets'],
  ['stores', 'S-302', '/stores'],
  ['centre', 'A-100', '/centre'],
  ['roster', 'A-100', '/people', async (page) => {
    await page.getByRole('button', { name: 'Import a roster' }).click()
    const rows = 'number,name,group\nF-601,Ines Calloway,Friday level 1\nF-602,Otto Brandvik,Friday level 1\nF-602,Lena Brandvik,Friday level 1\nT-410,Femi Adeyemi,Friday level 1\nF-603,,Friday level 1\n'
    await page.getByLabel('Roster file').setInputFiles({ name: 'friday.csv', mimeType: 'text/csv', buffer: Buffer.from(rows) })
    await page.getByTestId('roster-counts').waitFor()
  }],
  ['indigo', 'I-201', '/floor', (page) => page.getByRole('button', { name: 'Evening cloth' }).click()],
]

const welcome = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await welcome.goto(`${base}/sign-in`)
await welcome.locator('[name=number]').waitFor()
await welcome.screenshot({ path: 'docs/screenshots/sign-in.png' })
for (const [name, number, path, act] of VIEWS) {
  const page = await pageOf(number)
  await page.goto(path)
  await page.locator('h1').first().waitFor()
  await page.waitForLoadState('networkidle')
  await act?.(page)
  await page.waitForTimeout(700)
  await page.mouse.move(640, 796)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
}
await browser.close()
server.kill()
