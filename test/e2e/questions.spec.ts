/* Questions: a round at a bay with two taps and no network, an occasion afterwards; myths on a phone; the bank
   as a file; terms. */
import { SHIPPED_QUESTIONS } from '#words/questions/bank/index'
import { DEMO_PASSWORD, expect, fillSignIn, saved, showWhatCounts, signIn, test } from './support'

test.use({ file: 'questions' })

test('at a bay in dead tests: fitting questions, one played by the model, two taps without a network, an occasion afterwards', async ({
  browser,
  centre,
}) => {
  const { page, context } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/ask`)
  await page.getByTestId('ask-T-05-3').click()
  await expect(page.getByRole('heading', { name: 'Greta Oduya' })).toBeVisible()
  const offers = page.getByRole('complementary').locator('[data-testid^="offer-"]')
  await expect(page.getByTestId('offer-whatIf').first()).toBeVisible()
  expect(await offers.count()).toBeGreaterThanOrEqual(3)

  // What would happen if: the answer is a timeline of the model.
  await page.getByTestId('offer-whatIf').first().click()
  await page.getByTestId('show-answer').click()
  await expect(page.getByTestId('answer')).toContainText('at once:')

  await context.setOffline(true)
  const wording = await page.locator('.wording').innerText()
  await page.getByTestId('unaided').click()
  await expect(page.getByTestId('last-asked')).toContainText(wording)
  await expect(page.locator('.wording')).not.toHaveText(wording)
  await page.getByText('in simple words').click()
  await page.getByTestId('not-yet').click()
  await page.getByTestId('last-asked').getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('.asked .undone')).toHaveCount(1)
  await context.setOffline(false)
  await saved(page)

  // It stands on the sheet and in the record of whoever was asked.
  const attempt = /ask\/(\d+)/.exec(page.url())![1]!
  const round = await (await page.request.get(`${centre}/api/asking/${attempt}`)).json()
  expect(Object.keys(round.fields)).toHaveLength(3)
  const { page: own } = await signIn(browser, centre, 'U-603')
  await own.goto(`${centre}/record`)
  await showWhatCounts(own)
  await expect(own.getByText(`Question: ${wording}`).first()).toBeVisible()
})

test('the page at the bay is reloaded without a network, goes on, and what was asked arrives', async ({
  browser,
  centre,
}) => {
  const context = await browser.newContext({ baseURL: centre, serviceWorkers: 'allow' })
  const page = await context.newPage()
  await page.goto('/')
  await fillSignIn(page, 'S-301', DEMO_PASSWORD)
  await page.waitForURL((url) => url.pathname !== '/sign-in')
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.goto(`${centre}/ask`)
  await page.getByTestId('ask-T-05-4').click()
  await expect(page.getByTestId('offer-whatIf').first()).toBeVisible()

  await context.setOffline(true)
  await page.reload()
  const wording = await page.locator('.wording').innerText()
  await page.getByTestId('unaided').click()
  await expect(page.getByTestId('last-asked')).toContainText(wording)
  await page.reload()
  await expect(page.locator('.asked')).toContainText(wording)
  await context.setOffline(false)
  await saved(page)

  // Gone with the sign-out: the scripts of staff compute answers.
  await page.goto(`${centre}/floor`)
  expect(await page.evaluate(() => caches.has('nakshi-staff'))).toBe(true)
  await page.getByRole('button', { name: 'Sign out' }).click()
  await page.waitForURL(/sign-in/)
  await expect.poll(() => page.evaluate(() => caches.has('nakshi-staff'))).toBe(false)
})

test('ten myths on a phone, each told why', async ({ browser, centre }) => {
  const { page } = await signIn(browser, centre, 'T-404')
  await page.setViewportSize({ width: 390, height: 780 })
  await page.goto(`${centre}/practice/questions?topic=myths`)
  const seen = new Set<string>()
  for (let i = 0; i < 10; i += 1) {
    const wording = page.locator('.wording')
    await expect(wording).not.toHaveText(seen.size > 0 ? [...seen].at(-1)! : ' ')
    seen.add(await wording.innerText())
    await page.getByTestId('verdict-false').click()
    await expect(page.getByTestId('told')).toContainText(/Right|Half right|Not yet/)
    await page.getByTestId('next-question').click()
  }
  expect(seen.size).toBe(10)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('the bank goes out as a QTI package and comes back the same; a bad file is refused in words', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/questions`)
  const count = SHIPPED_QUESTIONS.length
  await expect(page.getByText(`${count} of ${count}`)).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'QTI 3 package' }).click(),
  ])
  const file = await download.path()
  await page
    .getByTestId('question-file')
    .setInputFiles({
      name: 'q.zip',
      mimeType: 'application/zip',
      buffer: await (await import('node:fs/promises')).readFile(file),
    })
  await expect(page.getByTestId('import-report')).toContainText('0 new, 0 replaced, 0 left')
  await page
    .getByTestId('question-file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{}') })
  await expect(page.getByText('No questions could be read')).toBeVisible()

  await page.getByRole('button', { name: 'New question' }).click()
  await page.locator('[name=code]').fill('depot-1')
  await page.locator('[name=text]').fill('What is stored in the lamp store?')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The question has no answer yet')).toBeVisible()
  await page.locator('[name=model]').fill('Lamps.')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(`${count + 1} of ${count + 1}`)).toBeVisible()
})

test('a term is found by typing, and said at a dotted word with its word in another language', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'U-601')
  await page.goto(`${centre}/glossary`)
  await page.locator('[name=search]').fill('borrowed')
  await expect(page.getByText('A load has its line from one circuit')).toBeVisible()
  await page.getByTestId('language').click()
  await page.getByRole('option', { name: 'Polski' }).click()
  await expect(page.getByText('to be checked by a speaker')).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.locator('[name=go-to]').fill('AFDD')
  await expect(page.getByRole('listbox', { name: 'Places' })).toContainText('pattern of an arc')
  await page.keyboard.press('Escape')
  await page.goto(`${centre}/work`)
  await page.getByTestId('task-T-05').click()
  await page.locator('article .term').click()
  await expect(
    page
      .getByText(/How well conductors are kept apart|Line and cpc are linked|from one circuit|A conductor/)
      .first(),
  ).toBeVisible()
})
