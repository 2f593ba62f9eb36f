/* Desk work around the slice: by keyboard, the centre's policy, lost passwords, the stores list, the printed sheet. */
import { choose, expect, fillSignIn, signIn, test } from './support'

test.use({ file: 'desk' })

test('go anywhere by typing, and the keys of a page behind “?”', async ({ browser, centre }) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await expect(page.getByRole('heading', { name: /waits? for you/ })).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.locator('[name=go-to]').fill('haugen')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Per Haugen' })).toBeVisible()
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.keyboard.press('Shift+?')
  await expect(page.getByRole('dialog', { name: 'Keys on this page' })).toContainText(
    'change the mark of this line, with a reason',
  )
})

test('an exercise takes the centre’s policy with it when it is set; a later choice changes only later ones', async ({
  browser,
  centre,
}) => {
  const { page: office } = await signIn(browser, centre, 'A-100')
  await office.getByRole('link', { name: 'Centre' }).click()
  await office.getByRole('radio', { name: /÷ temperature multiplier/ }).check()
  await expect(
    office.getByText(
      'Ilse Marrow chose “A measured Zs is compared with: Ze + (maximum permitted Zs − Ze) ÷ temperature multiplier”.',
    ),
  ).toBeVisible()
  const { page: desk } = await signIn(browser, centre, 'I-201')
  const limitOfZs = async (title: string) => {
    await desk.goto(`${centre}/exercises`)
    await desk.getByRole('link', { name: title }).click()
    await expect(desk.getByRole('heading', { name: title })).toBeVisible()
    return desk.getByTestId('expected').getByRole('row', { name: /Zs at the furthest point/ })
  }
  // B16: 0.8 × 2.73 = 2.18 Ω was in force when the pit sockets were set.
  await expect(await limitOfZs('Sockets in the inspection pit')).toContainText('2.18 Ω')
  await expect(await limitOfZs('Lighting in the halt shelter')).toContainText('1667 Ω')
  // The same draft on a TN-S bay takes the present choice: C6 3.64 Ω, so 0.5 + (3.64 − 0.5) ÷ 1.20 = 3.12 Ω.
  await choose(desk, 'box-arrangement', 'TN-S')
  await desk.locator('[name=ze]').fill('0.5')
  await expect(
    desk.getByTestId('expected').getByRole('row', { name: /Zs at the furthest point/ }),
  ).toContainText('3.12 Ω')
})

test('a lost password is replaced by a one-time one and the old session ends', async ({
  browser,
  centre,
}) => {
  const { page: apprentice } = await signIn(browser, centre, 'T-406')
  const { page: office } = await signIn(browser, centre, 'A-100')
  await office.getByLabel('Search').fill('Petrosyan')
  await office.getByTestId('person-T-406').click()
  await office.getByRole('menuitem', { name: 'New password' }).click()
  await office.getByRole('button', { name: 'Give it' }).click()
  const password = await office.locator('.slip .mono').nth(1).innerText()
  await apprentice.goto(`${centre}/work`)
  await expect(apprentice).toHaveURL(/sign-in/)
  await fillSignIn(apprentice, 'T-406', password)
  await expect(apprentice.getByRole('heading', { name: 'Choose your own password' })).toBeVisible()
})

test('stores get lengths and devices by bay and in total; task sheets print one page each, without the answer', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'S-302')
  await expect(page.getByText('Singles in conduit 2.5/2.5 mm²').first()).toBeVisible()
  await expect(page.getByText('new, 50 m').or(page.getByText('new, 100 m')).first()).toBeVisible()
  await expect(page.getByText('RCBO').or(page.getByText('BS EN 61009')).first()).toBeVisible()
  await page.goto(`${centre}/exercises/2/sheets`)
  await expect(page.locator('article')).toHaveCount(10)
  // The sheet offers every rating to choose from; which one the bay has is not in it.
  expect(await (await page.request.get(`${centre}/api/exercises/2/sheets`)).text()).not.toContain('residualA')
  const pdf = await page.pdf({ preferCSSPageSize: true })
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(10)
})

test('a college on its way in is cancelled: nobody has come in, and the same file may come again', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'A-100')
  await page.goto('/people')
  await page.getByRole('button', { name: 'Import a roster' }).click()
  const rows = Array.from({ length: 250 }, (_, i) => `Q-${i},Person ${i},Quill`)
  await page
    .getByLabel('Roster file')
    .setInputFiles({
      name: 'college.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['number,name,group', ...rows].join('\n')),
    })
  await page.getByRole('button', { name: 'Import these 250 rows' }).click()
  await expect(page.getByText('First passwords are being made')).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByText('Cancelled. Nobody has been imported.')).toBeVisible()
  const people = await (await page.request.get('/api/people')).json()
  expect(people.filter(({ number }: { number: string }) => number.startsWith('Q-'))).toEqual([])
  await expect(page.getByRole('button', { name: 'Import these 250 rows' })).toBeEnabled()
})
