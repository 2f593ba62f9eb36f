/* An empty centre: the first administrator, the roster, and the first sign-in of somebody on it. */
import { writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, fillSignIn, test } from './support'

test.use({ file: 'first-day' })

test.use({ demo: false })

test('set up, import a roster with a bad row first, sign in with a slip', async ({
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

  const file = join(tmpdir(), 'roster.csv')
  const give = async (text: string) => {
    writeFileSync(file, text)
    await page.getByLabel('Roster file').setInputFiles(file)
  }
  await page.getByRole('button', { name: 'Import a roster' }).click()
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
})
