/* What is known of the place goes into the judgement of an observed isolation: another source, another person. */
import { expect, signIn, test } from './support'

test.use({ file: 'isolation-facts' })

test('a battery left connected and a second person without a padlock are caught as it is tapped', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  const press = (name: string) => page.getByRole('button', { name, exact: true }).click()
  await page.goto(`${centre}/isolation`)
  await press('Observe an isolation')
  await page.getByTestId('observe-who').click()
  await page.getByRole('option').first().click()
  await page.locator('[name=circuit]').fill('Signal lamp')
  await page.getByTestId('other-sources').click()
  await page.getByRole('option', { name: 'battery' }).click()
  await page.getByRole('spinbutton', { name: 'People working behind it' }).fill('2')
  await press('Begin')

  const tap = async (kind: string, variant?: string) => {
    await page.locator(`[data-act-small="${kind}"]`).first().click()
    if (variant) await page.locator('.variants').getByRole('button', { name: variant, exact: true }).click()
  }
  await tap('ask')
  await tap('inform')
  await tap('identify')
  await tap('take', 'two-pole')
  await tap('lookOver', 'sound and in date')
  await tap('prove', 'live source, lit')
  await tap('checkLive', 'live')
  await tap('switchOff', 'two-pole device')
  await tap('hasp')
  await tap('lock', 'on what was switched off')
  await tap('keepKey')
  await tap('notice', 'name, date, reason')
  await tap('testDead', 'dead, every pair')
  await tap('prove', 'live source, lit')
  await tap('touch')
  await expect(page.getByText(/Not kept so far/)).toContainText('every other source isolated')
  await expect(page.getByText(/Not kept so far/)).toContainText('one padlock for everybody who works there')
  await expect(page.getByText('8. Switches off: two-pole breaker')).toBeVisible()
})
