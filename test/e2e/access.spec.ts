/* Every main screen, on both cloths: no accessibility faults that a machine can find; on desk, tablet and phone nothing wider than the screen, no text cut off. */
import type { ConsoleMessage, Page } from '@playwright/test'
import { SCREENS, SIZES, ZOOMED } from '../support/screens'
import { faults, tooWide } from './screen-faults'
import { SCREEN, expect, signIn, test } from './support'

test.use({ file: 'access' })

/** What a page throws, as it is told; what the server refuses is told otherwise. */
const THROWN = /(Type|Reference|Range|Syntax)?Error: (?!Failed to load)/

// Screen by screen nothing depends on another: they are shared out.
test.describe.configure({ mode: 'parallel' })
const EACH = 6
for (let from = 0; from < SCREENS.length; from += EACH) {
  const own = SCREENS.slice(from, from + EACH)
  test(`on undyed and on indigo cloth: ${own[0]![1]} to ${own.at(-1)![1]}`, async ({ browser, centre }) => {
    test.setTimeout(180_000)
    const pages = new Map<string, Page>()
    for (const [who, path] of own) {
      if (!pages.has(who)) pages.set(who, (await signIn(browser, centre, who)).page)
      const page = pages.get(who)!
      const thrown: string[] = []
      const note = (message: ConsoleMessage) => {
        if (message.type() === 'error' && THROWN.test(message.text())) thrown.push(message.text())
      }
      page.on('console', note)
      await page.goto(centre + path)
      await page.locator('h1').first().waitFor()
      await expect(page.locator('.skeleton')).toHaveCount(0)
      expect.soft(await faults(page), `${who} ${path}`).toEqual([])
      await page.evaluate(() => document.documentElement.classList.add('dark'))
      expect.soft(await faults(page, true), `${who} ${path}, indigo`).toEqual([])
      for (const size of [...SIZES, ZOOMED]) {
        await page.setViewportSize(size)
        expect.soft(await tooWide(page), `${who} ${path} at ${size.width}`).toEqual([])
      }
      await page.setViewportSize(SCREEN.viewport)
      page.off('console', note)
      expect.soft(thrown, `${who} ${path} throws nothing`).toEqual([])
    }
  })
}
