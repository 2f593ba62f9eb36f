import type { Plugin } from 'vite'

/** A module that so many pages and lazy parts need comes with all others of its kind. */
const SHARED_BY = { frame: 16, libraries: 12, work: 7, staff: 4 }
const FRAME = /\/app\/layouts\/default\.vue$/
/** A layout is asked for by its name, and every page waits for it: it comes with the frame. */
const LAYOUT = /\/app\/layouts\/\w+\.vue$/
const FIRST_LAYOUT = /\/app\/layouts\/plain\.vue$/
/** What comes together is what a worksheet needs; the rest stays with the pages that ask for it. */
const USUAL_PAGE = /\/app\/pages\/work\/\[id\]\.vue$/
const FIRST_PAGE = /\/app\/pages\/sign-in\.vue$/

/**
 * Puts what many pages share into few scripts, since each request has a price of its own on a slow tablet:
 * what the first page needs, the frame of every page, what is computed at work, and what staff alone needs.
 */
export function sharedScripts(isForAll: (id: string) => boolean) {
  const groups = new Map<string, string>()
  const sort: Plugin = {
    name: 'shared-scripts',
    renderStart() {
      const ids = [...this.getModuleIds()]
      const closure = (root: string): Set<string> => {
        const reached = new Set<string>()
        const open = [root]
        for (let id = open.pop(); id !== undefined; id = open.pop()) {
          if (reached.has(id)) continue
          reached.add(id)
          open.push(...(this.getModuleInfo(id)?.importedIds ?? []))
        }
        return reached
      }
      const entry = new Set(
        ids.filter((id) => this.getModuleInfo(id)?.isEntry).flatMap((id) => [...closure(id)]),
      )
      const roots = new Set(ids.flatMap((id) => this.getModuleInfo(id)?.dynamicallyImportedIds ?? []))
      const uses = new Map<string, number>()
      const [first, frame, usual] = [new Set<string>(), new Set<string>(), new Set<string>()]
      for (const root of roots)
        for (const id of closure(root)) {
          if (id === root || entry.has(id)) continue
          uses.set(id, (uses.get(id) ?? 0) + 1)
          if (FIRST_PAGE.test(root)) first.add(id)
          if (FRAME.test(root)) frame.add(id)
          if (USUAL_PAGE.test(root)) usual.add(id)
        }
      for (const [id, count] of uses) {
        if (roots.has(id)) continue
        const group = groupFor({
          id,
          count,
          isFirst: first.has(id),
          isFrame: frame.has(id),
          isUsual: usual.has(id),
          isForAll: isForAll(id),
        })
        if (group) groups.set(id, group)
      }
      for (const root of [...roots].filter((id) => LAYOUT.test(id)))
        groups.set(root, FIRST_LAYOUT.test(root) ? 'first' : 'frame')
    },
  }
  return { sort, groupOf: (id: string): string | undefined => groups.get(id) }
}

interface Used {
  readonly id: string
  readonly count: number
  readonly isFirst: boolean
  readonly isFrame: boolean
  readonly isUsual: boolean
  readonly isForAll: boolean
}

function groupFor({ id, count, isFirst, isFrame, isUsual, isForAll }: Used): string | undefined {
  if (isFirst) return 'first'
  if (isFrame) return 'frame'
  if (!isForAll) return count >= SHARED_BY.staff ? 'desk' : undefined
  if (!isUsual) return undefined
  if (id.includes('/node_modules/')) return count >= SHARED_BY.libraries ? 'frame' : undefined
  if (count >= SHARED_BY.frame) return 'frame'
  return count >= SHARED_BY.work ? 'work' : undefined
}
