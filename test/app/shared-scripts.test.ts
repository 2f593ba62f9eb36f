/* Which scripts come together: of the first page, of the frame, of what is computed at work, of staff alone. */
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
      code: ' '.repeat(id.includes('large') ? 40_000 : 400),
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
  it('what the first page needs comes with the start and never with the frame, so that it stays small', () => {
    const groupOf = grouped({ [page('sign-in')]: ['/core/a.ts'], [LAYOUT]: ['/core/a.ts', '/core/b.ts'] })
    expect([groupOf('/core/a.ts'), groupOf('/core/b.ts')]).toEqual(['start', 'frame'])
  })
  it('what the entry needs is in one piece with it; the entry and pages themselves are in no group', () => {
    const groupOf = grouped({ entry: ['/core/vue.ts'], [WORK]: ['/core/vue.ts'] })
    expect(['/core/vue.ts', 'entry', WORK].map(groupOf)).toEqual(['start', undefined, undefined])
  })
  it('a layout, for which every page waits, comes with the frame; that of the sign-in with the start', () => {
    const plain = '/app/layouts/plain.vue'
    const groupOf = grouped({ [LAYOUT]: [], [plain]: [], [page('sign-in')]: [] })
    expect([groupOf(LAYOUT), groupOf(plain)]).toEqual(['frame', 'start'])
  })
  it('what a worksheet computes with comes in one piece once another page needs it, with the frame once all do', () => {
    const at = '/core/large-zs.ts'
    const alone = grouped({ [WORK]: [at] })
    const two = grouped({ [WORK]: [at], ...pagesWith(1, at) })
    const all = grouped({ [WORK]: [at], ...pagesWith(15, at) })
    expect([alone(at), two(at), all(at)]).toEqual([undefined, 'work', 'frame'])
  })
  it('a few lines that some pages share come with the frame, unless they need a library of their own', () => {
    const groupOf = grouped({
      ...pagesWith(4, '/app/stages.ts'),
      ...Object.fromEntries([5, 6, 7].map((n) => [page(`q${n}`), ['/app/day.ts']])),
      '/app/day.ts': ['/node_modules/calendar/index.mjs'],
    })
    expect([groupOf('/app/stages.ts'), groupOf('/app/day.ts')]).toEqual(['frame', undefined])
  })
  it('a library of boxes comes in one piece where many pages need it; a table and a calendar by themselves', () => {
    const [select, table] = ['select', 'table'].map(
      (name) => `/node_modules/element-plus/es/components/${name}/index.mjs`,
    )
    const rare = '/node_modules/calendar/index.mjs'
    const groupOf = (id: string) => grouped(pagesWith(8, id))(id)
    expect([groupOf(select!), groupOf(table!), grouped(pagesWith(3, rare))(rare)]).toEqual([
      'forms',
      'tables',
      undefined,
    ])
  })
  it('what staff alone opens is never laid beside what everybody loads', () => {
    const id = '/core/design/reference.ts'
    const groupOf = grouped({ [WORK]: ['/core/zs.ts', id], ...pagesWith(20, id) }, [id])
    expect(groupOf(id)).toBe('desk')
  })
})
