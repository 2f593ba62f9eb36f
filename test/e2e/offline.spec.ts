/* An apprentice's afternoon with the network cut at every step: what was typed is there, and the state says the truth. */
import { once } from 'node:events'
import { createServer, request } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { expect, fillSignIn, DEMO_PASSWORD, saved, signIn, test } from './support'

test.use({ file: 'offline' })

/** Somebody on a tablet that keeps the app: the shell is there before the network goes. */
async function onTablet(browser: Browser, centre: string, number: string) {
  const context = await browser.newContext({
    baseURL: centre,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'allow',
  })
  const page = await context.newPage()
  await page.goto('/')
  await fillSignIn(page, number, DEMO_PASSWORD)
  await page.waitForURL((url) => url.pathname !== '/sign-in')
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  return { context, page }
}
const cut = (context: BrowserContext) => context.setOffline(true)
const mend = (context: BrowserContext) => context.setOffline(false)
const state = (page: Page) => page.getByTestId('save-state')

test('design, dead and live readings typed without a network survive reloads and reach the sheet', async ({
  browser,
  centre,
}) => {
  test.setTimeout(180_000)
  const { context, page } = await onTablet(browser, centre, 'T-410')
  await page.getByTestId('task-T-02').click()
  await page.locator('[name="c1.ib"]').waitFor()
  const address = new URL(page.url()).pathname

  await test.step('a design is typed, the page reloaded, the tablet sent to another page', async () => {
    await cut(context)
    await page.locator('[name="c1.ib"]').fill('12.6')
    await expect(state(page)).toContainText('kept on this device')
    await page.reload()
    await expect(page.locator('[name="c1.ib"]')).toHaveValue('12.6')
    await expect(state(page)).toHaveAttribute('data-state', 'offline')
    await page.locator('[name="c1.voltDrop"]').fill('6.1')
    await page.getByRole('link', { name: 'My tasks' }).click()
    await expect(page.getByTestId('task-T-02')).toBeVisible()
    await expect(page.getByTestId('outbox')).toContainText('1 waiting')
    await page.getByTestId('outbox').click()
    await expect(page.getByText('2 boxes since')).toBeVisible()
  })

  await test.step('it is sent from whatever page is open when the network is back', async () => {
    await mend(context)
    await expect(page.getByTestId('outbox')).toHaveCount(0)
    await page.goto(address)
    await expect(page.locator('[name="c1.voltDrop"]')).toHaveValue('6.1')
    await expect(page.locator('[name="c1.ib"]')).toHaveValue('12.6')
    await saved(page)
  })

  await test.step('signing out warns of what is not saved, and it goes at the next sign-in here', async () => {
    await page.route('**/api/work/**', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    )
    await page.locator('[name="c1.ib"]').fill('12.7')
    await expect(state(page)).toContainText('kept on this device')
    await page.getByRole('button', { name: 'Sign out' }).click()
    await expect(page.getByText('One thing has not been saved')).toBeVisible()
    await page.getByRole('button', { name: 'Sign out all the same' }).click()
    await page.waitForURL((url) => url.pathname === '/sign-in')
    await page.unroute('**/api/work/**')
    await fillSignIn(page, 'T-410', DEMO_PASSWORD)
    await page.waitForURL((url) => url.pathname === '/work')
    await expect(page.getByTestId('outbox')).toHaveCount(0)
    await page.goto(address)
    await expect(page.locator('[name="c1.ib"]')).toHaveValue('12.7')
  })
  await context.close()
})

