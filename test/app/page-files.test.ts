/* What a page's address brings with it: every script and style it needs, each once, none that the start has. */
import { describe, expect, test } from 'vitest'
import { pageFiles } from '../../scripts/build/page-files'

const MANIFEST = {
  'entry.mjs': { file: 'entry.js', isEntry: true, imports: ['start'] },
  start: { file: 'start.js', css: ['start.css'] },
  'layouts/default.vue': { file: 'frame.js', css: ['frame.css'], imports: ['start'] },
  work: { file: 'work.js', css: ['work.css'], imports: ['start', 'layouts/default.vue'] },
  'pages/work/[id].vue': { file: 'one.js', css: ['one.css'], imports: ['work', 'start'] },
  'pages/work/index.vue': { file: 'list.js', imports: ['start'] },
  'pages/floor.vue': { file: 'staff/floor.js', imports: ['work'] },
  'pages/sign-in.vue': { file: 'sign-in.js', imports: ['start'] },
}
const PAGES = [
  { path: '/work/:id()', file: '/app/pages/work/[id].vue' },
  { path: '/work', file: '/app/pages/work/index.vue' },
  { path: '/floor', file: '/app/pages/floor.vue' },
  { path: '/sign-in', file: '/app/pages/sign-in.vue' },
  { path: '/gone', file: '/app/pages/gone.vue' },
]
type Files = { pattern: string; scripts: string[]; styles: string[] }

function table(): readonly Files[] {
  const files = pageFiles()
  files.takePages(PAGES)
  files.takeManifest(structuredClone(MANIFEST))
  return JSON.parse(files.asModule().replace('export const PAGE_FILES = ', ''))
}
const at = (path: string) => table().find(({ pattern }) => new RegExp(pattern).test(path))

describe('the files of a page', () => {
  test('what is needed stands before what needs it, and what the start has is not named again', () => {
    expect(at('/work/12')).toMatchObject({
      scripts: ['/_nuxt/frame.js', '/_nuxt/work.js', '/_nuxt/one.js'],
      styles: ['/_nuxt/frame.css', '/_nuxt/work.css', '/_nuxt/one.css'],
    })
  })
  test('an address without a number is not taken for one with; a slash at its end changes nothing', () => {
    expect(at('/work')?.scripts).toEqual(['/_nuxt/frame.js', '/_nuxt/list.js'])
    expect(at('/work/')).toEqual(at('/work'))
    expect(at('/work/12/more')).toBeUndefined()
  })
  test('scripts of staff keep their own folder', () => {
    expect(at('/floor')?.scripts.at(-1)).toBe('/staff/floor.js')
  })
  test('whoever signs in is not sent the frame yet; a page that was not built is left out', () => {
    expect(at('/sign-in')?.scripts).toEqual(['/_nuxt/sign-in.js'])
    expect(at('/gone')).toBeUndefined()
  })
  test('nothing is fetched ahead at random beside it', () => {
    const manifest: Parameters<ReturnType<typeof pageFiles>['takeManifest']>[0] = structuredClone(MANIFEST)
    pageFiles().takeManifest(manifest)
    expect(Object.values(manifest).map(({ prefetch }) => prefetch)).not.toContain(undefined)
  })
})
