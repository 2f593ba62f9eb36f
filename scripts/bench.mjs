/* npm run bench and its like: bundled first, as the application is. What runs single files wraps each function so that
   it keeps its name, and that would be measured too. */
import { build } from 'esbuild'
import { run } from './steps.mjs'

const [name, ...rest] = process.argv.slice(2)
// One folder below the root, as what it is made of: `steps` finds the root from there.
const outfile = `.bench/${name}.mjs`
await build({
  entryPoints: [`test/bench/${name}.ts`],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  tsconfig: 'tsconfig.server.json',
  logLevel: 'error',
})
run(`Measuring: ${name}`, process.execPath, [outfile, ...rest])
