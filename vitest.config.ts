import { fileURLToPath } from 'node:url'
import Unimport from 'unimport/unplugin'
import { defineConfig } from 'vitest/config'

const folder = (name: string) => fileURLToPath(new URL(name, import.meta.url))

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
    include: ['test/{core,reference,api,app}/**/*.test.ts'],
    setupFiles: ['test/support/seed.ts'],
    // Both of two cores: the build machine has no other work meanwhile.
    maxWorkers: 2,
    testTimeout: 20_000,
  },
})
