/* The centre's own book: a row entered from it, checked by a second person, and the designs that change. */
import { expect, signIn, test } from './support'

test.use({ file: 'book' })

test('an entered row is used at once and marked, checked by a second person, and the changed designs are named', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/library?edition=18-A2&ask=Cg+grouped`)
  await page.getByRole('button', { name: /^Cg by circuits grouped/ }).click()
  await page.getByRole('button', { name: '2', exact: true }).click()
  const row = page.getByTestId('book-row')
  await row.locator('[name="row-bunched"]').fill('8')
  await row.locator('[name="row-place"]').fill('Table 4C1, page 391')
  await row.getByRole('button', { name: 'Enter the row' }).click()
  // The point was lost: what cannot stand there is refused in words, and the box keeps what was typed.
  await expect(page.locator('.el-message--error')).toContainText('Check the decimal point')
  await row.locator('[name="row-bunched"]').fill('0.71')
  await row.getByRole('button', { name: 'Enter the row' }).click()
  await expect(row).toBeHidden()
  await expect(page.getByTestId('own-values')).toContainText('Table 4C1, page 391; not yet checked')

  await page.goto(`${centre}/book?part=values`)
  await expect(page.getByTestId('book-values')).toContainText('0.71')
  await expect(page.getByTestId('book-values')).toContainText('needs a second person')

  const { page: second } = await signIn(browser, centre, 'S-301')
  await second.goto(`${centre}/book?part=values`)
  await second.getByTestId('book-check').click()
  await expect(second.getByTestId('book-check')).toHaveCount(0)

  await second.goto(`${centre}/book?part=compare`)
  await expect(second.getByTestId('book-differences')).toContainText('0.71')
  await second.getByTestId('book-compare').click()
  const compared = second.getByTestId('book-compared')
  await expect(compared.getByRole('heading').first()).toContainText(/\d+ of \d+ designs change/)
  await expect(compared).toContainText('Table 4C1, page 391')

  // What is taken back is gone at once, and can be written down again.
  await page.reload()
  await page.getByRole('button', { name: 'Withdraw' }).click()
  await expect(page.getByText('No value differs from those shipped')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('book-values')).toContainText('0.71')
})

test('the walk through the book goes by Enter, and another number asks for its page', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'S-301')
  await page.goto(`${centre}/book?edition=18-A2`)
  const count = page.getByText(/\d+ of \d+ checked against the book/)
  const doneNow = async () => Number((await count.innerText()).split(' ')[0])
  const before = await doneNow()
  const first = await page.getByTestId('walk-value').innerText()
  await page.keyboard.press('Enter')
  await expect(count).toContainText(`${before + 1} of`)
  await expect(page.getByTestId('walk-value')).not.toHaveText(first)
  const value = Number.parseFloat(await page.getByTestId('walk-value').innerText())
  await page.keyboard.type(String(value * 1.01))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('table and page')
  await page.locator('[name="book-place"]').fill('page 412')
  await page.locator('[name="book-place"]').press('Enter')
  await expect(count).toContainText(`${before + 2} of`)
  expect(await doneNow()).toBe(before + 2)
})

test('a design of 1995: what was right in its day stands apart from what new work needs now', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-408')
  await page.goto(`${centre}/advisers`)
  const day = page.getByRole('combobox', { name: 'Designed on' })
  await day.fill('01/05/1995')
  await day.press('Enter')
  await expect(page.getByTestId('right-then')).toContainText('16th edition')
  await expect(page.getByTestId('right-then')).toContainText('red, yellow and blue')
  await expect(page.getByTestId('advice')).toContainText('Yes: an RCD of at most 30 mA')
  await page.goto(`${centre}/library?ask=1.37`)
  await expect(page.getByRole('heading', { name: /^Largest Zs for breakers/ })).toBeVisible()
})
