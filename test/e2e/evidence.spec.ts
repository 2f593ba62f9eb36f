/* Evidence: an account with claims, refused and mended; the gap that changes; a blind second marking; what
   closes most. */
import type { Page } from '@playwright/test'
import { choose, expect, saved, signIn, test } from './support'

test.use({ file: 'evidence' })

const shot = (page: Page, name: string) =>
  process.env.LOOK ? page.screenshot({ path: `${process.env.LOOK}/${name}.png` }) : undefined

/** Selects words of the account as somebody does, and claims them. */
async function claim(page: Page, paragraph: number, criterion: string) {
  await page.locator('.ProseMirror p').nth(paragraph).click({ clickCount: 3 })
  await expect(page.getByTestId('selected')).toBeVisible()
  await page.getByTestId('claim-criterion').click()
  await page.getByRole('option', { name: new RegExp(`^${criterion} `) }).click()
  await page.getByTestId('claim').click()
  await expect(page.getByTestId(`claim-${criterion}`)).toBeVisible()
}

test('an account with two claims: one accepted, one refused with a reason and mended; the gap follows', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-408')
  const gapsOf = async (unit: string) => {
    await page.goto(`${centre}/record`)
    return page.getByTestId(`unit-${unit}`).innerText()
  }
  const before = await gapsOf('T')
  await shot(page, 'record')
  await page.goto(`${centre}/accounts`)
  await page.getByTestId('new-account').click()
  await page.locator('[name=title]').fill('Lights of the paint shop')
  await page.locator('[name=job]').fill('Depot, paint shop')
  await page.locator('[name=day]').fill('02/11/2026')
  await page.locator('[name=day]').press('Enter')
  await page.getByTestId('setting').click()
  await page.getByRole('option', { name: 'industrial' }).click()
  await page.getByTestId('wiring').click()
  await page.getByRole('option', { name: 'trunking', exact: true }).click()
  await page.keyboard.press('Escape')

  await page.locator('.ProseMirror').click()
  await page.keyboard.type('I tested continuity of the cpc and wrote 0.34 ohm.')
  await page.keyboard.press('Enter')
  await page.keyboard.type('I fixed the trunking.')
  await claim(page, 0, 'T1')
  await claim(page, 1, 'W1')
  // The reader asks for what the words do not say.
  await expect(page.getByTestId('claim-W1')).toContainText('At which spacing?')
  await shot(page, 'account')
  await saved(page)
  await page.getByTestId('hand-in').click()
  await expect(page.getByText('Handed in. What you write')).toBeVisible()

  const { page: desk } = await signIn(browser, centre, 'S-301')
  await desk.goto(`${centre}/accounts`)
  await desk.getByRole('link', { name: /Lights of the paint shop/ }).click()
  await desk.getByTestId('claim-T1').getByTestId('accept').click()
  await expect(desk.getByTestId('claim-T1')).toContainText('accepted')
  await desk.getByTestId('claim-W1').getByText('Fixings and their spacing are missing.').click()
  await shot(desk, 'account-read')
  await desk.getByTestId('claim-W1').getByTestId('refuse').click()
  await expect(desk.getByTestId('claim-W1')).toContainText('refused')

  const after = await gapsOf('T')
  expect(after).not.toBe(before)
  expect(before).toContain('trunking on one more occasion')
  expect(after).not.toContain('trunking on one more occasion')

  // Mended in the text: the claim says that the passage has changed, and a new one takes its place.
  await page.goto(`${centre}/accounts`)
  await page.getByRole('link', { name: /Lights of the paint shop/ }).click()
  await expect(page.getByTestId('claim-W1')).toContainText('Fixings and their spacing are missing.')
  await page.locator('.ProseMirror p').nth(1).click({ clickCount: 3 })
  await page.keyboard.type(
    'I fixed the trunking with screws every 600 mm, from drawing 12, so that it does not sag.',
  )
  await expect(page.getByTestId('claim-W1')).toContainText('The passage has been edited since.')
  await page.getByTestId('claim-W1').getByRole('button', { name: 'Remove this claim' }).click()
  await claim(page, 1, 'W1')
  await expect(page.getByTestId('claim-W1')).not.toContainText('At which spacing?')
  await saved(page)
  await page.getByTestId('hand-in').click()
  await expect(page.getByText('Handed in. What you write')).toBeVisible()
  await desk.reload()
  await desk.getByTestId('claim-W1').getByTestId('accept').click()
  await expect(desk.getByTestId('claim-W1')).toContainText('accepted')
})

