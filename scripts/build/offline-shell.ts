import { createHash } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { join, relative } from 'node:path'
import { build } from 'esbuild'

const KEPT = /\.(js|css|woff2|svg)$/
/** What only older or foreign writing needs is fetched when it is asked for. */
const NOT_KEPT = /(cyrillic|greek|vietnamese)/

/** Every file that a page of the bay may need, by its address. */
function shellFiles(publicDir: string): { url: string; revision: string | null }[] {
  const files = readdirSync(publicDir, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && KEPT.test(entry.name) && !NOT_KEPT.test(entry.name))
    .map((entry) => relative(publicDir, join(entry.parentPath, entry.name)))
    .filter((file) => file !== 'sw.js')
    .sort()
  const version = createHash('sha256').update(files.join('\n')).digest('hex').slice(0, 16)
  return [
    { url: '/', revision: version },
    // Names under _nuxt carry a hash of what is in them.
    ...files.map((file) => ({ url: `/${file}`, revision: file.startsWith('_nuxt/') ? null : version })),
  ]
}

/** Writes the service worker of this build beside the public files. */
export const writeServiceWorker = (entry: string, publicDir: string, tsconfig: string): Promise<unknown> =>
  build({
    entryPoints: [entry],
    outfile: join(publicDir, 'sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    tsconfig,
    define: { SHELL_FILES: JSON.stringify(shellFiles(publicDir)), 'process.env.NODE_ENV': '"production"' },
  })
