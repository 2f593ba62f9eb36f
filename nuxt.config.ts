import { cp } from 'node:fs/promises'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const folder = (name: string) => fileURLToPath(new URL(name, import.meta.url))

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
  spaLoadingTemplate: 'spa-loading.html',
  typescript: { strict: true },
  nitro: {
    hooks: {
      // Threads of the server are one file of their own beside it.
      compiled: async (nitro) => {
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
