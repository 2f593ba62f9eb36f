/* What a machine can find wrong with a screen: its names and colours, its width, what is cut off. */
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/** What makes the page wider than the screen, titles that are squeezed, and texts that are cut off without a sign. */
export const tooWide = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said = (one: Element) =>
      `${one.tagName} ${one.className} ${(one.textContent ?? '').trim().slice(0, 40)}`
    const wide = document.documentElement.scrollWidth - innerWidth
    // By what holds a text: a drawing has thousands of parts without any.
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    const holders = new Set<HTMLElement>()
    while (texts.nextNode()) {
      const one = texts.currentNode.parentElement
      if (one && texts.currentNode.textContent?.trim() && one.closest('main, header') && !one.closest('svg'))
        holders.add(one)
    }
    const cut = Array.from(holders).filter((one) => {
      if (one.scrollWidth <= one.clientWidth + 1 || one.clientWidth < 3) return false
      const { overflowX, textOverflow, clipPath, visibility } = getComputedStyle(one)
      const isHidden = overflowX === 'hidden' || overflowX === 'clip'
      // What is said to a screen reader alone is clipped to nothing; dots are a sign.
      return isHidden && visibility !== 'hidden' && clipPath === 'none' && textOverflow !== 'ellipsis'
    })
    // A title beside too much else stands one word a line.
    const squeezed = Array.from(document.querySelectorAll<HTMLElement>('h1')).filter((one) => {
      const { lineHeight, fontSize } = getComputedStyle(one)
      const line = Number.parseFloat(lineHeight) || 1.3 * Number.parseFloat(fontSize)
      return one.getBoundingClientRect().height > 3.6 * line
    })
    return [
      ...squeezed.map((one) => `squeezed: ${said(one)}`),
      ...(wide > 0 ? [`the page is ${wide} px wider than the screen`] : []),
      ...cut.map(said),
    ]
  })

/** Everything that a machine can find; of the second cloth its colours, since the page is the same. */
export async function faults(page: Page, isColoursOnly = false): Promise<string[]> {
  // Only what is wrong is worked out in full: half a minute of the whole.
  const axe = new AxeBuilder({ page })
    .options({ resultTypes: ['violations'], preload: false })
    // In the page itself: no screen holds a frame of another origin, and a second page for the summing up takes
    // as long again.
    .setLegacyMode(true)
    // A print says the same for each person of a group: one of them shows all that can be wrong.
    .exclude('article.sheet:nth-of-type(n + 2)')
  const { violations } = await (
    isColoursOnly
      ? axe.withRules(['color-contrast'])
      : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
  ).analyze()
  const said = violations.map(
    (fault) =>
      `${fault.id}: ${fault.nodes
        .slice(0, 3)
        .map((node) => node.html.slice(0, 160))
        .join(' | ')}`,
  )
  return [...said, ...(await nested(page))]
}

/** A control inside another one is reached twice by Tab, and a screen reader says it twice. */
const nested = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    Array.from(document.querySelectorAll('a[href] button, a[href] a, button button, button a[href]')).map(
      (one) => `a control within a control: ${one.outerHTML.slice(0, 160)}`,
    ),
  )
