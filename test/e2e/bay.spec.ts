/* The virtual bay: wire it wrongly, pass continuity, energise, read why both devices trip, repair; a lost neutral; the saved network in ngspice; a prediction kept before its outcome. */
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { runSpice } from '../support/spice'
import { choose, expect, saved, signIn, test } from './support'

test.use({ file: 'bay' })

const mode = (page: Page, name: string) => page.getByRole('radio', { name, exact: true }).click()
const more = async (page: Page, what: string) => {
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('menuitem', { name: what }).click()
}
/** Picks a terminal by typing, as somebody without a pointer does. */
async function pick(page: Page, typed: string) {
  const finder = page.getByTestId('terminal-finder')
  await finder.fill(typed)
  await page.getByRole('option').filter({ visible: true }).first().waitFor()
  await finder.press('Enter')
}
const part = (page: Page, id: string) => page.locator(`[data-part="${id}"]`).press('Enter')
const terminal = (page: Page, ref: string) => page.locator(`[data-terminal="${ref}"]`).click()
const happened = (page: Page) => page.getByTestId('happenings')

test('a neutral on the other bar: continuity passes, both devices trip with the lamp, repaired it works', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-404')
  await page.getByRole('link', { name: 'Practice' }).click()
  await page.getByTestId('bay-practice-split').click()
  await more(page, 'Take it ready wired')
  await expect(page.getByTestId('made')).toContainText('20 made')

  await page.getByRole('button', { name: /Neutral bar B · 2/ }).click()
  await page.getByRole('button', { name: 'Disconnect' }).click()
  await page.getByRole('radio', { name: 'blue' }).click()
  await pick(page, 'neutral a 3')
  await pick(page, 'lamp 2.1 n')
  await expect(page.getByTestId('made')).toContainText('20 made')
  await expect(page.getByRole('listitem').last()).toContainText('Neutral bar A · 3')
  await saved(page)

  // Dead, with a link at the board as method 1 asks for: open until the switch is operated, then in order.
  await mode(page, 'Measure')
  await page.getByTestId('link').click()
  await terminal(page, 'b1w2.L out')
  await terminal(page, 'b1e.5')
  await terminal(page, 'c2p2.L')
  await terminal(page, 'c2p2.E')
  await expect(page.getByTestId('display')).toHaveText('>1999 Ω')
  await mode(page, 'Operate')
  await part(page, 'c2p0')
  await expect(page.locator('[data-part="c2p0"]')).toHaveAccessibleName(/, on$/)
  await mode(page, 'Measure')
  await terminal(page, 'c2p2.L')
  await terminal(page, 'c2p2.E')
  await expect(page.getByTestId('display')).toHaveText(/^0\.\d\d Ω$/)

  await mode(page, 'Measure')
  await page.getByRole('button', { name: 'Take the link 1 out' }).click()
  await mode(page, 'Operate')
  await part(page, 'c2p0')
  await page.getByTestId('supply').click()
  for (const id of ['b1main', 'b1rcdA', 'b1rcdB', 'b1w1', 'b1w2']) {
    await part(page, id)
    await expect(page.locator(`[data-part="${id}"]`)).toHaveAccessibleName(/, on$/)
  }
  await part(page, 'c1p1')
  await expect(happened(page)).toContainText('Socket 1.1 works')
  await part(page, 'c2p0')
  await expect(happened(page)).toContainText(/RCD A opens: .* did not come back through it/)
  await expect(happened(page)).toContainText(/RCD B opens: .* did not come back through it/)
  await page.getByTestId('supply').click()

  await page.getByRole('button', { name: 'Check' }).click()
  await expect(page.getByTestId('check')).toContainText('each sees the other’s current')
  await page
    .getByTestId('check')
    .getByRole('button', { name: /belongs to Neutral bar B/ })
    .click()
  await page.keyboard.press('Delete')
  await pick(page, 'neutral b 2')
  await pick(page, 'lamp 2.1 n')
  await page.getByRole('button', { name: 'Check' }).click()
  await expect(page.getByTestId('check')).not.toContainText('belongs to')

  await mode(page, 'Operate')
  await page.getByRole('button', { name: 'All as before' }).click()
  await page.getByRole('button', { name: 'Energise in sequence' }).click()
  await expect(happened(page)).toContainText('Lamp 2.2 works')
  await mode(page, 'Measure')
  await page.getByRole('button', { name: 'Take the probes off' }).click()
  await page.getByTestId('instrument').click()
  await page.getByRole('option', { name: 'Voltmeter' }).click()
  await terminal(page, 'c1p2.L')
  await terminal(page, 'c1p2.N')
  await expect(page.getByTestId('display')).toHaveText(/^2[23]\d V$/)

  await mode(page, 'Connect')
  await terminal(page, 'b1nA.4')
  await expect(page.getByText('Switch every supply off before a conductor is moved.').first()).toBeVisible()
})

