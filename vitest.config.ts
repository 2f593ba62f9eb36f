import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const folder = (name: string) => fileURLToPath(new URL(name, import.meta.url))

export default defineConfig({
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
