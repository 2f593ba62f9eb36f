/* An empty centre: the first administrator, the roster, the first sign-in of somebody on it, and the first exercise. */
import { writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { choose, expect, fillSignIn, test } from './support'

test.use({ file: 'first-day' })

test.use({ demo: false })

test('set up, import a roster with a bad row first, sign in with a slip, set a sample exercise', async ({
  page,
  browser,
  centre,
}) => {
  await page.goto(centre)
  await expect(page).toHaveURL(/set-up/)
  await page.locator('[name=number]').fill('A-1')
  await page.locator('[name=name]').fill('Ada Marrow')
  await page.locator('[name=password]').fill('a password of mine')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByText('Only you are here')).toBeVisible()
  // What comes first, and who does it.
  const steps = page.getByTestId('first-steps')
  await expect(steps.getByRole('listitem')).toHaveCount(6)
  await expect(page.getByTestId('step-exercise')).toContainText('by an instructor')
  const sample = (await steps.getByRole('link', { name: 'Sample file' }).first().getAttribute('href'))!
  expect(decodeURIComponent(sample)).toContain('number,name,group,role')

  const file = join(tmpdir(), 'roster.csv')
  const give = async (text: string) => {
    writeFileSync(file, text)
    await page.getByLabel('Roster file').setInputFiles(file)
  }
  await page.getByTestId('step-staff').getByRole('button', { name: 'Import a roster' }).click()
  await give(
    'number,name,group,role\nT-1,Bo Otter,Friday,\nT-1,Cy Otter,Friday,\nI-1,Ida Plover,,instructor\n',
  )
  await expect(page.getByTestId('roster-counts')).toHaveText('1 row can be taken, 2 cannot.')
  await expect(page.getByText('This number stands more than once').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Import this row' })).toBeDisabled()
  await give('number,name,group,role\nT-1,Bo Otter,Friday,\nI-1,Ida Plover,,instructor\n')
  await page.getByRole('button', { name: 'Import these 2 rows' }).click()
  const slip = page.locator('.slip', { hasText: 'Bo Otter' })
  const password = await slip.locator('.mono').nth(1).innerText()

  const other = await (await browser.newContext({ baseURL: centre })).newPage()
  await other.goto('/')
  await fillSignIn(other, 'T-1', 'not the one')
  await expect(other.getByRole('alert')).toContainText('do not fit together')
  await other.locator('[name=password]').fill(password)
  await other.getByRole('button', { name: 'Sign in' }).click()
  await expect(other).toHaveURL(/password/)
  await other.locator('[name=current]').fill(password)
  await other.locator('[name=password]').fill('my very own words')
  await other.locator('[name=again]').fill('my very own words')
  await other.getByRole('button', { name: 'Change' }).click()
  await expect(other.getByText('No task yet')).toBeVisible()
  await other.goto('/people')
  await expect(other).toHaveURL(/work/)

  // The instructor takes the sample exercises and sets the first one: the way is gone, the task is there.
  const desk = await (await browser.newContext({ baseURL: centre })).newPage()
  const slipOfIda = page.locator('.slip', { hasText: 'Ida Plover' })
  const first = await slipOfIda.locator('.mono').nth(1).innerText()
  await desk.goto('/')
  await fillSignIn(desk, 'I-1', first)
  await desk.locator('[name=current]').fill(first)
  await desk.locator('[name=password]').fill('words of an instructor')
  await desk.locator('[name=again]').fill('words of an instructor')
  await desk.getByRole('button', { name: 'Change' }).click()
  await expect(desk).toHaveURL(/floor/)
  await desk.goto('/exercises')
  await expect(desk.getByTestId('step-apprentices')).toContainText('Done')
  await desk.getByTestId('take-samples').click()
  await expect(desk.getByTestId('step-exercise')).toContainText('Done')
  await desk.getByRole('link', { name: 'Heater in the sand store' }).click()
  await desk.getByRole('button', { name: 'Set for a group' }).click()
  await choose(desk, 'set-cohort', 'Friday')
  await desk.getByRole('button', { name: 'Set it' }).click()
  await expect(desk.getByText('1 apprentice has the task now')).toBeVisible()
  await other.goto('/work')
  await expect(other.getByText('Heater in the sand store')).toBeVisible()
  await desk.goto('/exercises')
  await expect(desk.getByText('Heater in the sand store')).toBeVisible()
  await expect(desk.getByTestId('first-steps')).toHaveCount(0)
})
