/* A whole board: readings arrive from the simulated instrument, permission is refused for leads that were not nulled, a ring is diagnosed, live tests, a record signed; the floor follows. */
import { spawn } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { choose, expect, saved, signIn, test } from './support'
import { DEMO_PIN } from '../../demo/story'

test.use({ file: 'schedule' })

const SOON = { timeout: 3000 }

/** The simulated tester, as it is run beside the application. */
const tester = (rig: string, port: string, sheet: string, ...options: string[]): Promise<string> =>
  new Promise((resolve, reject) => {
    const child = spawn('npx', [
      'tsx',
      'cli/nakshi.ts',
      'instrument',
      rig,
      '--asked',
      '--port',
      port,
      '--sheet',
      sheet,
      '--pace',
      '5',
      ...options,
    ])
    let text = ''
    child.stdout.on('data', (chunk) => (text += chunk))
    child.on('error', reject)
    child.on('close', () => resolve(text))
  })

test('tested from an instrument, refused, diagnosed, permitted, tested live, signed', async ({
  browser,
  centre,
}) => {
  test.setTimeout(180_000)
  const { page: desk } = await signIn(browser, centre, 'I-201')
  const { page: floor } = await signIn(browser, centre, 'S-301')
  const { page: bay } = await signIn(browser, centre, 'U-605')
  await bay.getByTestId('task-T-05').click()
  const [attempt, code] = (await bay.getByTestId('stream-code').innerText()).trim().split(/\s+/)
  const port = (/port (\d+)/.exec(await bay.locator('.stream').innerText()) ?? [])[1]!
  const { rig } = await (await desk.request.get(`${centre}/api/schedules/${attempt}`)).json()
  const file = join(mkdtempSync(join(tmpdir(), 'nakshi-bay-')), 'bay.json')
  writeFileSync(file, JSON.stringify(rig))
  const send = (...options: string[]) => tester(file, port, `${attempt} ${code}`, ...options)

  expect(await tester(file, port, `${attempt} 000000`, '--stage', 'dead')).toContain(
    'the code does not belong',
  )
  expect(await send('--stage', 'live')).toContain('live readings stay locked')
  const taken = async (...options: string[]) =>
    expect(await send(...options, '--name', 'Multi 1')).toMatch(/^(\d+) of \1 lines taken/)
  // Leads of 0.19 Ω, not nulled.
  await taken('--stage', 'dead', '--leads', '0.19', '--nulled', '0')
  await expect(bay.getByTestId('filled')).toHaveText('34 of 34 filled', SOON)
  await bay.getByRole('button', { name: 'Ask for permission' }).click()
  const request = floor.getByTestId('request-5')
  await expect(request).toContainText('the leads were not nulled', SOON)
  await request.getByRole('button', { name: 'Not yet…' }).click()
  await floor.getByRole('button', { name: 'Send back' }).click()
  await expect(bay.getByText('the leads were not nulled').first()).toBeVisible(SOON)

  // The ring as it is: one leg of its cpc is open. The causes are looked for at the desk.
  await taken('--stage', 'dead', '--fault', 'earthOpen:x26')
  await desk.goto(`${centre}/schedules/${attempt}`)
  await expect(desk.getByTestId('finding').first()).toContainText('No continuity')
  await desk.getByTestId('find-cause').click()
  await expect(desk.locator('aside li').first()).toContainText('Open circuit in cpc', { timeout: 20_000 })
  await expect(desk.getByTestId('next-measurement')).toContainText('R2 with a long lead')

  await taken('--stage', 'dead')
  await expect(desk.getByTestId('finding')).toHaveCount(0, { timeout: 6000 })
  await bay.getByRole('button', { name: 'Ask for permission' }).click()
  await request.getByRole('button', { name: 'Permit to energise' }).click(SOON)
  await floor.getByRole('button', { name: 'Give permission' }).click()
  await expect(bay.getByTestId('permission-given')).toBeVisible(SOON)
  await taken('--stage', 'live')
  await expect(bay.getByTestId('filled')).toHaveText(/^(\d+) of \1 filled$/, SOON)
  await bay.getByRole('button', { name: 'Hand in readings' }).click()
  await expect(floor.getByRole('button', { name: 'STOP bay 5' })).toBeHidden(SOON)

  await bay.getByRole('link', { name: /^Records/ }).click()
  await bay.getByRole('tab', { name: 'Minor works record' }).click()
  await expect(bay.getByTestId('missing')).toContainText('Client')
  for (const [name, text] of Object.entries({
    client: 'Heritage tramway workshops',
    address: 'Paint shop, road 2',
    description: 'Ring rewired',
    departures: 'none',
    existingComments: 'none',
  }))
    await bay.locator(`input[name=${name}]`).fill(text)
  for (const [name, day] of Object.entries({ date: '25/11/2026', nextInspection: '25/11/2027' })) {
    await bay.locator(`input[name=${name}]`).fill(day)
    await bay.locator(`input[name=${name}]`).press('Enter')
  }
  for (const [name, value] of Object.entries({
    earthingConductor: 'yes',
    bondingWater: 'connected',
    bondingGas: 'N/A',
  }))
    await choose(bay, `record-${name}`, value)
  await bay.getByTestId('record-circuit').click()
  await bay.getByRole('option').filter({ visible: true }).first().click()
  await expect(bay.getByTestId('missing')).toContainText('Reason for bonding of gas')
  // A record without its circuit shows more boxes once it has one.
  for (const [name, value] of Object.entries({ afdd: 'N/A', spd: 'fitted' }))
    await choose(bay, `record-${name}`, value)
  await bay.locator('input[name="why.bondingGas"]').fill('no gas in the shed')
  await bay.locator('input[name="why.afdd"]').fill('not a dwelling of the listed kinds')
  await expect(bay.getByTestId('missing')).toBeHidden({ timeout: 8000 })
  await bay.locator('[name=signature]').fill('Yusuf Lindgren')
  await bay.locator('[name=pin]').fill(DEMO_PIN)
  await bay.getByRole('button', { name: 'Sign this record' }).click()
  await expect(bay.locator('.signature')).toContainText(/content [0-9a-f]{64}/)
})

test('round the ring in a picture; the insulation test voltage is kept with the sheet', async ({
  browser,
  centre,
}) => {
  const { page: bay } = await signIn(browser, centre, 'U-601')
  await bay.getByTestId('task-T-05').click()
  await bay.getByTestId('round-the-ring').click()
  await expect(bay.getByTestId('ring-say-2')).toContainText('Level at a quarter of both ends')
  await expect(bay.getByTestId('ring-say-3')).toContainText('Level')
  await expect(bay.getByTestId('ring-c1').locator('circle')).toHaveCount(6)
  await bay.getByRole('dialog').getByRole('button', { name: 'Close' }).click()

  await bay.getByTestId('insulation-volt').click()
  await bay.getByRole('option', { name: '250 V' }).click()
  await bay.locator('[name="set:irOut"]').fill('surge protection')
  await saved(bay)
  await expect(async () => {
    await bay.reload()
    await expect(bay.locator('[name="set:irOut"]')).toHaveValue('surge protection', { timeout: 3000 })
  }).toPass({ timeout: 10_000 })
  await expect(bay.getByTestId('insulation-volt')).toContainText('250 V')

  const { page: desk } = await signIn(browser, centre, 'I-201')
  await desk.goto(`${centre}/schedules/24`)
  await expect(desk.getByText(/Insulation was tested at 250 V/)).toBeVisible()
})