test('a witness is asked by a code, states once, and the code is used up', async ({ browser, centre }) => {
  const { page } = await signIn(browser, centre, 'T-409')
  await page.goto(`${centre}/accounts`)
  await page.getByTestId('new-account').click()
  await page.getByRole('button', { name: 'Ask a witness' }).click()
  await page.locator('[name=witness-name]').fill('A. Foreman')
  await page.locator('[name=witness-role]').fill('supervisor')
  await page.locator('[name=witness-contact]').fill('at the depot office')
  await page.getByTestId('ask-witness').click()
  const code = (await page.getByTestId('witness-code').locator('.code').innerText()).trim()

  const open = await (await browser.newContext({ baseURL: centre })).newPage()
  const visit = async () => {
    await open.goto('/witness')
    await open.locator('[name=code]').fill(code.toLowerCase())
    await open.getByRole('button', { name: 'Go on' }).click()
  }
  await visit()
  await expect(open.getByText('Per Haugen')).toBeVisible()
  await open
    .locator('[name=statement]')
    .fill('They set out and fixed the trunking on their own, and tested it with me.')
  await open.getByTestId('state').click()
  await expect(open.getByText('the code is used up')).toBeVisible()
  await visit()
  await expect(open.getByText('This code is not known, or it has been used.')).toBeVisible()
  await page.reload()
  await expect(page.getByText('They set out and fixed the trunking')).toBeVisible()
})

test('a decision is judged a second time without seeing the first, disagrees, and is settled with a reason', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/verification`)
  await shot(page, 'verification')
  await page.getByRole('link', { name: 'Judge it blind' }).first().click()
  const blind = page.getByRole('region', { name: 'The work' })
  await expect(blind).toBeVisible()
  await expect(page.locator('main')).not.toContainText(/proposed|overridden|Decided by/i)
  const criteria = page.locator('.criterion')
  const count = await criteria.count()
  for (let i = 0; i < count; i += 1) {
    await criteria.nth(i).getByText('Not yet').click()
    await criteria.nth(i).locator('input[name^=reason]').fill('the figures do not show it')
  }
  await shot(page, 'blind')
  await page.getByTestId('judge').click()
  await page.getByRole('tab', { name: /Differences/ }).click()
  const difference = page.getByTestId('difference').first()
  await expect(difference).toContainText('the figures do not show it')
  await difference
    .locator('[name=settle-reason]')
    .fill('Talked through with the sheet before us: the readings do show it.')
  await shot(page, 'difference')
  await difference.getByRole('button', { name: 'Settle' }).click()
  await expect(difference).toContainText('Settled by talk')
  await page.getByRole('tab', { name: 'Agreement' }).click()
  await expect(page.getByTestId('agreement')).toContainText('too few to say')
})

test('a group read across a room: what is missing, and which exercises close most within bays and hours', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/records`)
  await page.getByTestId('group').click()
  await page.getByRole('option', { name: 'Thursday level 2' }).click()
  await page.getByRole('button', { name: 'What is missing of Sade Oyelaran' }).click()
  await expect(page.getByTestId('missing')).toContainText('more occasion')
  await page.getByTestId('close-most').click()
  await expect(page.getByTestId('closing-state')).toContainText('Nothing closes more', { timeout: 15_000 })
  expect(await page.getByTestId('closing-tasks').locator('.tag').count()).toBeGreaterThan(0)
  await shot(page, 'records')

  await page.getByRole('link', { name: 'Sade Oyelaran' }).first().click()
  await page.getByTestId('behaviour-B2').click()
  await page.getByTestId('put-down').click()
  await expect(page.getByTestId('behaviour-B2')).toContainText('1')
  await page.getByRole('button', { name: 'Show what counts' }).first().click()
  await shot(page, 'person')
})

test('a framework is changed as a tree, checked, and never leaves evidence behind in silence', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'A-100')
  await page.goto(`${centre}/framework`)
  await page.getByTestId('pick-T2').click()
  await page.locator('[name=criterion-code]').fill('T1')
  await expect(page.getByText('The criterion T1 is there twice.')).toBeVisible()
  await page.locator('[name=criterion-code]').fill('T2b')
  await expect(page.getByTestId('mapping')).toContainText('T2')
  await expect(page.getByTestId('put-framework')).toBeDisabled()
  await choose(page, 'instead-T2', 'T2b')
  await shot(page, 'framework')
  await page.getByTestId('put-framework').click()
  await expect(page.getByText('In force from now on.')).toBeVisible()
  await expect(page.getByTestId('pick-T2b')).toContainText('in use')
  // Moved by keyboard.
  await page.getByRole('button', { name: 'T2b: up' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-testid^="pick-T"]').first()).toContainText('T2b')
})
