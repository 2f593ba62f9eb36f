/* Which scripts come together: what the first page needs, the frame, what is computed at work, what staff alone opens. */
import { describe, expect, it } from 'vitest'
import { sharedScripts } from '../../scripts/build/shared-scripts'

const page = (name: string) => `/app/pages/${name}.vue`
const LAYOUT = '/app/layouts/default.vue'
const WORK = page('work/[id]')

/** A graph of modules, as the bundler tells of it: what each imports, the pages lazily from the entry. */
function grouped(imports: Readonly<Record<string, readonly string[]>>, staff: readonly string[] = []) {
  const pages = Object.keys(imports).filter((id) => /\/app\/(pages|layouts)\//.test(id))
  const ids = [...new Set(['entry', ...Object.entries(imports).flatMap(([id, to]) => [id, ...to])])]
  const shared = sharedScripts((id) => !staff.includes(id))
  const context = {
    getModuleIds: () => ids,
    getModuleInfo: (id: string) => ({
      isEntry: id === 'entry',
      importedIds: imports[id] ?? [],
      dynamicallyImportedIds: id === 'entry' ? pages : [],
    }),
  }
  ;(shared.sort.renderStart as unknown as (this: typeof context) => void).call(context)
  return shared.groupOf
}
/** Pages that all import one module. */
const pagesWith = (count: number, id: string) =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [page(`p${i}`), [id]]))

describe('scripts that are put together', () => {
  it('what the first page needs comes with it and never with the frame, so that it stays small', () => {
    const groupOf = grouped({ [page('sign-in')]: ['/core/a.ts'], [LAYOUT]: ['/core/a.ts', '/core/b.ts'] })
    expect([groupOf('/core/a.ts'), groupOf('/core/b.ts')]).toEqual(['first', 'frame'])
  })
  it('what the entry has already, and pages themselves, are in no group', () => {
    const groupOf = grouped({ entry: ['/core/vue.ts'], [WORK]: ['/core/vue.ts'] })
    expect([groupOf('/core/vue.ts'), groupOf(WORK)]).toEqual([undefined, undefined])
  })
  it('a layout, for which every page waits, comes with the frame; that of the sign-in with the first page', () => {
    const plain = '/app/layouts/plain.vue'
    const groupOf = grouped({ [LAYOUT]: [], [plain]: [], [page('sign-in')]: [] })
    expect([groupOf(LAYOUT), groupOf(plain)]).toEqual(['frame', 'first'])
  })
  it('what a worksheet computes with comes in one piece once enough pages need it', () => {
    const few = grouped({ [WORK]: ['/core/zs.ts'], ...pagesWith(5, '/core/zs.ts') })
    const many = grouped({ [WORK]: ['/core/zs.ts'], ...pagesWith(6, '/core/zs.ts') })
    const all = grouped({ [WORK]: ['/core/zs.ts'], ...pagesWith(15, '/core/zs.ts') })
    const at = '/core/zs.ts'
    expect([few(at), many(at), all(at)]).toEqual([undefined, 'work', 'frame'])
  })
  it('a large library that the worksheet does not need stays with the pages that ask for it', () => {
    const id = '/node_modules/calendar/index.mjs'
    expect(grouped(pagesWith(20, id))(id)).toBeUndefined()
  })
  it('what staff alone opens is never laid beside what everybody loads', () => {
    const id = '/core/design/reference.ts'
    const groupOf = grouped({ [WORK]: ['/core/zs.ts', id], ...pagesWith(20, id) }, [id])
    expect(groupOf(id)).toBe('desk')
  })
})
