/* Benchmarks of the screens in a browser whose processor is four times slower: until somebody can work, the longest
   task while they do, scripts, memory. Part of npm run bench. */
import { chromium, type Browser, type CDPSession, type Page } from '@playwright/test'
import { DEMO_PASSWORD } from '../../demo/story'
import { report } from './report'
import { medianOfQuiet } from './rounds'

const LIMITS = { readyMs: 1500, taskMs: 50, firstScriptKB: 150, furtherScriptKB: 120, growth: 0.2 }

interface Screen {
  readonly page: Page
  readonly cdp: CDPSession
}

/** A page of its own, signed in, slowed down. */
async function screenOf(browser: Browser, base: string, rate: number, number?: string): Promise<Screen> {
  const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } })
  if (number) await context.request.post('/api/session', { data: { number, password: DEMO_PASSWORD } })
  const page = await context.newPage()
  const cdp = await context.newCDPSession(page)
  await cdp.send('Emulation.setCPUThrottlingRate', { rate })
  return { page, cdp }
}

/** From the address to the mark that somebody can work with, ms; scripts that came, kB brotli. */
async function readyAt(browser: Browser, base: string, [number, path, mark]: View) {
  let scripts = new Map<string, number>()
  const ms = await medianOfQuiet(async (rate) => {
    const { page } = await screenOf(browser, base, rate, number || undefined)
    scripts = new Map()
    const ahead = new Map<string, number>()
    const sizes: Promise<void>[] = []
    page.on('requestfinished', (request) => {
      const { pathname } = new URL(request.url())
      const isAhead =
        request.headers()['sec-purpose'] === 'prefetch' || request.headers().purpose === 'prefetch'
      // What was fetched ahead weighs nothing when it is used: its weight is that of the first time.
      const into = isAhead ? ahead : scripts
      if (pathname.endsWith('.js'))
        sizes.push(
          request.sizes().then(
            ({ responseBodySize }) =>
              void into.set(pathname, Math.max(responseBodySize, into.get(pathname) ?? 0)),
            // What comes as the page is closed is no part of it.
            () => undefined,
          ),
        )
    })
    const from = performance.now()
    await page.goto(path)
    await page.locator(mark).first().waitFor()
    const ready = performance.now() - from
    await page.waitForTimeout(600)
    await Promise.all(sizes)
    for (const [name, size] of scripts) scripts.set(name, Math.max(size, ahead.get(name) ?? 0))
    await page.context().close()
    return ready
  })
  const kB = [...scripts.values()].reduce((sum, size) => sum + size, 0) / 1024
  return { ms, kB, names: new Set(scripts.keys()), sizes: scripts }
}
type View = readonly [number: string, path: string, mark: string]

/** Takes hold of what is needed; the answer is done while tasks are counted. */
type Work = (page: Page) => Promise<() => Promise<void>>
interface Task {
  readonly name: string
  readonly ph: string
  readonly pid: number
  readonly tid: number
  /** Time of the thread itself, µs. */
  readonly tdur?: number
  readonly args: { readonly name?: string }
}

/**
 * The longest task of the page while something is done, ms. The thread's own time: server, painting and this bench
 * share two cores with it, as on no tablet.
 */
const longestTask = (
  browser: Browser,
  base: string,
  [number, path, mark]: View,
  work: Work,
): Promise<number> =>
  medianOfQuiet(async (rate) => {
    const { page } = await screenOf(browser, base, rate, number)
    await page.goto(path)
    await page.locator(mark).first().waitFor()
    await page.waitForTimeout(2500)
    const act = await work(page)
    await page.waitForTimeout(400)
    await browser.startTracing(page, {
      categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'],
    })
    await act()
    await page.waitForTimeout(400)
    const { traceEvents } = JSON.parse(String(await browser.stopTracing())) as { traceEvents: Task[] }
    await page.context().close()
    return longestOf(traceEvents)
  })

/** Of the thread of the page that has taken keys or touches. */
function longestOf(events: readonly Task[]): number {
  const touched = new Set(events.flatMap(({ name, pid }) => (name === 'EventDispatch' ? pid : [])))
  const main = events.find(
    ({ name, args, pid }) => name === 'thread_name' && args.name === 'CrRendererMain' && touched.has(pid),
  )
  if (!main) throw new Error('nothing was touched while tasks were counted')
  const tasks = events.filter(
    ({ name, ph, pid, tid }) => name === 'RunTask' && ph === 'X' && pid === main.pid && tid === main.tid,
  )
  if (tasks.length === 0) throw new Error('no task was counted')
  return Math.max(...tasks.map(({ tdur = 0 }) => tdur / 1000))
}

/** As a hand types: about ten keys a second. Keys go to the focus, since looking a box up is no work of the page. */
const typeIn =
  (box: string): Work =>
  async (page) => {
    await page.locator(box).focus()
    await page.keyboard.press('End')
    return async () => {
      for (let i = 0; i < 20; i += 1) {
        await page.keyboard.press(i % 2 ? 'Backspace' : '1')
        await page.waitForTimeout(100)
      }
    }
  }
