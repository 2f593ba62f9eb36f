/* The paint shop: walked round, drawn to scale, put into an exercise; a room that changes is followed. */
import type { Page } from '@playwright/test'
import { choose, expect, saved, signIn, test } from './support'

test.use({ file: 'survey' })
const LOOK = process.env.LOOK
const look = (page: Page, name: string) =>
  LOOK ? page.screenshot({ path: `${LOOK}/${name}.png` }) : Promise.resolve()

/** Taps the plan at a place in its own units. */
async function tap(page: Page, x: number, y: number): Promise<void> {
  await page.getByTestId('plan').scrollIntoViewIfNeeded()
  const at = await page.getByTestId('plan').evaluate(
    (svg, spot) => {
      const place = new DOMPoint(spot.x, spot.y).matrixTransform((svg as SVGSVGElement).getScreenCTM()!)
      return { x: place.x, y: place.y }
    },
    { x, y },
  )
  await page.mouse.click(at.x, at.y)
}
const tool = (page: Page, name: string) => page.getByTestId(`tool-${name}`).click()
/** Taps with a tool, and ends what has no end of its own. */
async function draw(page: Page, name: string, taps: readonly (readonly [number, number])[], isDone = false) {
  await tool(page, name)
  for (const [x, y] of taps) await tap(page, x, y)
  if (isDone) await page.getByTestId('plan-done').click()
}
const thing = (page: Page, label: string) => page.getByTestId('plan-thing').getByLabel(label)
async function figure(page: Page, label: string, text: string) {
  const box = thing(page, label)
  await box.fill(text)
  await box.press('Tab')
}

test('the paint shop is drawn to scale, becomes an exercise, and a warmer room is followed', async ({
  browser,
  centre,
}) => {
  test.setTimeout(150_000)
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto('/surveys')
  await page.getByTestId('begin-paint-shop').waitFor()
  await look(page, 'surveys')
  await page.getByTestId('begin-paint-shop').click()
  await page.getByTestId('act-measured').click()
  await expect(page.getByTestId('shows-measured')).toContainText('0.42')
  await look(page, 'survey-visit')
  await page.getByTestId('tab-checklist').click()
  await page.locator('[name="item.earth.ze"]').fill('0.42')
  await choose(page, 'item-intake.arrangement', 'TN-S')
  await page.getByTestId('tab-plan').click()
  await draw(page, 'scale', [
    [440, 400],
    [680, 400],
  ])
  await page.getByTestId('known-metres').getByRole('spinbutton').fill('6')
  await page.getByTestId('known-metres').getByRole('spinbutton').press('Tab')
  const rooms = [
    [
      [40, 40],
      [440, 40],
      [440, 400],
      [40, 400],
    ],
    [
      [440, 40],
      [680, 40],
      [680, 400],
      [440, 400],
    ],
  ] as const
  await draw(page, 'room', rooms[0], true)
  await figure(page, 'Name', 'Spray room')
  await figure(page, 'Warmest it gets, °C', '40')
  await draw(page, 'room', rooms[1], true)
  await draw(page, 'board', [[680, 120]])
  await draw(page, 'point', [[40, 220]])
  await figure(page, 'Name', 'Extract fan')
  await figure(page, 'Height above the floor, m', '2.2')
  await draw(page, 'route', [[40, 220]], true)
  await figure(page, 'Height of the route, m', '3')
  await page.getByTestId('along-walls').click()
  // 2 m up the wall, 16 m along the ridge wall, 4.5 m down: 22.5 m; from 1.8 m up to 3 m and down to 2.2 m: 2 m.
  await expect(page.getByTestId('route-length')).toContainText('24.5 m')
  await look(page, 'survey-plan')
  await saved(page)

  await page.getByTestId('tab-follows').click()
  const row = page.getByTestId('follows').getByRole('row', { name: /Extract fan/ })
  await expect(row).toContainText('24.5 m')
  await expect(row).toContainText('0.87')
  await look(page, 'survey-follows')
  await page.locator('[name=exercise-code]').fill('S-01')
  await page.getByTestId('exercise-criterion').click()
  await page.getByRole('option').filter({ visible: true }).first().click()
  await page.getByTestId('make-exercise').click()
  await page.waitForURL('**/exercises/*')
  await expect(page.getByTestId('from-survey')).toContainText('all as in the survey today')
  const exercise = page.url()
  await look(page, 'survey-exercise')

  // The spray room turns out warmer.
  await page.getByTestId('from-survey').getByRole('link').click()
  await page.getByTestId('tab-plan').click()
  await page.getByRole('button', { name: 'Spray room', exact: true }).click()
  await figure(page, 'Warmest it gets, °C', '50')
  await saved(page)
  await page.getByTestId('tab-follows').click()
  await expect(page.getByTestId('follows').getByRole('row', { name: /Extract fan/ })).toContainText('0.71')
  await page.goto(exercise)
  await page.getByTestId('from-survey').locator('summary').click()
  await expect(page.getByTestId('from-survey')).toContainText('1 differ')
  await page.getByTestId('take-survey').click()
  await expect(page.getByTestId('from-survey')).toContainText('all as in the survey today')
})

test('an apprentice hands a survey in; it is marked by what was looked at, and decided', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-402')
  await page.goto('/surveys')
  await page.getByTestId('begin-lamp-store').click()
  await page.getByTestId('act-intake').click()
  await page.getByTestId('tab-checklist').click()
  await choose(page, 'item-intake.arrangement', 'TT')
  await page.locator('[name="item.intake.mainFuse"]').fill('60')
  await page.locator('[name="item.earth.ze"]').fill('84')
  await page.locator('[name="item.earth.ipf"]').fill('lots')
  await expect(page.getByText('This is no figure with its unit.')).toBeVisible()
  await page.getByTestId('tab-report').click()
  await page.locator('[name="report.summary"]').fill('For the depot clerk, before chargers are put in.')
  await saved(page)
  await page.getByTestId('hand-in').click()
  await expect(page.getByText('Handed in').first()).toBeVisible()
  await look(page, 'survey-report')
  const { page: desk } = await signIn(browser, centre, 'S-301')
  await desk.goto(page.url())
  const marks = desk.getByTestId('survey-marks')
  await expect(marks).toContainText('assumed without looking')
  await look(desk, 'survey-marks')
  await desk.getByTestId('survey-criteria').click()
  await desk.getByRole('option').filter({ visible: true }).first().click()
  await desk.keyboard.press('Escape')
  await desk
    .locator('[name=survey-feedback]')
    .fill('Measure, or see it measured: the electrode was put down unseen.')
  await desk.getByRole('button', { name: 'Not yet' }).click()
  await expect(desk.getByText('Decide again')).toBeVisible()
  await page.reload()
  await page.getByTestId('tab-marks').click()
  await expect(page.getByText('the electrode was put down unseen')).toBeVisible()
})
