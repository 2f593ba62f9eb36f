/* What goes wrong in a workshop, and that nothing typed is lost by it. */
import { writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DEMO_PASSWORD, expect, fillSignIn, saved, signIn, test } from './support'

test.use({ file: 'kept' })

test('a session that ends mid-typing asks for a sign-in on top of the page and then saves', async ({
  browser,
  centre,
}) => {
  const { page, context } = await signIn(browser, centre, 'T-404')
  await page.getByTestId('task-T-02').click()
  await page.locator('[name="c1.ib"]').fill('12.1')
  await saved(page)
  await context.clearCookies()
  await page.locator('[name="c1.ca"]').fill('0.94')
  const dialog = page.getByRole('dialog', { name: 'Your session has ended' })
  await expect(dialog).toBeVisible()
  await dialog.locator('[name=password]').fill(DEMO_PASSWORD)
  await dialog.getByRole('button', { name: 'Sign in' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.locator('[name="c1.ca"]')).toHaveValue('0.94')
  await saved(page)
})

test('somebody else signs in in another tab: the first page waits for its own person', async ({
  browser,
  centre,
}) => {
  const { page, context } = await signIn(browser, centre, 'T-404')
  await page.getByTestId('task-T-02').click()
  await page.locator('[name="c1.ib"]').waitFor()
  const first = await page.evaluate(
    () => JSON.parse(localStorage.getItem('nakshi-person')!).person.id as number,
  )
  const two = await context.newPage()
  await two.goto(centre)
  await two.getByRole('button', { name: 'Sign out' }).click()
  await fillSignIn(two, 'I-201', DEMO_PASSWORD)
  await expect(two).toHaveURL(/\/floor$/)
  const dialog = page.getByRole('dialog', { name: 'Your session has ended' })
  await expect(dialog).toContainText('Not ')
  // What the first page asks for tells nothing of the second person's.
  const told = await page.evaluate(async (person) => {
    const answer = await fetch('/api/people', { headers: { 'x-nakshi-person': String(person) } })
    return (await answer.json()).code
  }, first)
  expect(told).toBe('otherPerson')
  await dialog.locator('[name=password]').fill(DEMO_PASSWORD)
  await dialog.getByRole('button', { name: 'Sign in' }).click()
  await expect(dialog).toBeHidden()
  await page.locator('[name="c1.ib"]').fill('12.2')
  await saved(page)
  await expect(two.getByRole('dialog', { name: 'Your session has ended' })).toBeVisible()
  await two.getByRole('link', { name: 'Go on as yourself' }).click()
  await expect(two).toHaveURL(/\/work$/)
})

test('without the network typing goes on, survives a closed page, and is sent when it is back', async ({
  browser,
  centre,
}) => {
  const { page, context } = await signIn(browser, centre, 'T-410')
  await page.getByTestId('task-T-02').click()
  await page.locator('[name="c1.ib"]').waitFor()
  const address = page.url()
  await page.route('**/api/work/**', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await page.locator('[name="c1.voltDrop"]').fill('6.1')
  await expect(page.getByTestId('save-state')).toContainText('kept on this device')
  await page.close({ runBeforeUnload: false })
  const again = await context.newPage()
  await again.goto(address)
  await expect(again.locator('[name="c1.voltDrop"]')).toHaveValue('6.1')
  await saved(again)
  await again.reload()
  await expect(again.locator('[name="c1.voltDrop"]')).toHaveValue('6.1')
})

test('two devices on one worksheet: different boxes are put together, the same box is asked about', async ({
  browser,
  centre,
}) => {
  const { page, context } = await signIn(browser, centre, 'T-402')
  await page.getByTestId('task-T-02').click()
  await page.locator('[name="c1.zs"]').waitFor()
  const two = await context.newPage()
  await two.goto(page.url())
  await two.locator('[name="c1.zs"]').waitFor()
  await page.locator('[name="c1.zs"]').fill('0.7')
  await saved(page)
  await two.locator('[name="c1.zsMax"]').fill('2.73')
  await saved(two)
  await expect(two.locator('[name="c1.zs"]')).toHaveValue('0.7')
  await page.locator('[name="c1.zsMax"]').fill('1.37')
  const dialog = page.getByRole('dialog', { name: 'Another device changed the same box' })
  await dialog.getByRole('button', { name: 'Keep mine: 1.37' }).click()
  await saved(page)
})

test('two instructors on one exercise: both changes end up in it', async ({ browser, centre }) => {
  const { page: one, context } = await signIn(browser, centre, 'I-201')
  const open = async (page: typeof one) => {
    await page.goto(`${centre}/exercises`)
    await page.getByRole('link', { name: 'Lighting in the halt shelter' }).click()
    await page.locator('[name="c1.length"]').waitFor()
    await expect(page.locator('[name="c1.length"]')).toHaveValue('34')
  }
  const two = await context.newPage()
  await open(one)
  await open(two)
  await one.locator('[name="c1.length"]').fill('36')
  await one.getByRole('button', { name: 'Save' }).click()
  await expect(one.getByTestId('builder-state')).toContainText('saved by')
  await two.locator('[name=ze]').fill('90')
  await two.keyboard.press('Control+s')
  await expect(two.getByText('in the meantime')).toBeVisible()
  await expect(two.locator('[name="c1.length"]')).toHaveValue('36')
  await expect(two.locator('[name=ze]')).toHaveValue('90')
  await two.getByRole('button', { name: 'Save' }).click()
  await expect(two.getByTestId('builder-state')).toContainText('saved by')
})

test('a broken exercise file is refused in words, part by part', async ({ browser, centre }) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/exercises`)
  const file = join(tmpdir(), 'broken.json')
  writeFileSync(file, '{"format":"nakshi.exercise","version":2,"code":"Q-1"}')
  await page.getByLabel('Exercise file').setInputFiles(file)
  await expect(page.getByTestId('import-refused')).toContainText('Nothing was imported')
  await expect(page.getByTestId('import-refused')).toContainText('installation is missing')
})
