import { cp } from 'node:fs/promises'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { compileAhead } from './scripts/build/compile-ahead'
import { writeServiceWorker } from './scripts/build/offline-shell'
import { pageFiles } from './scripts/build/page-files'
import { bundleThreads } from './scripts/build/server-threads'
import { sharedScripts } from './scripts/build/shared-scripts'
import { copyStaffScripts, staffScripts } from './scripts/build/staff-scripts'

const folder = (name: string) => fileURLToPath(new URL(name, import.meta.url))

const staff = staffScripts()
const shared = sharedScripts(staff.isForAll)
const files = pageFiles()

export default defineNuxtConfig({
  compatibilityDate: '2026-06-01',
  // Everything stands behind a sign-in and must work when the network drops, so the page is built in the browser.
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt', '@element-plus/nuxt'],
  elementPlus: { importStyle: 'css', icon: false },
  components: [{ path: '~/components', pathPrefix: false }],
  css: [
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '@fontsource-variable/atkinson-hyperlegible-mono/index.css',
    '~/assets/tokens.css',
    '~/assets/element.css',
    '~/assets/base.css',
    '~/assets/print.css',
  ],
  alias: { '#core': folder('./core'), '#words': folder('./words'), '#schemas': folder('./schemas') },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Nakshi',
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'color-scheme', content: 'light dark' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' },
        // Who is signed in is asked while the scripts are still on their way.
        { rel: 'preload', as: 'fetch', href: '/api/session', crossorigin: 'anonymous' },
      ],
    },
  },
  hooks: {
    // The two fonts of every page come with the page, not with the first text that is set in them.
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest))
        if (file.resourceType === 'font' && /-latin-wght-normal\./.test(file.file)) file.preload = true
      files.takeManifest(manifest)
    },
    'pages:resolved': files.takePages,
    'nitro:build:public-assets': async (nitro) => {
      const { publicDir } = nitro.options.output
      await writeServiceWorker(
        folder('./app/service-worker/sw.ts'),
        publicDir,
        folder('./tsconfig.paths.json'),
      )
    },
    'vite:extendConfig': (config, { isClient }) => {
      if (!isClient) return
      config.plugins!.push(staff.sort, shared.sort, compileAhead())
      Object.assign(((config.build!.rollupOptions ??= {}).output ??= {}), {
        chunkFileNames: staff.chunkName,
        manualChunks: shared.groupOf,
        onlyExplicitManualChunks: true,
      })
      const worker = { rollupOptions: { output: { entryFileNames: staff.workerName } } }
      Object.assign(config, { worker: { ...config.worker, ...worker, plugins: () => [staff.sortWorker] } })
    },
  },
  spaLoadingTemplate: 'spa-loading.html',
  typescript: { strict: true },
  nitro: {
    virtual: { '#page-files': files.asModule },
    hooks: {
      compiled: async (nitro) => {
        await copyStaffScripts(join(nitro.options.buildDir, 'dist/client'), nitro.options.output.serverDir)
        await bundleThreads(nitro.options.output.serverDir)
        await cp(folder('./server/db/migrations'), join(nitro.options.output.serverDir, 'migrations'), {
          recursive: true,
        })
      },
    },
    compressPublicAssets: { gzip: true, brotli: true },
    routeRules: {
      '/**': {
        headers: {
          ...(process.env.NAKSHI_HTTPS === '1' ? { 'strict-transport-security': 'max-age=31536000' } : {}),
          'x-content-type-options': 'nosniff',
          'referrer-policy': 'same-origin',
        },
      },
    },
  },
})
