/* Everything that is printed stays on its page: measured at the width of the paper, nothing of a text is cut or leaves it. */
import { expect, signIn, test } from './support'
import type { Page } from '@playwright/test'

test.use({ file: 'print' })

/** What lies between the margins, mm as CSS pixels. */
const px = (mm: number): number => Math.floor((mm * 96) / 25.4)
const PORTRAIT = px(210 - 2 * 15)
const LANDSCAPE = px(297 - 2 * 12)

/** Texts that leave the paper or are cut off by what they stand in. */
const cutTexts = (page: Page, width: number): Promise<string[]> =>
  page.evaluate(
    ([upright, across]) => {
      const cut: string[] = []
      const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const text = node.textContent?.trim()
        const parent = node.parentElement
        if (!text || !parent || !parent.checkVisibility({ visibilityProperty: true })) continue
        const range = document.createRange()
        range.selectNodeContents(node)
        const { left, right, width: wide } = range.getBoundingClientRect()
        if (wide === 0) continue
        // A wide table has a page of its own that lies across.
        const paper = parent.closest('.wide-print') ? across! : upright!
        let isCut = right > paper + 1 || left < -1
        for (let box: HTMLElement | null = parent; box && !isCut; box = box.parentElement) {
          const { overflowX } = getComputedStyle(box)
          if (overflowX !== 'visible' && right > box.getBoundingClientRect().right + 1) isCut = true
        }
        if (isCut) cut.push(text.slice(0, 40))
      }
      return cut
    },
    [width, LANDSCAPE],
  )

const PRINTS: readonly (readonly [name: string, who: string, path: string, width: number, tab?: string])[] = [
  ['schedule of results', 'I-201', '/papers/@board', LANDSCAPE],
  ['minor works record', 'I-201', '/papers/@board', PORTRAIT, 'Minor works record'],
  ['installation record', 'I-201', '/papers/@board', PORTRAIT, 'Installation record'],
  ['task sheets', 'I-201', '/exercises/2/sheets', PORTRAIT],
  ['answers of a board', 'I-201', '/exercises/4/sheets', PORTRAIT, 'Answers'],
  ['circuit chart', 'I-201', '/exercises/4/sheets', PORTRAIT, 'Circuit chart'],
  ['materials', 'I-201', '/exercises/4/sheets', PORTRAIT, 'Materials'],
  ['plan of a session', 'I-201', '/plan/1/print', PORTRAIT],
  ['progress review', 'I-201', '/talk/@person', PORTRAIT],
  ['verification', 'I-201', '/verification', PORTRAIT],
  ['survey report', 'S-301', '/surveys/1/report', PORTRAIT],
]

test('every print stays on its paper', async ({ browser, centre }) => {
  test.slow()
  const pages = new Map<string, Page>()
  for (const [name, who, path, width, tab] of PRINTS) {
    const page = pages.get(who) ?? (await signIn(browser, centre, who)).page
    pages.set(who, page)
    await page.emulateMedia({ media: 'screen' })
    await page.setViewportSize({ width: 1280, height: 900 })
    const pile = (await (await page.request.get(`${centre}/api/marking`)).json()) as {
      id: number
      code: string
    }[]
    const people = (await (await page.request.get(`${centre}/api/people`)).json()) as {
      id: number
      number: string
    }[]
    const to = path
      .replace('@board', String(pile.find(({ code }) => code === 'T-05')!.id))
      .replace('@person', String(people.find(({ number }) => number === 'T-401')!.id))
    await page.goto(`${centre}${to}`)
    if (tab) await page.getByText(tab, { exact: true }).first().click()
    await page.locator('h1, h2').first().waitFor()
    await page.waitForLoadState('networkidle')
    await page.emulateMedia({ media: 'print' })
    await page.setViewportSize({ width, height: 1100 })
    expect.soft(await cutTexts(page, width), name).toEqual([])
  }
})
