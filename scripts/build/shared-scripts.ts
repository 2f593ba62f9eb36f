import type { Plugin, Rollup } from 'vite'

type ModuleInfo = Rollup.ModuleInfo

/** A module that so many pages and lazy parts need comes with all others of its kind. */
const SHARED_BY = { frame: 16, light: 3, libraries: 7, styles: 2, usual: 2, staff: 4 }
/** A layout is asked for by its name, and every page waits for it: it comes with the frame. */
const LAYOUT = /\/app\/layouts\/\w+\.vue$/
const FIRST = /\/app\/(layouts\/plain|pages\/sign-in)\.vue$/
/** What comes together is what a worksheet needs; the rest stays with the pages that ask for it. */
const USUAL_PAGE = /\/app\/pages\/work\/\[id\]\.vue$/
/** Characters before they are made small. */
const LIGHT = 4000
const LIBRARY = '/node_modules/'
const LIBRARY_STYLE = /\/element-plus\/(theme-chalk|es\/components\/[^/]+\/style)\//

/** What belongs together by its kind, where many pages need it and not every one. */
const KINDS = [
  ['dates', /\/(element-plus\/es\/components\/(date-picker|time-picker)|dayjs)|\/app\/components\/DayPicker/],
  ['tables', /\/(element-plus\/es\/components\/table)\//],
  ['drawn', /\/core\/drawing\/|\/components\/drawing\/DrawnShapes|\/assets\/drawn\.css|\/d3-(path|shape)\//],
  ['scales', /\/node_modules\/(d3-(?!path|shape)|internmap)/],
] as const

/** How a module is reached. */
interface Reached {
  /** By so many pages and lazy parts. */
  readonly count: number
  readonly isFirst: boolean
  readonly isFrame: boolean
  readonly isUsual: boolean
}

/** All modules of the application, and how they hang together. */
class Modules {
  readonly entries: ReadonlySet<string>
  /** What the entry needs, and with it every page. */
  readonly ofEntry: ReadonlySet<string>
  /** Pages and lazy parts. */
  readonly roots: ReadonlySet<string>
  readonly reached = new Map<string, Reached>()

  constructor(
    ids: readonly string[],
    private readonly info: (id: string) => ModuleInfo | null,
  ) {
    this.entries = new Set(ids.filter((id) => info(id)?.isEntry))
    this.ofEntry = new Set([...this.entries].flatMap((id) => [...this.closure(id)]))
    this.roots = new Set(ids.flatMap((id) => info(id)?.dynamicallyImportedIds ?? []))
    for (const root of this.roots) this.reachFrom(root)
  }

  private closure(root: string): Set<string> {
    const reached = new Set<string>()
    const open = [root]
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      if (reached.has(id)) continue
      reached.add(id)
      open.push(...(this.info(id)?.importedIds ?? []))
    }
    return reached
  }

  private reachFrom(root: string): void {
    for (const id of this.closure(root)) {
      if (id === root || this.ofEntry.has(id)) continue
      const of = this.reached.get(id) ?? { count: 0, isFirst: false, isFrame: false, isUsual: false }
      this.reached.set(id, {
        count: of.count + 1,
        isFirst: of.isFirst || FIRST.test(root),
        isFrame: of.isFrame || LAYOUT.test(root),
        isUsual: of.isUsual || USUAL_PAGE.test(root),
      })
    }
  }

  /** A few lines of our own that need no more than what every page has cost less there than a request does. */
  isLight(id: string): boolean {
    const own = [...this.closure(id)].filter((part) => {
      const of = this.reached.get(part)
      return of && !of.isFirst && !of.isFrame
    })
    const characters = own.reduce((sum, part) => sum + (this.info(part)?.code?.length ?? 0), 0)
    return characters <= LIGHT && !own.some((part) => part.includes(LIBRARY))
  }
}

/**
 * Puts what many pages share into few scripts, since each request has a price of its own on a slow tablet:
 * what the first page needs, the frame of every page, what is computed at work, and what staff alone needs.
 */
export function sharedScripts(isForAll: (id: string) => boolean) {
  const groups = new Map<string, string>()
  const sort: Plugin = {
    name: 'shared-scripts',
    renderStart() {
      const modules = new Modules([...this.getModuleIds()], (id) => this.getModuleInfo(id))
      for (const id of modules.ofEntry) if (!modules.entries.has(id)) groups.set(id, 'start')
      for (const [id, of] of modules.reached) {
        if (modules.roots.has(id)) continue
        const isShared = of.count >= SHARED_BY.light && isForAll(id) && !id.includes(LIBRARY) && !kindOf(id)
        const group = isShared && modules.isLight(id) ? 'frame' : groupFor(id, of, isForAll(id))
        if (group) groups.set(id, group)
      }
      for (const root of [...modules.roots].filter((id) => LAYOUT.test(id)))
        groups.set(root, FIRST.test(root) ? 'start' : 'frame')
    },
  }
  return { sort, groupOf: (id: string): string | undefined => groups.get(id) }
}

const kindOf = (id: string): string | undefined => KINDS.find(([, pattern]) => pattern.test(id))?.[0]

function groupFor(id: string, { count, isFirst, isFrame, isUsual }: Reached, isForAll: boolean) {
  if (isFirst) return 'start'
  if (isFrame) return 'frame'
  if (!isForAll) return count >= SHARED_BY.staff ? 'desk' : undefined
  const kind = kindOf(id)
  if (kind) return kind
  if (isUsual && count >= SHARED_BY.frame) return 'frame'
  if (isUsual && count >= SHARED_BY.usual) return 'work'
  if (LIBRARY_STYLE.test(id)) return count >= SHARED_BY.styles ? 'forms' : undefined
  return id.includes(LIBRARY) && count >= SHARED_BY.libraries ? 'forms' : undefined
}
