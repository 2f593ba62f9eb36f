import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: 'test/e2e',
  globalSetup: './test/e2e/demo-once.ts',
  timeout: 90_000,
  // Each has a centre of its own; two cores carry two. Nothing is tried again: what fails once is a fault to
  // be found.
  workers: 2,
  retries: 0,
  // On a loaded machine of two cores an answer may take longer than on an idle one.
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    // What a test says of the network must reach the page; those of the offline shell allow it.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    actionTimeout: 15_000,
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
