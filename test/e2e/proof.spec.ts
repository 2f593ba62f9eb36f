/* A tablet that is handed on: proof before signing, by PIN or passkey, and a page that locks itself. */
import type { Page } from '@playwright/test'
import { DEMO_PASSWORD, expect, signIn, test } from './support'

test.use({ file: 'proof' })

/** The administrator's choice, through the page. */
async function rules(page: Page, centre: string, key: string, minutes: string) {
  await page.goto(`${centre}/keeping`)
  await page.getByRole('tab', { name: 'Rules' }).click()
  await page.getByTestId(key).locator('input').fill(minutes)
  await page.getByRole('button', { name: 'Put in force' }).click()
  await expect(page.getByText('In force from now on.').first()).toBeVisible()
}

test('permitting asks who sits there: a passkey made on this device, or the password', async ({
  browser,
  centre,
}) => {
  const { page, context } = await signIn(browser, centre, 'I-201')
  const cdp = await context.newCDPSession(page)
  await cdp.send('WebAuthn.enable')
  await cdp.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
    },
  })
  await page.goto(`${centre}/password`)
  await page.locator('[name=passkey-name]').fill('own tablet')
  await page.getByRole('button', { name: 'Add a passkey' }).click()
  await expect(page.getByText('own tablet')).toBeVisible()

  const { page: office } = await signIn(browser, centre, 'A-100')
  await rules(office, centre, 'proofMinutes', '0')
  await page.goto(`${centre}/floor`)
  const permit = async () => {
    await page.getByRole('button', { name: 'Permit to energise' }).first().click()
    await page.getByRole('button', { name: 'Give permission' }).click()
  }
  await permit()
  const asked = page.getByRole('dialog', { name: 'Is it still you?' })
  await expect(asked).toBeVisible()
  await asked.getByRole('button', { name: 'Not now' }).click()
  await expect(asked).toBeHidden()
  await rules(office, centre, 'proofMinutes', '1')
  // The proof by passkey holds for a minute.
  await page.evaluate(() => fetch('/api/lock', { method: 'POST' }))
  await page.reload()
  const locked = page.getByRole('dialog', { name: 'Locked' })
  await locked.getByRole('button', { name: 'Passkey' }).click()
  await expect(locked).toBeHidden()
  const live = page.getByText('live now')
  // The floor has come: somebody is live in the demo.
  await live.first().waitFor()
  const before = await live.count()
  await permit()
  await expect(live).toHaveCount(before + 1)
  await rules(office, centre, 'proofMinutes', '30')
})

test('an untouched page locks, keeps what was typed, and STOP works on it', async ({ browser, centre }) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.clock.install()
  await page.goto(`${centre}/exercises/3`)
  await page.getByRole('tab', { name: 'Task and marks' }).click()
  await page.locator('[name=title]').fill('Lamp store, typed and not saved')
  await page.clock.fastForward('16:00')
  const locked = page.getByRole('dialog', { name: 'Locked' })
  await expect(locked).toBeVisible()
  expect((await page.request.get(`${centre}/api/floor`)).status()).toBe(423)
  await locked.getByRole('button', { name: 'STOP every live bay' }).click()
  await expect(locked.getByText('Stopped: every bay')).toBeVisible()
  await locked.locator('[name=proof]').fill('wrong')
  await locked.getByRole('button', { name: 'Open' }).click()
  await expect(locked.getByRole('alert')).toContainText('does not fit')
  await locked.locator('[name=proof]').fill(DEMO_PASSWORD)
  await locked.getByRole('button', { name: 'Open' }).click()
  await expect(locked).toBeHidden()
  await expect(page.locator('[name=title]')).toHaveValue('Lamp store, typed and not saved')
})
