/* The whole way: set, design with one slip in Ib, test, permit, decide, and the stitch in the record. */
import type { Page } from '@playwright/test'
import type { StepKey } from '#core/design/model/step-keys'
import { assignmentOf, designOf, type Assignment } from '../../core/exercise/assignment'
import { typedAnswers, typedReadings } from '../../demo/story'
import { choose, expect, fillDesign, saved, showWhatCounts, signIn, test } from './support'

test.use({ file: 'journey' })

/** Everything a browser is sent while it is watched. */
function watchWire(page: Page): { readonly text: string }[] {
  const sent: { text: string }[] = []
  page.on('response', async (response) => {
    if (response.url().includes('/api/')) sent.push({ text: await response.text().catch(() => '') })
  })
  return sent
}

test('an exercise from setting to stitch', async ({ browser, centre }) => {
  test.setTimeout(180_000)
  const { page: desk } = await signIn(browser, centre, 'I-201')

  await test.step('the instructor writes an exercise; the design follows the typing', async () => {
    await desk.getByRole('link', { name: 'Set', exact: true }).click()
    await desk.getByRole('button', { name: 'New exercise' }).click()
    const cell = (field: string) => desk.locator(`[data-cell="c1.${field}"]`)
    await cell('name').fill('Wash bay compressor')
    await cell('amount').fill('2.9kW')
    await cell('length').fill('28 m')
    await cell('cable').selectOption('singles-in-conduit')
    await cell('method').selectOption('B')
    await cell('ambient').fill('35')
    await cell('grouped').fill('2')
    const value = (step: StepKey) => desk.locator(`[data-step=${step}] .value`)
    await expect(value('ib')).toHaveText('12.6 A')
    await expect(value('itMin')).toHaveText('21.3 A')
    await expect(value('csa')).toHaveText('2.5 mm²')
    await expect(value('zsMax')).toHaveText('2.73 Ω')

    await cell('cable').selectOption('flat-twin-earth')
    await cell('method').selectOption('C')
    await cell('length').fill('420')
    await expect(desk.getByText('Voltage drop prevents a solution')).toBeVisible()
    await cell('length').fill('-3')
    await expect(
      desk.getByText('Length: Must be more than 0; a negative value has no meaning here.', { exact: true }),
    ).toBeVisible()
    await cell('cable').selectOption('singles-in-conduit')
    await cell('method').selectOption('B')
    await cell('length').fill('28')
    await desk.getByRole('tab', { name: 'Task and marks' }).click()
    await desk.locator('[name=code]').fill('T-07')
    await desk.locator('[name=title]').fill('Compressor in the wash bay')
    await desk.getByRole('button', { name: 'Save' }).click()
    await expect(desk.getByTestId('builder-state')).toContainText('saved by Mira Achterberg')
    await desk.getByRole('button', { name: 'Set for a group' }).click()
    await choose(desk, 'set-cohort', 'Monday level 3')
    await desk.getByRole('button', { name: 'Set it' }).click()
    await expect(desk.getByText('3 apprentices have the task now')).toBeVisible()
  })

  const { page: bay } = await signIn(browser, centre, 'M-503')
  const wire = watchWire(bay)
  let assignment: Assignment
  await test.step('the apprentice designs with one slip in Ib and hands in', async () => {
    await bay.getByTestId('task-T-07').click()
    await expect(bay.getByRole('heading', { name: 'Compressor in the wash bay' })).toBeVisible()
    const given = await (
      await bay.request.get(`${centre}/api/${new URL(bay.url()).pathname.slice(1)}`)
    ).json()
    const { exercise } = await (
      await desk.request.get(desk.url().replace('/exercises/', '/api/exercises/'))
    ).json()
    const [circuit] = given.sheet.installation.circuits
    assignment = assignmentOf(exercise, {
      ...given.sheet.installation,
      circuits: [{ ...circuit, residualA: 0.03 }],
    })
    await bay.getByRole('button', { name: 'Hand in design' }).click()
    await expect(bay.getByText('Some steps are empty')).toBeVisible()
    await fillDesign(bay, {
      ...typedAnswers(assignment, { slips: { 'c1.ib': 23 } }),
      'c1.ib': '23,0',
      'c1.ohmPerM': '6.16 mΩ/m',
    })
    await expect(bay.getByText('read as 23.0 A')).toBeVisible()
    await saved(bay)
    await bay.reload()
    await expect(bay.locator('[name="c1.ib"]')).toHaveValue('23,0')
    await bay.getByRole('button', { name: 'Hand in design' }).click()
    await expect(bay.getByRole('button', { name: 'Ask for permission to energise' })).toBeVisible()
  })

  const readings = () => typedReadings(assignment, 1)
  /** The name of its box: a test of a circuit carries its circuit and its point. */
  const keyOf = (kind: string) => Object.keys(readings()).find((key) => key.split(/[.@]/).includes(kind))!
  await test.step('dead tests; live boxes are locked until an assessor permits by name', async () => {
    await bay.locator(`[name="${keyOf('r1r2')}"]`).fill(readings()[keyOf('r1r2')]!)
    for (const pair of ['L–N', 'L–E', 'N–E'])
      await bay.getByRole('button', { name: `Insulation resistance, ${pair}: above 999 megohms` }).click()
    await bay.getByRole('button', { name: 'Live tests' }).click()
    await expect(bay.getByText('locked').filter({ visible: true })).toHaveCount(3)
    await bay.getByRole('button', { name: 'Dead tests' }).click()
    await bay.getByRole('button', { name: 'Polarity not correct' }).click()
    await bay.getByRole('button', { name: 'Ask for permission to energise' }).click()
    await expect(bay.getByTestId('waiting')).toBeVisible()

    const { page: floor } = await signIn(browser, centre, 'S-301')
    const request = floor.getByTestId('needs').locator('article', { hasText: 'Hana Solberg' })
    await expect(request).toContainText('Polarity: Not correct.')
    await expect(request.getByRole('button', { name: 'Permit to energise' })).toHaveCount(0)
    await request.getByRole('button', { name: 'Not yet…' }).click()
    await floor.getByRole('button', { name: 'Send back' }).click()
    await expect(bay.getByTestId('refusal')).toContainText('Not yet: Teodor Kask', { timeout: 15_000 })
    await bay.getByRole('button', { name: 'Polarity correct', exact: true }).click()
    await bay.getByRole('button', { name: 'Ask for permission to energise' }).click()
    await request.getByRole('button', { name: 'Permit to energise' }).click({ timeout: 15_000 })
    await floor.getByRole('button', { name: 'Give permission' }).click()
    await expect(bay.getByTestId('permission-given')).toContainText('Teodor Kask gave permission', {
      timeout: 15_000,
    })
  })

  await test.step('live tests are handed in; nothing sent so far held an answer', async () => {
    for (const key of ['ze', 'zs', 'rcd'].map(keyOf))
      await bay.locator(`[name="${key}"]`).fill(readings()[key]!)
    await bay.getByRole('button', { name: 'Hand in readings' }).click()
    await expect(bay.getByText('Your assessor marks it')).toBeVisible()
    expect(wire.length).toBeGreaterThan(10)
    const { values } = designOf(assignment).circuits[0]!
    const hidden = [String(values.zs), String(values.itMin), String(values.ib)]
    for (const { text } of wire) {
      expect(text).not.toMatch(/reference|verdict|expected|proposal|residualA|"seed"/)
      for (const value of hidden) expect(text).not.toContain(value)
    }
  })

  await test.step(
    'the marking desk, by keyboard alone: right for your ' +
      'figures below the slip, an override, the decision',
    async () => {
      await desk.goto(`${centre}/marking`)
      await desk.getByRole('row', { name: /T-07/ }).getByRole('link', { name: 'Hana Solberg' }).click()
      const line = (item: string) => desk.locator(`[data-item="${item}"]`)
      await expect(line('design.c1.ib')).toHaveAttribute('data-verdict', 'wrong')
      await expect(line('design.c1.in')).toContainText('right for your figures')
      await expect(line('design.c1.csa')).toContainText('right for your figures')
      await expect(line(`reading.${keyOf('zs')}`)).toHaveAttribute('data-verdict', 'right')
      await expect(desk.getByLabel('Feedback', { exact: true })).toHaveValue(/Your reasoning is sound/)
      await desk.keyboard.press('j')
      await desk.keyboard.press('k')
      await desk.keyboard.press('e')
      await desk.locator('[name=reason]').fill('Said the right value aloud and corrected it at the bay.')
      await desk.keyboard.press('Control+Enter')
      await expect(line('design.c1.ib')).toHaveAttribute('data-verdict', 'right')
      await expect(desk.getByRole('dialog')).toBeHidden()
      await desk.keyboard.press('u')
      await expect(line('design.c1.ib')).toHaveAttribute('data-verdict', 'wrong')
      await desk.keyboard.press('f')
      await desk.keyboard.type('Well measured. ')
      await desk.keyboard.press('Tab')
      await desk.locator('h1').click()
      await desk.keyboard.press('d')
      await expect(desk.getByTestId('decided-by')).toContainText('Mira Achterberg')
      await desk.keyboard.press('r')
      await expect(desk.getByText('released to the apprentice')).toBeVisible()
    },
  )

  await test.step('the apprentice reads why, and sees the stitches in the record', async () => {
    await expect(bay.getByTestId('result')).toContainText('Well measured.', { timeout: 15_000 })
    await expect(bay.locator('[data-item="design.c1.in"]')).toContainText('right for your figures')
    await bay.getByRole('link', { name: 'My record' }).click()
    await showWhatCounts(bay)
    await expect(bay.getByRole('img', { name: 'D2: 1 of 2 occasions' })).toBeVisible()
    await expect(bay.getByRole('img', { name: 'D1: 0 of 2 occasions, one not yet' })).toBeVisible()
    await expect(bay.getByTestId('criterion-D2')).toContainText('Compressor in the wash bay')
    await desk.goto(`${centre}/records`)
    await choose(desk, 'group', 'Monday level 3')
    await expect(desk.getByRole('img', { name: 'Hana Solberg, D2: 1 of 2 occasions' })).toBeVisible()
  })
})
