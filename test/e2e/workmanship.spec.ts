/* Conduit set out, cut for eight bays and measured with a forgotten allowance; a board inspected with a photo; a round of the inspection trainer. */
import { choose, expect, saved, signIn, test } from './support'

test.use({ file: 'workmanship' })

/** A picture of one colour, as a camera would hand it over. */
const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAIAAAACUFjqAAAAEklEQVR4nGP4z8CAB+GTG8HSALfKY52fTcuYAAAAAElFTkSuQmCC',
  'base64',
)

test('the pit’s run is typed and dragged, its bench card and cutting list follow; measured, the forgotten allowance is recognised', async ({
  browser,
  centre,
}) => {
  test.setTimeout(120_000)
  const { page: desk } = await signIn(browser, centre, 'I-201')
  await desk.goto(`${centre}/runs`)
  await desk.getByRole('button', { name: 'New run' }).click()
  await desk.waitForURL(/runs\/\d+/)
  await desk.locator('[name=name]').fill('Pit run, trial')
  for (const to of ['right', 'out', 'down']) await desk.getByTestId(`add-${to}`).click()
  const fill = async (boxes: Readonly<Record<string, string>>) => {
    for (const [name, text] of Object.entries(boxes)) await desk.locator(`input[name="${name}"]`).fill(text)
  }
  await fill({
    's1.length': '1150',
    's2.length': '1280',
    's3.length': '1460',
    's4.length': '640',
    's5.length': '780',
    bays: '8',
  })
  await desk.locator('[name="s2.then"]').selectOption('box')
  await desk.locator('[name="s3.then"]').selectOption('inspection')
  await desk.locator('[name="s2.detour"]').selectOption('offset')
  await fill({ 's2.at': '420', 's2.height': '75' })
  await desk.locator('[name="s3.detour"]').selectOption('bridge')
  await fill({ 's3.at': '460', 's3.height': '40', 's3.angle': '45' })
  // Sets too close for this former: said at its piece, and with the nearest that works.
  await expect(desk.locator('.sentences')).toContainText(
    'The sets of the detour are too close for this former',
  )
  await fill({ 's3.height': '90' })
  await expect(desk.locator('.sentences')).toHaveCount(0)
  await expect(desk.getByText(/^Tube 1/)).toContainText('cut')
  const corner = (await desk.getByTestId('corner-5').boundingBox())!
  await desk.mouse.move(corner.x + corner.width / 2, corner.y + corner.height / 2)
  await desk.mouse.down()
  await desk.mouse.move(corner.x + corner.width / 2, corner.y + corner.height / 2 + 25, { steps: 5 })
  await desk.mouse.up()
  await expect(desk.locator('[name="s5.length"]')).toHaveValue(/^\d+0$/)
  await expect(desk.locator('[name="s5.length"]')).not.toHaveValue('780')
  await desk.locator('[name="s5.length"]').fill('780')

  await desk.getByRole('tab', { name: 'Former' }).click()
  await fill({ pieceLength: '600', pieceMark: '250', markedLeg: '330', otherLeg: '326' })
  await expect(desk.getByTestId('calibration')).toContainText('Radius 83.9 mm')
  await desk.getByRole('button', { name: 'Use it for this run' }).click()
  await desk.getByRole('tab', { name: 'Cutting list' }).click()
  await expect(desk.getByTestId('cutting-sum')).toContainText('tubes of 3 m')
  await saved(desk)

  await desk.getByRole('tab', { name: 'Measured' }).click()
  await desk.getByTestId('measure-who').click()
  await desk.getByRole('option', { name: /Rosa Okonjo-Lind/ }).click()
  await desk.getByRole('button', { name: 'Measure it' }).click()
  await desk.getByTestId('dim-s1').getByRole('button', { name: 'off by 1 mm', exact: false }).first().click()
  for (const [name, text] of Object.entries({ s2: '1316', s3: '+0', s4: '+0', s5: '+36' }))
    await desk.locator(`input[name=${name}]`).fill(text)
  await expect(desk.getByTestId('pattern')).toContainText('one allowance of this former, 36 mm')
  await desk.getByTestId('close').click()
  await desk.getByRole('button', { name: 'Close it' }).click()
  await expect(desk.getByText(/Closed by Mira/)).toBeVisible()
  await expect(desk.getByTestId('run-verdict')).toContainText('W1')
})

test('a board is inspected with remark, torque and a marked photo; the request to energise shows it', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'U-602')
  const { page: floor } = await signIn(browser, centre, 'S-301')
  await page.getByTestId('task-T-05').click()
  await page.waitForURL(/work\/\d+$/)
  const id = /\d+$/.exec(page.url())![0]
  await page.goto(`${centre}/inspect/${id}`)
  const cover = page.locator('article').first()
  await cover.getByRole('button', { name: 'not', exact: true }).click()
  await cover.getByRole('button', { name: 'A cover screw is missing' }).click()
  await cover
    .locator('input[type=file]')
    .setInputFiles({ name: 'cover.png', mimeType: 'image/png', buffer: PICTURE })
  await cover.locator('.frame img').click()
  await expect(cover.locator('.ring')).toHaveCount(1)
  for (const group of [
    'Enclosure',
    'Supply and bonding',
    'Devices',
    'Bars',
    'Labels',
    'Accessories',
    'Conductors',
  ]) {
    await page.getByRole('button', { name: new RegExp(`^${group}`) }).click()
    await page.getByRole('button', { name: 'The rest here is satisfactory' }).click()
  }
  await expect(page.getByTestId('conclusion')).toContainText('Nothing seen against testing')
  await saved(page)
  await expect(floor.getByTestId('request-2')).toContainText('1 observed, nothing seen against testing', {
    timeout: 5000,
  })
})

test('a round of the inspection trainer is played and debriefed', async ({ browser, centre }) => {
  const { page } = await signIn(browser, centre, 'T-409')
  await page.goto(`${centre}/practice/inspection`)
  await page.getByTestId('start-intake').click()
  await page.getByTestId('spot-meter').click()
  await page.getByRole('radio', { name: 'further investigation' }).click()
  await choose(page, 'question-earthing', 'TT')
  await choose(page, 'question-seal', 'leave it and call the owner')
  await page.getByTestId('end-round').click()
  await page.getByRole('button', { name: 'End it' }).click()
  await expect(page.getByTestId('debrief').first()).toBeVisible()
  await page.getByRole('button', { name: 'Another one' }).click()
  await expect(page.getByTestId('end-round')).toBeVisible()
})
