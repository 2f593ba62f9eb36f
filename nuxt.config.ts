import { cp } from 'node:fs/promises'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { writeServiceWorker } from './scripts/build/offline-shell'
import { copyStaffScripts, staffScripts } from './scripts/build/staff-scripts'

const folder = (name: string) => fileURLToPath(new URL(name, import.meta.url))

const staff = staffScripts()

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
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  hooks: {
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
      config.plugins!.push(staff.sort)
      Object.assign(((config.build!.rollupOptions ??= {}).output ??= {}), { chunkFileNames: staff.chunkName })
      const worker = { rollupOptions: { output: { entryFileNames: staff.workerName } } }
      Object.assign(config, { worker: { ...config.worker, ...worker, plugins: () => [staff.sortWorker] } })
    },
  },
  spaLoadingTemplate: 'spa-loading.html',
  typescript: { strict: true },
  nitro: {
    hooks: {
      // Threads of the server are one file of their own beside it.
      compiled: async (nitro) => {
        await copyStaffScripts(join(nitro.options.buildDir, 'dist/client'), nitro.options.output.serverDir)
        const { build } = await import('esbuild')
        await build({
          entryPoints: [folder('./server/heavy/thread.ts')],
          outfile: join(nitro.options.output.serverDir, 'heavy-worker.mjs'),
          bundle: true,
          platform: 'node',
          format: 'esm',
          tsconfig: folder('./tsconfig.paths.json'),
        })
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
