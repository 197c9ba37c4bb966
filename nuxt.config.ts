import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'
import vuetify from 'vite-plugin-vuetify'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
/** For what is no page; pages get theirs with the hash of the script in them (server/plugins/headers.ts). */
const STRICT_POLICY = 'default-src \'self\'; object-src \'none\'; frame-ancestors \'none\'; base-uri \'none\'; form-action \'none\''
const HEADERS = {
  'content-security-policy': STRICT_POLICY, 'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin', 'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin', 'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()',
}

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@nuxt/eslint'],
  ssr: false,
  components: false,
  // Imports are written out, so that lint and the fence see them.
  imports: { autoImport: false },
  devtools: { enabled: false },
  app: {
    head: {
      htmlAttrs: { lang: 'en' }, title: 'Veldmoor',
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' }, { name: 'theme-color', content: '#F7F2E8' },
        // Filled in with each answer (server/plugins/headers.ts).
        { name: 'style-nonce', content: 'none' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  css: ['~/style/fonts.css', 'vuetify/styles', '~/style/base.css', '~/style/slips.css', '~/style/print.css'],
  // A build works in a folder of its own, so that lint and types may read theirs meanwhile.
  ...(process.env.VELDMOOR_BUILD ? { buildDir: here('./node_modules/.cache/veldmoor-build') } : {}),
  alias: { '#core': here('./core'), '#shared': here('./shared') },
  build: { transpile: ['vuetify'] },
  // Nothing ahead of its time: a tablet on a weak line fetches a room when it goes there.
  experimental: { defaults: { nuxtLink: { prefetch: false } } },
  compatibilityDate: '2026-11-01',
  nitro: {
    imports: false,
    compressPublicAssets: { gzip: true, brotli: true },
    // Each build has a folder of its own, so that a running shop keeps the files it was started with.
    ...(process.env.VELDMOOR_BUILD ? { output: { dir: process.env.VELDMOOR_BUILD } } : {}),
    routeRules: {
      '/**': { headers: HEADERS },
      '/api/**': { headers: { 'cache-control': 'no-store' } },
    },
    rollupConfig: { onwarn: (warning, warn) => { if (warning.code !== 'CIRCULAR_DEPENDENCY') warn(warning) } },
  },
  vite: {
    plugins: [vuetify({ autoImport: true })],
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 1600 },
  },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  postcss: {
    plugins: {
      '@csstools/postcss-global-data': { files: [here('./app/style/widths.css')] },
      'postcss-custom-media': {},
    },
  },
  telemetry: false,
  hooks: {
    // Work aside has its own bundle: a thread takes the arithmetic along, not the whole server.
    'nitro:init': (nitro) => {
      nitro.hooks.hook('compiled', async ({ options }) => {
        await build({
          configFile: false,
          publicDir: false,
          logLevel: 'warn',
          resolve: { alias: { '#core': here('./core'), '#shared': here('./shared') } },
          ssr: { noExternal: true, external: ['sequelize', 'mariadb'] },
          build: {
            ssr: here('./server/aside/worker.ts'),
            outDir: join(options.output.serverDir, 'aside'),
            rollupOptions: { output: { entryFileNames: 'worker.mjs' } },
          },
        })
      })
    },
    // Nor does the page's head name scripts of other rooms.
    'build:manifest': (manifest) => {
      for (const part of Object.values(manifest)) Object.assign(part, { prefetch: false, dynamicImports: [] })
    },
  },
  eslint: { config: { stylistic: true } },
})
