/* npm run bench and its like: bundled first, as the application is. What runs single files wraps each function so that
   it keeps its name, and that would be measured too. */
import { build } from 'esbuild'
import { run } from './steps.mjs'

const [name, ...rest] = process.argv.slice(2)
// One folder below the root, as what it is made of: `steps` finds the root from there. Whoever looks on while something
// is measured has a thread of their own.
const entries = [...new Set([name, 'looker'])]
await build({
  entryPoints: entries.map((entry) => `test/bench/${entry}.ts`),
  outdir: '.bench',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  tsconfig: 'tsconfig.server.json',
  logLevel: 'error',
})
run(`Measuring: ${name}`, process.execPath, [`.bench/${name}.mjs`, ...rest])
