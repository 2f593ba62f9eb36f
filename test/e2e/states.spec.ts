/* Screens in the states in which people meet them: a dialog open, a step taken, nothing there, something refused.
   Each is looked at as the plain screens are, on both cloths and in every size. */
import type { Browser, Page } from '@playwright/test'
import { SIZES, ZOOMED } from '../support/screens'
import { faults, tooWide } from './screen-faults'
import { SCREEN, expect, signIn, test } from './support'

test.use({ file: 'states' })
test.describe.configure({ mode: 'parallel' })

interface State {
  readonly name: string
  /** Nobody is signed in where it is left out. */
  readonly who?: string
  readonly reach: (page: Page) => Promise<unknown>
}
const press = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click()
const start = async (page: Page, path: string, data: object): Promise<number> =>
  ((await (await page.request.post(`/api/${path}`, { data })).json()) as { id: number }).id

/** A rehearsal as far as these moves take it. */
async function rehearsal(page: Page, moves: readonly string[], isEnded = false) {
  const id = await start(page, 'isolation/runs', { scenario: 'two-trades', mode: 'free' })
  for (const [version, move] of moves.entries())
    await page.request.post(`/api/isolation/runs/${id}/move`, { data: { version: version + 1, move } })
  if (isEnded) await page.request.post(`/api/isolation/runs/${id}/end`)
  await page.goto(`/practice/isolation/${id}`)
}
const bayIn = (mode: string) => async (page: Page) => {
  await page.goto('/practice/bays/practice-bench')
  await page.getByRole('radio', { name: mode, exact: true }).click()
}

const STATES: readonly State[] = [
  { name: 'sign-in', reach: (page) => page.goto('/sign-in') },
  {
    name: 'sign-in refused',
    reach: async (page) => {
      await page.goto('/sign-in')
      await page.locator('[name=number]').fill('T-403')
      await page.locator('[name=password]').fill('not this one')
      await press(page, 'Sign in')
      await page.getByRole('alert').first().waitFor()
    },
  },
  { name: 'statement of a witness', reach: (page) => page.goto('/witness') },
  { name: 'a page that is not there', who: 'T-403', reach: (page) => page.goto('/work/99999') },
  { name: 'a page of somebody else', who: 'T-403', reach: (page) => page.goto('/people') },
  {
    name: 'rehearsal at a board with two padlocks',
    who: 'T-403',
    reach: async (page) => {
      await rehearsal(page, [
        'take two-pole',
        'walk board',
        'readChart',
        'switch b1w3',
        'lock b1w3',
        'notice b1w3',
      ])
      await page.locator('[data-device="b1w3"]').click()
      await page.getByText('From the bag and the pocket').click()
    },
  },
  {
    name: 'rehearsal, its debrief',
    who: 'T-403',
    reach: async (page) => {
      await rehearsal(page, ['walk point', 'open'], true)
      await page.getByTestId('verdict').waitFor()
    },
  },
  {
    name: 'inspection round, a spot tapped',
    who: 'T-403',
    reach: async (page) => {
      await page.goto(`/practice/inspection/${await start(page, 'rounds', { scene: 'board' })}`)
      await page.getByTestId('spot-main').click()
    },
  },
  {
    name: 'experiment, watched',
    who: 'T-403',
    reach: async (page) => {
      await page.goto('/practice/experiments/blast-radius')
      await page.locator('[name=predicted]').fill('Everything')
      await press(page, 'Try it')
      await press(page, 'One picture on')
    },
  },
  { name: 'bay, mounting', who: 'T-403', reach: bayIn('Mount') },
  { name: 'bay, proving and operating', who: 'T-403', reach: bayIn('Operate') },
  { name: 'bay, measuring', who: 'T-403', reach: bayIn('Measure') },
  {
    name: 'bay, checked',
    who: 'T-403',
    reach: async (page) => {
      await page.goto('/practice/bays/practice-bench')
      await press(page, 'Check')
      await page.getByTestId('check').waitFor()
    },
  },
  {
    name: 'go to',
    who: 'I-201',
    reach: async (page) => {
      await page.goto('/floor')
      await page.locator('h1').first().waitFor()
      await page.keyboard.press('Control+k')
      await page.getByRole('dialog').waitFor()
    },
  },
  {
    name: 'keys on this page',
    who: 'I-201',
    reach: async (page) => {
      await page.goto('/marking/22')
      await page.locator('h1').first().waitFor()
      await page.keyboard.press('Shift+?')
      await page.getByRole('dialog').waitFor()
    },
  },
  {
    name: 'a padlock goes on',
    who: 'S-301',
    reach: async (page) => {
      await page.goto('/isolation')
      await page.locator('h1').first().waitFor()
      await press(page, 'Write a lock on')
      await page.getByRole('dialog').waitFor()
    },
  },
  {
    name: 'a new question',
    who: 'I-201',
    reach: async (page) => {
      await page.goto('/questions')
      await press(page, 'New question')
      await page.getByRole('dialog').waitFor()
    },
  },
  {
    name: 'nothing found',
    who: 'I-201',
    reach: async (page) => {
      await page.goto('/questions')
      await page.getByPlaceholder('Search').first().fill('no question has these words')
    },
  },
  {
    name: 'a test instrument',
    who: 'S-302',
    reach: async (page) => {
      await page.goto('/stores')
      await press(page, /instrument/i)
      await page.getByRole('dialog').waitFor()
    },
  },
  {
    name: 'one record',
    who: 'I-201',
    reach: async (page) => {
      await page.goto('/records')
      await page.locator('a[href^="/records/"]').first().click()
      await page.waitForURL(/records\/\d+/)
    },
  },
  { name: 'floor of an assessor', who: 'S-301', reach: (page) => page.goto('/floor') },
  { name: 'stores of an instructor', who: 'I-201', reach: (page) => page.goto('/stores') },
]

async function open(browser: Browser, centre: string, who: string | undefined): Promise<Page> {
  if (who) return (await signIn(browser, centre, who)).page
  return (await browser.newContext({ baseURL: centre, ...SCREEN })).newPage()
}

for (const { name, who, reach } of STATES)
  test(`${name}${who ? ` (${who})` : ''}`, async ({ browser, centre }) => {
    const page = await open(browser, centre, who)
    await reach(page)
    await page.locator('h1').first().waitFor()
    await expect(page.locator('.skeleton')).toHaveCount(0)
    expect.soft(await faults(page), name).toEqual([])
    await page.evaluate(() => document.documentElement.classList.add('dark'))
    expect.soft(await faults(page, true), `${name}, indigo`).toEqual([])
    for (const size of [...SIZES, ZOOMED]) {
      await page.setViewportSize(size)
      expect.soft(await tooWide(page), `${name} at ${size.width}`).toEqual([])
    }
  })
