/* A whole board by a new user: built from templates and a pasted table, printed, designed by two apprentices, marked and released by keyboard. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { LayoutView } from '../../schemas/layout-views'
import { assignmentOf, askedNodes, type Assignment } from '../../core/exercise/assignment'
import { typedAnswers } from '../../demo/story'
import { choose, expect, fillDesign, saved, signIn, test } from './support'

test.use({ file: 'board' })

const PASTED = [
  'Circuit\tUse\tLoad\tLength\tRCD\tDevice\tType',
  'Store lighting\tlighting\t12 × 36 W\t38 m\tnone\tbreaker\tB',
  'Wax kettle\tfixed\t6.4 kW\t17\t30 mA\tRCBO\tB',
].join('\n')

test('a six-circuit board for the battery store', async ({ browser, centre }) => {
  test.setTimeout(300_000)
  const { page: desk } = await signIn(browser, centre, 'I-201')
  const cell = (id: string, field: string) => desk.locator(`[data-cell="${id}.${field}"]`)
  /** Words under a row of the table. */
  const says = (text: string) => desk.locator('.circuits p', { hasText: text })
  const add = (board: string, template: string) => desk.getByTestId(`add-${board}`).selectOption(template)

  await test.step('supply, board, circuits from templates, a pasted table, a feed and its board', async () => {
    await desk.goto(`${centre}/exercises/new`)
    await choose(desk, 'box-arrangement', 'TN-S')
    await choose(desk, 'box-phases', '3, 400 V')
    await desk.locator('[name=ze]').fill('0.31')
    await desk.locator('[name=ipf]').fill('3.8 kA')
    await desk.locator('[name="b1.phases"]').selectOption('3')
    await cell('c1', 'name').fill('Store sockets')
    await cell('c1', 'basis').selectOption('current')
    await cell('c1', 'amount').fill('26 A')
    await cell('c1', 'length').fill('52')
    await choose(desk, 'detail-topology', 'ring')
    await expect(desk.locator('[data-step=in] .value')).toHaveText('32 A')

    await cell('c1', 'name').focus()
    await desk.evaluate((text) => {
      const data = new DataTransfer()
      data.setData('text/plain', text)
      document.activeElement!.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      )
    }, PASTED)
    await expect(desk.getByText('2 circuits added')).toBeVisible()
    await expect(cell('c3', 'name')).toHaveValue('Wax kettle')
    await add('b1', 'Motor, single phase')
    await cell('c4', 'name').fill('Extract fan')
    await add('b1', 'Fixed heater')
    await cell('c5', 'name').fill('Traction battery charger')
    await choose(desk, 'detail-phases', 'three phase')
  })

  await test.step('a circuit that cannot be names the cell, and the rest goes on', async () => {
    await cell('c5', 'cable').selectOption('singles-in-conduit')
    await cell('c5', 'method').selectOption('B')
    await cell('c5', 'amount').fill('15 kV')
    await expect(says('Load: The unit does not fit. Use W.')).toBeVisible()
    await expect(desk.locator('[data-row=c4] text.csa')).toHaveText('1.5 mm²')
    await cell('c5', 'amount').fill('15 kW')
    await expect(says('The unit does not fit')).toHaveCount(0)
    await add('b1', 'Feed to a board')
    await expect(says('no board is fed by it')).toBeVisible()
    await desk.getByRole('button', { name: 'Add a board' }).click()
    await desk.locator('[name="b2.name"]').fill('Signal hut')
    await add('b2', 'Socket radial')
    await expect(says('no board is fed by it')).toHaveCount(0)
    await desk.locator('[name="b2.fedBy"]').selectOption({ label: 'the supply' })
    await expect(says('is at the origin already')).toBeVisible()
    await desk.locator('[name="b2.fedBy"]').selectOption({ label: 'Feed' })
    await desk.locator('[name="b2.electrode"]').fill('72')
    await cell('c7', 'name').press('Control+d')
    await expect(cell('c8', 'name')).toHaveValue('Sockets, copy')
    await cell('c8', 'name').press('Control+z')
    await expect(cell('c8', 'name')).toHaveCount(0)
    // Taking back goes box by box and leaves what was typed elsewhere.
    await cell('c7', 'points').fill('9')
    await cell('c7', 'length').fill('33')
    await cell('c7', 'length').press('Control+z')
    await expect(cell('c7', 'length')).toHaveValue('25')
    await expect(cell('c7', 'points')).toHaveValue('9')
  })

  await test.step('what is asked, saved, printed, set', async () => {
    await desk.getByRole('tab', { name: 'Task and marks' }).click()
    await desk.locator('[name=code]').fill('T-08')
    await desk.locator('[name=title]').fill('Battery store, new board')
    await choose(desk, 'box-kind', 'Whole board')
    await choose(desk, 'box-tests', 'None: the design alone is handed in')
    await desk.getByRole('button', { name: 'Whole board' }).click()
    await desk.getByLabel('Marks for RCD').fill('4')
    await desk.getByLabel('Marks for RCD').press('Tab')
    await desk.getByRole('tab', { name: 'Variants' }).click()
    await expect(desk.getByTestId('variants').getByRole('row')).toHaveCount(13, { timeout: 20_000 })
    await desk.getByRole('button', { name: 'Save' }).click()
    await expect(desk.getByTestId('builder-state')).toContainText('saved by')
    await desk.getByRole('button', { name: 'Set for a group' }).click()
    await choose(desk, 'set-cohort', 'Monday level 3')
    await desk.getByRole('button', { name: 'Set it' }).click()
    await expect(desk.getByText('3 apprentices have the task now')).toBeVisible()
    await desk.getByRole('link', { name: 'Print' }).click()
    await expect(desk.locator('article')).toHaveCount(3)
    await desk.getByText('Circuit chart', { exact: true }).click()
    await expect(desk.getByRole('row', { name: /Traction battery charger/ })).toBeVisible()
    expect((await desk.pdf({ preferCSSPageSize: true })).length).toBeGreaterThan(10_000)
  })

  await test.step('two apprentices design it, one with a slip early on', async () => {
    const stored = (await (await desk.request.get(`${centre}/api/exercises`)).json()) as {
      id: number
      code: string
    }[]
    const { exercise } = await (
      await desk.request.get(`${centre}/api/exercises/${stored.find(({ code }) => code === 'T-08')!.id}`)
    ).json()
    for (const [number, slips] of [
      ['M-501', {}],
      ['M-502', { 'c5.ib': 40.8 }],
    ] as const) {
      const { page: bay } = await signIn(browser, centre, number)
      await bay.getByTestId('task-T-08').click()
      await expect(bay.getByRole('tab', { name: /Signal hut/ })).toBeVisible()
      const given = await (
        await bay.request.get(`${centre}/api/${new URL(bay.url()).pathname.slice(1)}`)
      ).json()
      const residual = new Map<string, number | null>(
        exercise.installation.circuits.map((circuit: { id: string; residualA: number | null }) => [
          circuit.id,
          circuit.residualA,
        ]),
      )
      const assignment: Assignment = assignmentOf(exercise, {
        ...given.sheet.installation,
        circuits: given.sheet.installation.circuits.map((circuit: { id: string }) => ({
          ...circuit,
          residualA: residual.get(circuit.id),
        })),
      })
      expect(askedNodes(assignment).length).toBeGreaterThan(60)
      const answers = typedAnswers(assignment, { slips })
      // One of them types it; the other’s sheet comes as from another device.
      if (number === 'M-502') {
        await fillDesign(bay, answers)
        await saved(bay)
      } else {
        const { version, readings } = given
        const sheet = `${centre}/api/${new URL(bay.url()).pathname.slice(1)}`
        const kept = await bay.request.put(sheet, {
          headers: { origin: centre },
          data: { version, answers, readings },
        })
        expect(kept.ok()).toBe(true)
        await bay.reload()
      }
      await bay.getByRole('button', { name: 'Hand in design' }).click()
      await expect(bay.getByText('Your assessor marks it')).toBeVisible()
    }
  })

  await test.step('marked and released by keyboard', async () => {
    await desk.goto(`${centre}/marking`)
    await desk.getByRole('link', { name: 'Davit Ombre' }).last().waitFor()
    const sheets = (await (await desk.request.get(`${centre}/api/marking`)).json()) as {
      id: number
      code: string
      name: string
    }[]
    const of = (name: string) => sheets.find((sheet) => sheet.code === 'T-08' && sheet.name === name)!.id
    await desk.goto(`${centre}/marking/${of('Davit Ombre')}`)
    await expect(desk.locator('[data-item="design.c5.ib"]')).toHaveAttribute('data-verdict', 'wrong')
    await expect(desk.locator('[data-item="design.c5.csa"]')).toHaveAttribute('data-verdict', 'carried')
    await expect(desk.locator('[data-item="design.b1.demand"]')).toHaveAttribute('data-verdict', 'carried')
    await desk.keyboard.press('w')
    await expect(desk.locator('.line.selected')).toHaveAttribute('data-item', 'design.c5.ib')
    await expect(desk.locator('.line.selected')).toContainText('√3')
    await desk.keyboard.press('o')
    await expect(desk.locator('[data-item="design.c2.ib"]')).toHaveCount(0)
    await desk.keyboard.press('f')
    await desk.keyboard.press('Control+End')
    await desk.keyboard.type('\n\nSketch one phase of it first.')
    await desk.locator('h1').click()
    await desk.keyboard.press('d')
    await expect(desk.getByTestId('decided-by')).toContainText('Mira Achterberg')
    await desk.keyboard.press(',')
    await expect(desk.getByRole('heading', { name: 'Orla Quennell' })).toBeVisible()
    await desk.getByText('Sentences used before').click()
    await expect(desk.getByRole('button', { name: /Sketch one phase/ })).toBeVisible()
    await desk.locator('h1').click()
    await desk.keyboard.press('d')
    await expect(desk.getByTestId('decided-by')).toContainText('Met')
    await desk.goto(`${centre}/marking`)
    await desk.getByRole('heading', { name: 'Marking' }).waitFor()
    await desk.getByTestId('release-all').waitFor()
    await desk.keyboard.press('Shift+R')
    await desk.getByRole('button', { name: 'Release', exact: true }).click()
    await expect(desk.getByText(/\d released\./)).toBeVisible()
    await desk.getByRole('link', { name: /^T-08/ }).click()
    await expect(desk.getByText('2 sheets handed in')).toBeVisible()
  })
})

