import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const place = (path: string) => fileURLToPath(new URL(`../../${path}`, import.meta.url))

/** Each thread of the server becomes one file of its own in `folder`, where the built server looks for it. */
export async function bundleThreads(folder: string): Promise<void> {
  await build({
    entryPoints: {
      'heavy-worker': place('server/heavy/thread.ts'),
      'looks-thread': place('server/looks/thread.ts'),
    },
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    // One copy of the database's driver in the process: two would not know of each other's locks.
    external: ['better-sqlite3', 'piscina'],
    tsconfig: place('tsconfig.paths.json'),
  })
}
