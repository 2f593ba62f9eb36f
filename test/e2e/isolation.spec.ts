/* Safe isolation through the screens: rehearsed as guided, observed with the network gone for a while, a
   critical breach that books a repeat, a padlock that keeps a session open. */
import type { Page } from '@playwright/test'
import { expect, saved, showWhatCounts, signIn, test } from './support'

test.use({ file: 'isolation' })

const press = async (page: Page, name: string) => {
  await page.getByRole('button', { name, exact: true }).click()
}
const go = (page: Page, place: string) => page.locator(`[data-place="${place}"]`).click()
const act = (page: Page, kind: string) =>
  page.locator(`[data-act="${kind}"], [data-act-small="${kind}"]`).first().click()
const variant = (page: Page, name: string) =>
  page.locator('.variants').getByRole('button', { name, exact: true }).click()

async function begin(page: Page, name: string, bay: string) {
  await page.getByRole('link', { name: 'Isolation' }).click()
  await press(page, 'Observe an isolation')
  await page.getByTestId('observe-who').click()
  await page.getByRole('option', { name }).click()
  await page.getByLabel('Bay').fill(bay)
  await page.locator('[name=circuit]').fill('Bench sockets')
  await press(page, 'Begin')
  await expect(page.getByRole('heading', { name })).toBeVisible()
}
async function before(page: Page) {
  for (const kind of ['ask', 'inform', 'identify']) await act(page, kind)
  await act(page, 'take')
  await variant(page, 'two-pole')
  await act(page, 'prove')
  await variant(page, 'live source, lit')
  await act(page, 'checkLive')
  await variant(page, 'live')
  await act(page, 'switchOff')
  await variant(page, 'its breaker')
}
async function dead(page: Page) {
  await act(page, 'testDead')
  await variant(page, 'dead, every pair')
  await act(page, 'prove')
  await variant(page, 'live source, lit')
}

test('a first rehearsal, guided to its end', async ({ browser, centre }) => {
  const { page } = await signIn(browser, centre, 'T-404')
  await page.goto(`${centre}/practice`)
  await page.getByTestId('scenario-bench').click()
  await page.getByRole('button', { name: 'Guided' }).click()
  await expect(page.getByTestId('hint')).toContainText('Ask what it is')
  await press(page, 'Ask which device feeds it')
  await press(page, 'Tell people it is going off')
  await press(page, 'Take the plug-in indicator')
  await go(page, 'source')
  await press(page, 'Prove the indicator here')
  await go(page, 'point')
  await press(page, 'Test, every pair')
  await expect(page.getByTestId('shown')).toContainText('correct')
  await go(page, 'board')
  await press(page, 'Check the circuit chart')
  await page.locator('[data-device="b1w1"]').click()
  await expect(page.locator('[data-device="b1w1"]')).toContainText('Bench sockets')
  await press(page, 'Switch Way 1 off')
  await press(page, 'Lock off Way 1')
  await press(page, 'Post a notice with name, date and reason at Way 1')
  await expect(page.getByTestId('device-seen')).toContainText(
    'off, your padlock, a notice with name, date and reason',
  )
  await page.getByText('From the bag and the pocket').click()
  await press(page, 'Keep the key in your pocket')
  await go(page, 'point')
  await press(page, 'Test, every pair')
  await expect(page.getByTestId('shown')).toContainText('no supply')
  await go(page, 'source')
  await press(page, 'Prove the indicator here')
  await press(page, 'I have finished')
  await expect(page.getByTestId('verdict')).toHaveText('Every constraint that counts was kept')
})

test('an observation goes on while the network is gone, and reaches the record with both names', async ({
  browser,
  centre,
}) => {
  const { page, context } = await signIn(browser, centre, 'S-301')
  await begin(page, 'Bo Wetherfield', '4')
  await before(page)
  await saved(page)
  await context.setOffline(true)
  await act(page, 'lock')
  await variant(page, 'on what was switched off')
  await act(page, 'keepKey')
  await act(page, 'notice')
  await variant(page, 'name, date, reason')
  await act(page, 'warnNeutral')
  await dead(page)
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'offline')
  await expect(page.getByTestId('acts').getByRole('listitem')).toHaveCount(13)
  await context.setOffline(false)
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('acts').getByRole('listitem')).toHaveCount(13)

  // A key left behind can be fetched until hands go in; taps by mistake are taken back and stay readable.
  const critical = page.getByText('Critical: key kept on the person, not kept')
  await act(page, 'leaveKey')
  await expect(page.getByRole('group', { name: 'Likely next' })).toContainText('Keeps the key')
  await expect(critical).toBeHidden()
  await act(page, 'open')
  await expect(critical).toBeVisible()
  for (const tapped of [/Opens the accessory/, /Leaves or shares the key/]) {
    await page.getByTestId('acts').getByRole('button', { name: tapped }).click()
    await page.getByRole('button', { name: 'Take back' }).click()
  }
  await expect(critical).toBeHidden()
  await press(page, 'Finish…')
  await page.locator('[name=signedName]').fill('Bo Wetherfield')
  await page.locator('[name=pin]').fill('1111')
  await press(page, 'Decide')
  await expect(page.getByText('Name and PIN do not fit together')).toBeVisible()
  await page.locator('[name=pin]').fill('2468')
  await press(page, 'Decide')
  await expect(page.getByText(/^met, /)).toBeVisible()
  const { page: own } = await signIn(browser, centre, 'T-404')
  await own.getByRole('link', { name: 'My record' }).click()
  await showWhatCounts(own)
  await expect(own.getByTestId('criterion-I3')).toContainText('Safe isolation, bay 4')
})

test('stopped: met is closed, a repeat is booked and seen beside it; a padlock keeps the session open', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'S-301')
  await begin(page, 'Femi Adeyemi', '10')
  await before(page)
  await page.getByTestId('stop').click()
  await press(page, 'Finish…')
  await expect(page.getByText('A critical breach outranks everything else.')).toBeVisible()
  await expect(page.getByRole('radio', { name: 'Met', exact: true })).toBeDisabled()
  await page.locator('[name=signedName]').fill('femi adeyemi')
  await page.locator('[name=pin]').fill('2468')
  await press(page, 'Decide')
  await expect(page.getByText(/^not yet, /)).toBeVisible()
  await page.goto(`${centre}/isolation`)
  await expect(page.getByText(/Femi Adeyemi, \d{1,2} \w+ 20\d\d, bay \d+: Not kept/)).toBeVisible()

  const { page: holder } = await signIn(browser, centre, 'T-402')
  await holder.getByRole('button', { name: 'Sign out' }).click()
  await expect(holder.getByText(/Your padlock 14 on bay 2 is still in the register/)).toBeVisible()
  await page.getByRole('link', { name: 'Isolation' }).click()
  await page.getByTestId('locks').getByRole('button', { name: 'Off' }).click()
  await expect(page.getByText('No padlock is on any bay.')).toBeVisible()
  await holder.getByRole('button', { name: 'Sign out' }).click()
  await expect(holder.locator('[name=number]')).toBeVisible()
})