test('the library answers where a value comes from; the adviser follows edition and place; a centre may close the library', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'T-401')
  await page.getByRole('link', { name: 'Library' }).click()
  await page.locator('[name=library]').fill('Where does 1.37 Ω come from?')
  await expect(page.getByRole('list', { name: 'Values found' })).toContainText('230 × 0.95 ÷ (5 × 32)')
  await page.locator('[name=library]').fill('rcd sockets')
  await page.getByRole('button', { name: /RCD for socket-outlets/ }).click()
  await expect(page.getByRole('article', { name: 'RCD for socket-outlets' })).toContainText(
    'Sockets up to 20 A',
  )
  await page.getByRole('link', { name: /Do I need an RCD/ }).click()
  await expect(page.getByTestId('advice')).toContainText('Yes: an RCD of at most 30 mA')
  // A ring on 32 A has outlets of 13 A, which the 17th edition names too; a dwelling's lighting came with the 18th.
  await choose(page, 'adviser-use', 'Lighting')
  await expect(page.getByTestId('advice')).toContainText('Yes: an RCD of at most 30 mA')
  await choose(page, 'adviser-edition', '17th edition with Amendment 3')
  await expect(page.getByTestId('advice')).toContainText('No rule here asks for an RCD')
  await choose(page, 'adviser-use', 'Socket-outlets')
  await expect(page.getByTestId('advice')).toContainText('Yes: an RCD of at most 30 mA')
  await page.getByText('What does an addition require?').click()
  await expect(page.getByTestId('advice')).toContainText('Look before you add')

  const { page: office } = await signIn(browser, centre, 'A-100')
  await office.getByRole('link', { name: 'Centre' }).click()
  await office.getByRole('radio', { name: /closed until the design is handed in/ }).check()
  await expect(office.getByText('closed until the design is handed in”')).toBeVisible()
  const { page: desk } = await signIn(browser, centre, 'I-201')
  await desk.goto(`${centre}/exercises`)
  const file = join(mkdtempSync(join(tmpdir(), 'nakshi-')), 'closed.json')
  writeFileSync(
    file,
    readFileSync('packs/workshop/T-03.json', 'utf8')
      .replace('"T-03"', '"T-13"')
      .replace('Lighting in the halt shelter', 'Shelter with the books closed'),
  )
  await desk.getByLabel('Exercise file').setInputFiles(file)
  await desk.getByRole('button', { name: 'Set for a group' }).click()
  await choose(desk, 'set-cohort', 'Thursday level 2')
  await desk.getByRole('button', { name: 'Set it' }).click()
  await expect(desk.getByText('10 apprentices have the task now')).toBeVisible()
  await page.goto(`${centre}/library`)
  await expect(page.getByText('Your centre has closed the library')).toBeVisible()
  await page.goto(`${centre}/work`)
  await page.getByTestId('task-T-13').click()
  await expect(page.getByRole('button', { name: 'Library' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Calculator' }).click()
  await page.locator('[name=wheel-P]').fill('2300')
  await expect(page.locator('[name=wheel-I]')).toHaveValue('10.0')
  await office.getByRole('radio', { name: /^open/ }).check()
})

test('a board is arranged by hand, then computed: the neutral carries less, and the exercise takes it over', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/exercises`)
  await page.getByRole('link', { name: 'Board for the battery store' }).click()
  await page.getByRole('button', { name: 'Duplicate' }).click()
  await page.getByRole('tab', { name: 'Arrangement' }).click()
  const neutral = page
    .getByTestId('arrange-figures')
    .getByRole('row', { name: /^Neutral/ })
    .getByRole('cell')
  const ampere = async (n: number) => parseFloat(await neutral.nth(n).innerText())
  const before = await ampere(1)
  // By hand: the first circuit picked, then the seat that it is to have.
  await page.getByRole('button', { name: /: Wax kettle/ }).click()
  await page.getByTestId('seat-17').click()
  await expect(page.getByTestId('seat-17')).toContainText('Wax kettle')
  // What is laid out by hand outlives a look at another part.
  await page.getByRole('tab', { name: 'Diagram' }).click()
  await page.getByRole('tab', { name: 'Arrangement' }).click()
  await expect(page.getByTestId('seat-17')).toContainText('Wax kettle')
  await page.getByRole('button', { name: 'As it was' }).click()

  await page.getByTestId('work-out-board').click()
  await expect(page.getByTestId('arrange-state')).toBeVisible({ timeout: 20_000 })
  const after = await ampere(0)
  expect(after).toBeLessThan(before)
  await page.getByTestId('take-arrangement').click()
  // The exercise is designed anew before its board is.
  await expect.poll(() => ampere(1)).toBeCloseTo(after, 1)
})

test('an SPD behind its own breaker, and a generator that takes over: asked for, named, laid out, printed', async ({
  browser,
  centre,
}) => {
  const { page } = await signIn(browser, centre, 'I-201')
  await page.goto(`${centre}/exercises`)
  await page.getByRole('link', { name: 'Prove the paint shop board' }).click()
  await page.getByRole('button', { name: 'Duplicate' }).click()
  const spd = page.locator('[name="b1.surge"]')
  const device = page.locator('[name="b1.surgeDevice"]')
  const table = page.getByRole('table', { name: 'Boards and circuits' })
  await expect(device).toBeEnabled()
  await device.fill('')
  await expect(table.getByText(/An SPD stands behind a device of its own/)).toBeVisible()
  await device.fill('6')
  await expect(table.getByText(/Way 6 is taken by Roller door. Choose a free way./)).toBeVisible()
  await device.fill('7')
  await expect(spd).toHaveValue('8')

  await choose(page, 'box-standby', 'generator')
  await page.locator('[name=standbyPower]').fill('6 kW')
  await expect(page.getByText(/Island mode and its earthing are not computed here/)).toBeVisible()
  await expect(page.getByText(/the generator gives 6.0 kW/)).toBeVisible()

  await page.getByRole('tab', { name: 'Arrangement' }).click()
  const leads = page.getByRole('row', { name: /^Leads of the SPD/ }).getByRole('cell')
  await expect(leads.first()).toHaveText('0.34 m')
  await page.getByTestId('work-out-board').click()
  await expect(page.getByTestId('arrange-state')).toBeVisible({ timeout: 20_000 })
  const shortest = parseFloat(await leads.first().innerText())
  expect(shortest).toBeLessThan(0.34)
  await page.getByTestId('take-arrangement').click()
  await page.getByRole('tab', { name: 'Board and circuits' }).click()
  await expect(spd).not.toHaveValue('8')
})

test('a board is set to be laid out; each try says what is short, and the best comes once it cannot be copied', async ({
  browser,
  centre,
}) => {
  const { page: desk } = await signIn(browser, centre, 'I-201')
  await desk.goto(`${centre}/exercises`)
  await desk.getByRole('link', { name: 'Board for the battery store' }).click()
  await desk.getByRole('tab', { name: 'Arrangement' }).click()
  const setFor = async (group: string) => {
    await desk.getByTestId('set-layout').click()
    await choose(desk, 'set-cohort', group)
    await desk.getByRole('button', { name: 'Set it' }).click()
  }
  await setFor('Monday level 3')
  await expect(desk.getByText('Some of this group still design this installation')).toBeVisible()
  await desk.getByRole('button', { name: 'Back' }).click()
  await setFor('Thursday level 2')
  await expect(desk.getByText('Nobody has handed in yet.')).toBeVisible()
  const id = Number(new URL(desk.url()).pathname.split('/').at(-1))

  const { page } = await signIn(browser, centre, 'T-403')
  await page.goto(`${centre}/practice`)
  await page.getByTestId(`layout-${id}`).click()
  const seat = (n: number) => page.getByTestId(`seat-${n}`)
  await expect(seat(3)).toContainText('Store sockets')
  const asked = async () =>
    (await (await page.request.get(`${centre}/api/layouts/${id}`)).json()) as LayoutView
  expect((await asked()).best).toBeNull()
  for (const [from, to] of [
    [3, 9],
    [4, 10],
    [10, 16],
  ] as const) {
    await seat(from).click()
    await seat(to).click()
    // What waits on this device outlives a reload.
    await page.reload()
    await page.getByTestId('layout-hand-in').click()
    await expect(page.getByTestId('layout-mark')).toContainText('%')
    await expect(page.getByTestId('layout-hand-in')).toBeDisabled()
  }
  await page.getByText('Show the best found').click()
  await expect(page.getByTestId('arrange-figures')).toContainText('Best found')
  await desk.reload()
  await expect(desk.getByTestId('layout-results')).toContainText('3 tries')
})