test('three lines without their neutral show what each lamp gets, and the saved network agrees in ngspice', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/practice/bays/practice-three`)
  await more(page, 'Take it ready wired')
  await page.getByRole('button', { name: /Main switch · N out/ }).click()
  await page.getByRole('button', { name: 'Disconnect' }).click()
  await mode(page, 'Operate')
  await page.getByRole('button', { name: 'Energise in sequence' }).click()
  await expect(happened(page)).toContainText(/Lamp 1L3\.1 gets 3\d\d V: too much for it/)
  await mode(page, 'Measure')
  await page.getByTestId('instrument').click()
  await page.getByRole('option', { name: 'Voltmeter' }).click()
  await terminal(page, 'c3p1.L')
  await terminal(page, 'c3p1.N')
  const shown = page.getByTestId('display')
  await expect(shown).toHaveText(/^3\d\d V$/)
  const volt = Number((await shown.textContent())!.replace(' V', ''))

  const download = page.waitForEvent('download')
  await more(page, 'Save the network (SPICE)')
  const text = readFileSync(await (await download).path(), 'utf8')
  const values = runSpice(text)
  const [, n] = /c3p1:load: \S+ to \S+\n(?:VM|R|V)\S* (\S+)/.exec(text)!
  const [, from, to] = new RegExp(`c3p1:load: (\\S.*) to (\\S.*)\\n`).exec(text)!
  expect(from).toBe('c3p1.L')
  expect(to).toBe('c3p1.N')
  const lamp = text
    .split('\n')
    .flatMap((line, i, all) => (line === '* c3p1:load: c3p1.L to c3p1.N' ? all.slice(i + 1, i + 4) : []))
  const back = lamp.find((line) => /^R/.test(line))!.split(' ')[2]!
  const [a, b] = [values.get(`v(${n!})`)!, values.get(`v(${back})`)!]
  expect(Math.abs(Math.hypot(a.re - b.re, a.im - b.im) - volt)).toBeLessThan(0.02 * volt)
})

test('a prediction comes first and stays; the outcome and what was measured stand beside it', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-404')
  await page.goto(`${centre}/practice/experiments/other-bar`)
  await expect(page.getByRole('button', { name: 'Try it', exact: true })).toBeDisabled()
  await page.locator('[name=predicted]').fill('Only RCD B trips')
  await page.getByRole('button', { name: 'Try it', exact: true }).click()
  await expect(page.getByTestId('outcome')).toContainText('RCD A opens')
  await expect(page.getByTestId('outcome')).toContainText('Only RCD B trips')
  // Watched: the heater's current runs through line and neutral until both RCDs have opened, then through nothing.
  const film = page.getByTestId('film')
  await expect(film.getByTestId('stitches')).toHaveCount(0)
  await film.getByRole('button', { name: 'One picture on' }).click()
  await expect(film.getByTestId('film-line')).toContainText('Heater plugged in')
  await expect(film.getByTestId('stitches').first()).toBeVisible()
  await film.getByRole('slider').press('End')
  await expect(film.getByTestId('film-line')).toContainText('No current flows')
  await expect(film.locator('[data-part="b1rcdB"]')).toHaveAttribute('aria-label', /tripped/)
  // Whoever wants no motion goes through it in steps.
  await film.getByRole('button', { name: 'From the start' }).click()
  await film.getByRole('button', { name: 'Next picture' }).click()
  await expect(film.getByTestId('film-line')).toContainText('Heater plugged in')
  await page.getByLabel('What we measured').fill('Both opened, seen with Mr Kask')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Kept beside your prediction.')).toBeVisible()
  await page.reload()
  await page.getByText('Only RCD B trips').click()
  await expect(page.getByLabel('What we measured')).toHaveValue('Both opened, seen with Mr Kask')
})

test('a fault is planted by pointing at the bay; its readings are there before it is set', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto('/practice/plant')
  await part(page, 'c1p2')
  await expect(page.getByRole('heading', { name: 'Socket 1.2' })).toBeVisible()
  const faults = page.getByTestId('plant-faults').getByRole('button')
  for (const text of await faults.allInnerTexts()) expect(text).toContain('Socket 1.2')
  await choose(page, 'plant-aim', 'Shorts, damp and damaged insulation')
  await faults.filter({ hasText: 'Neutral–earth fault' }).first().click()
  await expect(page.getByTestId('difficulty')).toBeVisible()
  await expect(page.getByRole('row').filter({ hasText: 'N–E' }).first()).toBeVisible()
  await page.getByTestId('plant-who').click()
  await page
    .getByRole('option', { name: /Monday level 3/ })
    .first()
    .click()
  await page.getByTestId('plant').click()
  await expect(page.getByText('Set for 1. They find it under Practice.')).toBeVisible()
})

test('a bench of first principles is switched on by a figure, and off again by a knob', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-404')
  await page.goto(`${centre}/practice`)
  await page.getByTestId('principle-rheostat').click()
  const on = page.getByRole('button', { name: 'Switch on' })
  const figure = page.getByRole('textbox', { name: 'What current flows?' })
  await expect(on).toBeDisabled()
  await figure.fill('one')
  await expect(page.getByText('Write a number')).toBeVisible()
  await expect(on).toBeDisabled()
  await figure.fill('500 mA')
  await on.click()
  await expect(page.getByRole('status')).toContainText('Half of what comes out')
  await expect(page.getByRole('row', { name: /Power in the lamp/ })).toContainText('6 W')
  await page.getByRole('slider', { name: 'Rheostat' }).press('ArrowRight')
  await expect(page.getByRole('status')).toHaveCount(0)
  await expect(figure).toHaveValue('')
  await figure.fill('0.92')
  await figure.press('Enter')
  await expect(page.getByRole('status')).toContainText('Right')
  await page.getByRole('link', { name: /^Next: Lamps/ }).click()
  await expect(page.getByRole('heading', { name: 'Lamps in series and in parallel' })).toBeVisible()
})

test('a bare enclosure: mounted by hand, no supply before each pole is proved, an overload watched', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-406')
  await page.goto('/practice/bays/practice-bench')
  const mount = async (id: string, place: number) => {
    await page.getByTestId(`box-${id}`).click()
    await page.locator(`[data-slot="b1.${place}"]`).click()
  }
  await page.getByTestId('box-b1main').click()
  await page.locator('[data-slot="b1.1"]').click()
  await expect(page.getByText('Fit the rail first: devices clip onto it.')).toBeVisible()
  await page.getByRole('button', { name: /^Rail/ }).click()
  await page.locator('[data-slot="b1.1"]').click()
  await mount('b1rcd', 3)
  await expect(page.getByTestId('box-b1rcd')).toContainText('place 3')
  await part(page, 'b1rcd')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('box-b1rcd')).toContainText('in the box')
  await saved(page)
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByText('Take it mounted and wired').click()
  await expect(page.locator('[data-part="b1w2"]')).toBeVisible()

  await mode(page, 'Operate')
  await page.getByTestId('supply').click()
  await expect(page.getByText('Prove the poles first: 12 readings are missing.')).toBeVisible()
  for (const pole of ['b1main-L', 'b1main-N', 'b1rcd-L', 'b1rcd-N', 'b1w1-L', 'b1w2-L'])
    for (const [position, reads] of [
      ['open', 'no continuity'],
      ['closed', /0\.\d\d Ω/],
    ] as const) {
      await page.getByTestId(`prove-${pole}-${position}`).click()
      await expect(page.getByTestId(`prove-${pole}-${position}`)).toHaveText(reads)
    }
  await expect(page.getByTestId('proofs-left')).toHaveText('Every pole opens and closes.')
  await page.getByRole('button', { name: 'Energise in sequence' }).click()
  await expect(page.getByTestId('happenings')).toContainText('Lamp works')
  await page.getByText('Show what flows').click()
  await expect(page.getByTestId('stitches').first()).toBeVisible()
  // 1 200 W on a breaker of 2 A.
  await page.getByText('Loads', { exact: true }).click()
  const load = page.getByRole('spinbutton', { name: 'Load of Socket, W' })
  await load.fill('1200')
  await load.press('Enter')
  await part(page, 'c2p1')
  await page.getByRole('button', { name: 'Wait a minute' }).click()
  await expect(page.getByTestId('happenings')).toContainText(/Way 2 opens: it carried/)
})
