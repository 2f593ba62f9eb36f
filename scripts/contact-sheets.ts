import { mkdirSync } from 'node:fs'
import type { Browser, Page } from '@playwright/test'
import { SCREENS, SIZES } from '../test/support/screens'

/** Not in the repository: they are looked at and thrown away. */
const FOLDER = 'contact-sheets'
const SCREENS_A_SHEET = 8
const HEIGHT = 300

interface Shot {
  readonly width: number
  readonly data: string
}

/** All screens in rows: on undyed cloth in every size, then on indigo at the desk. */
export async function contactSheets(
  browser: Browser,
  pageOf: (number: string) => Promise<Page>,
): Promise<void> {
  mkdirSync(FOLDER, { recursive: true })
  for (let from = 0; from < SCREENS.length; from += SCREENS_A_SHEET) {
    const rows: string[] = []
    for (const [who, path] of SCREENS.slice(from, from + SCREENS_A_SHEET))
      rows.push(rowOf(`${who} ${path}`, await shotsOf(await pageOf(who), path)))
    const sheet = await browser.newPage({ viewport: { width: 1480, height: 900 } })
    await sheet.setContent(
      `<body style="margin:12px;font:14px sans-serif;background:#888;color:#fff">${rows.join('')}</body>`,
    )
    const name = String(1 + from / SCREENS_A_SHEET).padStart(2, '0')
    await sheet.screenshot({ path: `${FOLDER}/${name}.png`, fullPage: true })
    await sheet.close()
  }
}

async function shotsOf(page: Page, path: string): Promise<Shot[]> {
  await page.goto(path)
  await page.locator('h1').first().waitFor()
  await page.waitForTimeout(500)
  const shots: Shot[] = []
  const take = async (width: number) => {
    const bytes = await page.screenshot({ type: 'jpeg', quality: 60 })
    shots.push({ width, data: bytes.toString('base64') })
  }
  for (const size of SIZES) {
    await page.setViewportSize(size)
    await take((HEIGHT * size.width) / size.height)
  }
  await page.setViewportSize(SIZES[0])
  await page.evaluate(() => document.documentElement.classList.add('dark'))
  await take((HEIGHT * SIZES[0].width) / SIZES[0].height)
  await page.evaluate(() => document.documentElement.classList.remove('dark'))
  return shots
}

const rowOf = (says: string, shots: readonly Shot[]): string =>
  `<p style="margin:14px 0 4px">${says}</p><div style="display:flex;gap:10px">${shots
    .map(
      ({ width, data }) =>
        `<img width="${Math.round(width)}" height="${HEIGHT}" src="data:image/jpeg;base64,${data}">`,
    )
    .join('')}</div>`
