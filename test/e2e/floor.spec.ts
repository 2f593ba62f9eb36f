/* The floor as it changes: a permission with a remark, STOP that reaches the bay, a second screen that follows within a second. */
import { expect, signIn, test } from './support'

test.use({ file: 'floor' })

/** News is gathered and looked at again; a second, with room for a slow machine. */
const SOON = { timeout: 3000 }

test('permit with a remark, and STOP: the bay and a second floor screen follow by themselves', async ({
  browser,
  centre,
}) => {
  const { page: floor } = await signIn(browser, centre, 'S-301')
  const { page: second } = await signIn(browser, centre, 'I-201')
  await second.goto(`${centre}/floor`)
  const { page: bay } = await signIn(browser, centre, 'T-403')
  await bay.getByTestId('task-T-02').click()
  await expect(bay.getByTestId('waiting')).toBeVisible()

  await floor.getByTestId('request-3').getByRole('button', { name: 'Permit to energise' }).click()
  await floor.locator('[name=remark]').fill('Covers on first, then call me.')
  await floor.getByRole('button', { name: 'Give permission' }).click()
  await expect(second.getByRole('button', { name: 'STOP bay 3' })).toBeVisible(SOON)
  await expect(bay.getByTestId('permission-given')).toContainText('Covers on first, then call me.', SOON)

  await second.getByRole('button', { name: 'STOP bay 3' }).click()
  await expect(bay.getByTestId('withdrawn')).toContainText('STOP: Mira Achterberg', SOON)
  await expect(floor.getByRole('button', { name: 'STOP bay 3' })).toBeHidden(SOON)

  // Bay 6 has been live since the morning: all at once.
  await floor.getByTestId('stop-all').click()
  await expect(second.getByTestId('stop-all')).toBeHidden(SOON)
})

test('called over from the bay: answered in two taps with what is missing; a behaviour put down and taken back', async ({
  browser,
  centre,
}) => {
  const { page: floor } = await signIn(browser, centre, 'S-301')
  const { page: bay } = await signIn(browser, centre, 'T-402')
  await bay.getByTestId('task-T-02').click()
  await bay.getByRole('button', { name: 'Call somebody over' }).click()
  await bay.getByTestId('ask-terminations').click()
  await expect(bay.getByTestId('call-over')).toContainText('asked just now')

  const call = floor.getByTestId('needs-2').getByTestId('call-terminations')
  await call.getByRole('button').first().click()
  await call.getByRole('button', { name: 'Not yet…' }).click()
  await expect(call.getByRole('button', { name: 'Send' })).toBeDisabled()
  await floor.locator('[name=missing]').fill('Second ferrule at the isolator.')
  await call.getByRole('button', { name: 'Send' }).click()
  await expect(call).toBeHidden(SOON)
  await expect(bay.getByTestId('call-over')).toContainText('Second ferrule at the isolator.', SOON)

  await floor
    .getByRole('button', { name: /^Behaviour seen of/ })
    .first()
    .click()
  await floor.getByTestId('behaviours').getByRole('button').first().click()
  await expect(floor.getByRole('status').filter({ hasText: 'Put down' })).toBeVisible()
  await floor.getByRole('button', { name: 'Undo' }).click()
  await expect(floor.getByRole('status').filter({ hasText: 'Put down' })).toBeHidden()
})
