import { cpSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, expect, type Browser, type BrowserContext, type Page } from '@playwright/test'
import { DEMO_PASSWORD } from '../../demo/story'
import { isPortFree, startServer } from '../../scripts/steps.mjs'

export { expect, DEMO_PASSWORD }

/** Each worker looks in ports of its own, so that two never take the same one. */
async function freePort(worker: number): Promise<number> {
  const first = 4600 + 40 * (worker % 10)
  for (let port = first; port < first + 40; port += 1) if (await isPortFree(port)) return port
  throw new Error('no free port')
}

/**
 * A centre of its own for each file, with the demo or empty, so that none counts on what another has left: every
 * file names itself with `test.use({ file })`. The address is the test’s `centre`.
 */
export const test = base.extend<
  { tidy: void },
  { file: string; demo: boolean; data: string; centre: string }
>({
  // Pages of an earlier test would go on listening for news and take the machine's time.
  tidy: [
    async ({ browser }, use) => {
      await use()
      await Promise.all(browser.contexts().map((context) => context.close()))
    },
    { auto: true },
  ],
  // Another value is another worker, and so another centre.
  file: ['', { scope: 'worker', option: true }],
  demo: [true, { scope: 'worker', option: true }],
  /** Where this centre keeps everything. */
  data: [
    // Playwright reads what a fixture needs from its first parameter.
    async ({}, use) => use(mkdtempSync(join(tmpdir(), 'nakshi-e2e-'))),
    { scope: 'worker' },
  ],
  centre: [
    async ({ demo, data }, use, { workerIndex }) => {
      if (demo) cpSync(process.env.NAKSHI_E2E_DEMO!, data, { recursive: true })
      const port = await freePort(workerIndex)
      const server = await startServer(port, data, 'ignore')
      await use(`http://localhost:${port}`)
      server.kill()
    },
    { scope: 'worker' },
  ],
})

/** Nothing glides: what a check reads is the colour and the place where it ends. */
export const SCREEN = { viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' } as const

/** Opens a browser of their own for somebody, signed in; the form itself is filled where signing in is the matter. */
export async function signIn(
  browser: Browser,
  centre: string,
  number: string,
  password = DEMO_PASSWORD,
): Promise<{ page: Page; context: BrowserContext }> {
  const context = await browser.newContext({ baseURL: centre, ...SCREEN })
  const signed = await context.request.post('/api/session', { data: { number, password } })
  expect(signed.ok(), `${number} signs in`).toBe(true)
  const page = await context.newPage()
  await page.goto('/')
  await page.locator('h1').first().waitFor()
  return { page, context }
}

export async function fillSignIn(page: Page, number: string, password: string): Promise<void> {
  await page.locator('[name=number]').fill(number)
  await page.locator('[name=password]').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

/**
 * Chooses an entry of a list box, as somebody does: opens it, taps the entry, and looks whether it stands
 * there.
 */
export async function choose(page: Page, box: string, option: string): Promise<void> {
  const entry = page.getByRole('option', { name: option, exact: true }).filter({ visible: true })
  await expect(async () => {
    if ((await entry.count()) === 0) await page.getByTestId(box).click({ timeout: 3000 })
    await entry.click({ timeout: 3000 })
    await expect(page.getByTestId(box)).toContainText(option, { timeout: 2000 })
  }).toPass({ timeout: 20_000 })
}

/** Fills the boxes of a worksheet, circuit by circuit; answers by `c2.zs`. */
export async function fillDesign(
  page: Page,
  answers: Readonly<Record<string, string | undefined>>,
): Promise<void> {
  const tabs = page.getByRole('tablist', { name: 'Circuits and boards' }).getByRole('tab')
  const count = await tabs.count()
  for (let i = 0; i < Math.max(1, count); i += 1) {
    if (count > 0) await tabs.nth(i).click()
    await page.locator('[data-whole=true]').waitFor()
    for (const row of await page.locator('[id^="step-"]').all()) {
      const node = (await row.getAttribute('id'))!.slice('step-'.length)
      const text = answers[node]
      if (!text) throw new Error(`no answer for ${node}`)
      const isPicked = await row.locator('.el-radio-group').count()
      if (isPicked) await row.locator('.el-radio-button__inner').getByText(text, { exact: true }).click()
      else await row.locator('input').fill(text)
    }
  }
}

export const saved = (page: Page) =>
  expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved')

/** Opens everything that counts in a record, unit by unit. */
export async function showWhatCounts(page: Page): Promise<void> {
  const closed = page.getByRole('button', { name: 'Show what counts' })
  await closed.first().waitFor()
  for (let left = await closed.count(); left > 0; left -= 1) await closed.first().click()
}