const typeInBuilder: Work = async (page) => {
  await page.getByRole('button', { name: 'Duplicate' }).first().click()
  await page.locator('[name="c3.length"]').waitFor()
  await page.waitForTimeout(3000)
  return typeIn('[name="c3.length"]')(page)
}
/** For so long a finger rests on what it touches, ms. */
const PRESS_MS = 70
const WIRED = ['b1w1.L out', 'c1p1.L', 'b1nA.2', 'c1p1.N', 'b1e.2', 'c1p1.E', 'b1w2.L out', 'c2p0.C']
const wire: Work = async (page) => {
  const places: { readonly x: number; readonly y: number }[] = []
  for (const ref of WIRED) {
    const { x, y, width, height } = (await page.locator(`[data-terminal="${ref}"]`).boundingBox())!
    places.push({ x: x + width / 2, y: y + height / 2 })
  }
  return async () => {
    for (const { x, y } of places) {
      await page.mouse.click(x, y, { delay: PRESS_MS })
      await page.waitForTimeout(150)
    }
  }
}
const dragCorner: Work = async (page) => {
  const corner = (await page.getByTestId('corner-5').boundingBox())!
  const [x, y] = [corner.x + corner.width / 2, corner.y + corner.height / 2]
  await page.mouse.move(x, y)
  return async () => {
    await page.mouse.down()
    // Up, and down again: each round finds the run as it was.
    for (let i = 0; i < 60; i += 1) {
      await page.mouse.move(x, y - Math.min(i, 60 - i))
      await page.waitForTimeout(25)
    }
    await page.mouse.up()
  }
}
const zoomScene: Work = async (page) => {
  const box = (await page.locator('svg').last().boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  return async () => {
    for (let i = 0; i < 12; i += 1) {
      await page.mouse.wheel(0, i % 2 ? 120 : -240)
      await page.waitForTimeout(60)
    }
  }
}

/**
 * From the floor by its link to a pile of so many sheets, until its first page stands there. Somebody has been there
 * before on this device: the first time code of a page is read, as of every page.
 */
const PILE = 500
const openPile: Work = async (page) => {
  const sheets = (await (await page.request.get('/api/marking')).json()) as { readonly id: number }[]
  const pile = Array.from({ length: PILE }, (_, i) => ({ ...sheets[i % sheets.length]!, id: i + 1 }))
  await page.route('**/api/marking', (route) => route.fulfill({ json: pile }))
  const [floor, pileLink] = ['/floor', '/marking'].map((to) => page.locator(`header a[href="${to}"]`))
  const open = async () => {
    await pileLink!.click()
    await page.locator('main tbody tr').nth(19).waitFor()
  }
  await open()
  await floor!.click()
  await page.waitForTimeout(1500)
  await pileLink!.hover()
  return open
}

/** Heap after the tenth and after the fiftieth change of page, grown by this share. */
async function heapGrowth(browser: Browser, base: string): Promise<number> {
  const { page, cdp } = await screenOf(browser, base, 1, 'I-201')
  await page.goto('/floor')
  await page.locator('h1').first().waitFor()
  const usedMB = async () => {
    await cdp.send('HeapProfiler.collectGarbage')
    const { usedSize } = (await cdp.send('Runtime.getHeapUsage')) as { usedSize: number }
    return usedSize / 1024 / 1024
  }
  const paths = ['/exercises', '/marking', '/records', '/floor', '/exercises/4']
  const go = async (path: string) => {
    await page.evaluate(`void window.useNuxtApp().$router.push(${JSON.stringify(path)})`)
    await page.waitForURL(`**${path}`)
    await page.waitForTimeout(250)
  }
  let first = 0
  for (let i = 0; i < 50; i += 1) {
    await go(paths[i % paths.length]!)
    if (i === 9) first = await usedMB()
  }
  const last = await usedMB()
  await page.context().close()
  return last / first - 1
}

/** All of it, on a server with the demo. */
export async function benchScreens(base: string, chrome: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: chrome,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  let known = new Set<string>()
  const views: readonly (readonly [name: string, view: View])[] = [
    ['sign-in', ['', '/sign-in', '[name=number]']],
    ['my tasks', ['T-403', '/work', 'h1']],
    ['worksheet', ['T-402', '/work/12', 'main input']],
    ['floor', ['I-201', '/floor', 'h1']],
    ['marking', ['I-201', '/marking', 'h1']],
  ]
  for (const [name, view] of views) {
    const { ms, kB, names, sizes } = await readyAt(browser, base, view)
    report(`Four times slower: ${name} ready`, ms, 'ms', LIMITS.readyMs)
    const further = [...sizes].reduce((sum, [path, size]) => sum + (known.has(path) ? 0 : size), 0) / 1024
    if (known.size === 0) report(`… script of the first screen, brotli`, kB, 'kB', LIMITS.firstScriptKB)
    else report(`… script more than before it`, further, 'kB', LIMITS.furtherScriptKB)
    known = new Set([...known, ...names])
  }
  const works: readonly (readonly [name: string, view: View, work: Work])[] = [
    ['typing in the worksheet', ['T-402', '/work/12', 'main input'], typeIn('main input >> nth=0')],
    [
      'wiring in the virtual bay',
      ['I-201', '/practice/bays/practice-heaters', '[data-terminal="b1w1.L out"]'],
      wire,
    ],
    ['dragging a fitting', ['I-201', '/runs/1', '[data-testid="corner-5"]'], dragCorner],
    ['zooming a drawn scene', ['T-408', '/practice/inspection', 'main button'], zoomScene],
    ['typing in the builder', ['I-201', '/exercises/4', 'h1'], typeInBuilder],
    [`opening a pile of ${PILE}`, ['I-201', '/floor', 'h1'], openPile],
  ]
  for (const [name, view, work] of works)
    report(`Longest task while ${name}`, await longestTask(browser, base, view, work), 'ms', LIMITS.taskMs)
  report(
    'Memory after fifty changes of page, over ten',
    100 * (await heapGrowth(browser, base)),
    '%',
    100 * LIMITS.growth,
  )
  await browser.close()
}
