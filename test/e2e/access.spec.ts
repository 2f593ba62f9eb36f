/* Every main screen, on both cloths: no accessibility faults that a machine can find, nothing wider than the tablet. */
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, signIn, test } from './support'

const SCREENS: readonly (readonly [who: string, path: string])[] = [
  ['I-201', '/floor'], ['I-201', '/exercises'], ['I-201', '/exercises/3'], ['I-201', '/exercises/4'], ['I-201', '/exercises/4/sheets'], ['I-201', '/marking'], ['I-201', '/marking/22'], ['I-201', '/marking/groups/2'], ['I-201', '/library'], ['I-201', '/advisers'],
  ['I-201', '/records'], ['A-100', '/people'], ['A-100', '/centre'], ['S-302', '/stores'], ['T-402', '/work'], ['T-402', '/work/12'], ['T-402', '/work/2'], ['T-408', '/work/18'], ['M-503', '/work/23'], ['T-408', '/record'],
]

async function faults(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze()
  return violations.map((fault) => `${fault.id}: ${fault.nodes.slice(0, 3).map((node) => node.html.slice(0, 160)).join(' | ')}`)
}

test('screens on undyed and on indigo cloth', async ({ browser, centre }) => {
  test.setTimeout(240_000)
  const pages = new Map<string, Page>()
  for (const [who, path] of SCREENS) {
    if (!pages.has(who)) pages.set(who, (await signIn(browser, centre, who)).page)
    const page = pages.get(who)!
    await page.goto(centre + path)
    await page.locator('h1').first().waitFor()
    await expect(page.locator('.skeleton')).toHaveCount(0)
    expect.soft(await faults(page), `${who} ${path}`).toEqual([])
    await page.evaluate(() => document.documentElement.classList.add('dark'))
    // Colours of some boxes glide; the check must see where they end.
    await page.waitForTimeout(350)
    expect.soft(await faults(page), `${who} ${path}, indigo`).toEqual([])
    expect.soft(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth), `${path} fits`).toBeLessThanOrEqual(0)
  }
})
