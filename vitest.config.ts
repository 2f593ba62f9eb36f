import { fileURLToPath } from 'node:url'
import Unimport from 'unimport/unplugin'
import { defineConfig } from 'vitest/config'

const folder = (name: string) => fileURLToPath(new URL(name, import.meta.url))

const tests = (...folders: string[]) => folders.map((folder) => `test/${folder}/**/*.test.ts`)
/** These set what holds for the whole process: the data folder, the clock of a server, a stand-in for a module. */
const APART = [
  'bays-kept',
  'disk',
  'every-route',
  'http',
  'college',
  'instrument-server',
  'looks',
  'merge-log',
  'staff-scripts',
].map((name) => `test/api/${name}.test.ts`)
const OWN = { setupFiles: ['test/support/seed.ts'], testTimeout: 20_000, hookTimeout: 30_000 }

export default defineConfig({
  // What the application's own files need not import, they have here too.
  plugins: [
    Unimport.vite({
      presets: ['vue', 'pinia'],
      imports: ['ElMessage', 'ElMessageBox'].map((name) => ({ name, from: 'element-plus' })),
      dirs: ['./app/composables', './app/utils', './app/stores'],
      include: [/\/app\/(composables|utils|stores)\//],
    }),
  ],
  resolve: {
    alias: {
      '#core': folder('./core'),
      '#schemas': folder('./schemas'),
      '#words': folder('./words'),
      '~~': folder('./'),
      '~': folder('./app'),
    },
  },
  test: {
    // Both of two cores: the build machine has no other work meanwhile.
    maxWorkers: 2,
    projects: [
      // What is pure, or has a database of its own in memory, keeps its modules from file to file: to load them
      // anew takes longer than most of the tests.
      {
        extends: true,
        test: {
          ...OWN,
          name: 'core',
          include: tests('core', 'reference', 'api'),
          exclude: APART,
          isolate: false,
        },
      },
      { extends: true, test: { ...OWN, name: 'application', include: [...tests('app'), ...APART] } },
    ],
  },
})