test('two tabs of one sheet: neither deletes what the other has not sent', async ({ browser, centre }) => {
  const { page: one, context } = await signIn(browser, centre, 'T-404')
  await one.getByTestId('task-T-02').click()
  await one.locator('[name="c1.ib"]').waitFor()
  const two = await context.newPage()
  await two.goto(one.url())
  await two.locator('[name="c1.ib"]').waitFor()
  await two.route('**/api/work/**', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await two.locator('[name="c1.voltDrop"]').fill('5.5')
  await expect(state(two)).toContainText('kept on this device')
  await one.locator('[name="c1.ib"]').fill('12.2')
  await saved(one)
  await two.close({ runBeforeUnload: false })
  await one.reload()
  await expect(one.locator('[name="c1.voltDrop"]')).toHaveValue('5.5')
  await expect(one.locator('[name="c1.ib"]')).toHaveValue('12.2')
  await saved(one)
})

test('feedback typed without a network and closed is sent from another page', async ({ browser, centre }) => {
  const { page, context } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/marking/22`)
  const box = page.locator('textarea[name=feedback]')
  await box.waitFor()
  const address = page.url()
  await cut(context)
  await box.fill('Calm and complete.')
  await expect(page.getByTestId('feedback-state')).toContainText('kept on this device')
  await page.close({ runBeforeUnload: false })
  await mend(context)
  const again = await context.newPage()
  await again.goto(`${centre}/exercises`)
  await expect(again.getByTestId('outbox')).toHaveCount(0)
  await again.goto(address)
  await expect(again.locator('textarea[name=feedback]')).toHaveValue('Calm and complete.')
})

test('STOP comes while live readings could not be sent: they stay, and the screen says why', async ({
  browser,
  centre,
}) => {
  const { page: floor } = await signIn(browser, centre, 'I-201')
  const { page, context } = await signIn(browser, centre, 'T-406')
  await page.goto(`${centre}/work/16`)
  const reading = page.locator('input[name*="zs@"]').first()
  await reading.waitFor()
  await page.route('**/api/work/**', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await reading.fill('0.86')
  await expect(state(page).first()).toContainText('kept on this device')
  await floor.goto(`${centre}/floor`)
  await floor.getByRole('button', { name: /STOP/ }).first().click()
  await page.unroute('**/api/work/**')
  await expect(state(page).first()).toContainText('kept on this device, not sent')
  // The dead tests can be made again meanwhile, and reach the sheet.
  await page.locator('input[name*="irNE@"], input[name*="irNE"]').first().fill('600')
  await expect(state(page).first()).toHaveAttribute('data-state', 'held')
  const kept = await (await page.request.get(`${centre}/api/work/16`)).json()
  expect(Object.values(kept.readings)).toContain('600')
  expect(Object.values(kept.readings)).not.toContain('0.86')
  await page.reload()
  await expect(page.getByTestId('outbox')).toContainText('1 waiting')
  await context.close()
})

/** The centre behind a proxy whose app can be made a newer one. */
async function behindProxy(centre: string) {
  const app = { isNewer: false }
  const { hostname, port } = new URL(centre)
  const server = createServer((asked, answer) => {
    const isWorker = asked.url === '/sw.js'
    const headers = {
      ...asked.headers,
      ...(isWorker ? { 'if-none-match': '', 'if-modified-since': '' } : {}),
    }
    const passed = request({ hostname, port, path: asked.url, method: asked.method, headers }, (given) => {
      const { 'content-length': length, etag: _etag, ...others } = given.headers
      answer.writeHead(
        given.statusCode!,
        isWorker ? others : { ...others, ...(length ? { 'content-length': length } : {}) },
      )
      if (isWorker && app.isNewer) answer.write('/* newer */\n')
      given.pipe(answer)
    })
    asked.pipe(passed)
  }).listen(0)
  await once(server, 'listening')
  return { app, server, address: `http://localhost:${(server.address() as AddressInfo).port}` }
}

test('a newer version says that it is ready, and what was typed is there after it is used', async ({
  browser,
  centre,
}) => {
  const { app, server, address } = await behindProxy(centre)
  const { context, page } = await onTablet(browser, address, 'T-404')
  await page.goto('/work/14')
  await page.locator('[name="c1.ib"]').waitFor()
  await expect(page.getByTestId('newer-version')).toHaveCount(0)
  app.isNewer = true
  await page.evaluate(() => navigator.serviceWorker.ready.then((kept) => kept.update()).then(() => undefined))
  await expect(page.getByTestId('newer-version')).toContainText('A newer version is ready')
  await cut(context)
  await page.locator('[name="c1.ib"]').fill('11.9')
  await expect(state(page)).toContainText('kept on this device')
  await mend(context)
  await page.getByRole('button', { name: 'Use it now' }).click()
  await expect(page.getByTestId('newer-version')).toHaveCount(0)
  await expect(page.locator('[name="c1.ib"]')).toHaveValue('11.9')
  await saved(page)
  await context.close()
  server.close()
})
