import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, constants } from 'node:zlib'
import words from '@intlify/unplugin-vue-i18n/vite'
import vue from '@vitejs/plugin-vue'
import type { Plugin } from 'vite'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/** Writes a brotli copy beside every text asset, so that the server never compresses twice.
 * After everything is written: Vite still changes chunks while the bundle is generated. */
function precompressed(): Plugin {
  return {
    name: 'precompressed',
    apply: 'build',
    writeBundle({ dir = 'dist' }, bundle) {
      const params = { [constants.BROTLI_PARAM_QUALITY]: 11 }
      for (const fileName of Object.keys(bundle)) {
        if (!/\.(js|css|svg)$/.test(fileName)) continue
        const file = join(dir, fileName)
        writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file), { params }))
      }
    },
  }
}

/** What makes a PDF is as large as all the rest: it comes from the house when it is asked for. */
const KEPT_MOST_BYTES = 1_500_000

const BELIEVED =
  /core.src.(basics.statistics|facts.(feeding|subjects|holds|looking|residents|lots|readings|health|count|growth|cleaning|skin).|plans.(lots|readings|winterRest|growth).|judging.(feeding.(?!otherPrey)|holds.|looking.|residents.|lots.|readings.|health.|winterRest.|cadence.|growth.|skin.(?!ecdysisWindow|skinCourse)|weightTrend.(?!weightBand)|renewal.nextInterval|verdicts.(?!lifeOn|proposals|recordSays|evidence)))/
/** The kinds of fact, and what only they stand on. */
const FOLDS =
  /core.src.facts.(feeding.(fed|bowl)|holds.(held|released|saidHolds)|skin.(ecdysis|oldSkin|skinCleared)|looking.(looked|droppings|checked|companionDied|sightings)|count.(counted|accounted|gained|parted|withCount)|growth.(weighed|measured)|health.(condition|observed)|residents.(arrived|beginStay|described|died|examined|expected|left|lost|merged|moved|permitted|photographed|registered|schooled|staged|withoutSome|residentKinds?|residentFamily)|lots.(floorKept|floorChecked|floorDisposed|lotFamily)|subjects.families)\.ts/

export default defineConfig({
  root: import.meta.dirname,
  // Buttons ask for waves under a finger, which we never show, and pay for them whenever they are drawn.
  resolve: { alias: { 'primevue/ripple': join(import.meta.dirname, 'src/app/noRipple.ts') } },
  plugins: [
    vue(),
    // Sentences are made ready here: the page carries no compiler for them.
    words({ dropMessageCompiler: true, include: [join(import.meta.dirname, 'src/words/en/**')] }),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/kept',
      filename: 'serviceWorker.ts',
      injectRegister: null,
      // The server writes the page anew each time: it is kept as it came, under its address.
      injectManifest: {
        globPatterns: ['assets/*.{js,css,woff2}', '*.{svg,png,html}'],
        manifestTransforms: [
          (entries) => ({
            manifest: entries
              .filter(({ size }) => size < KEPT_MOST_BYTES)
              .map((entry) => (entry.url === 'index.html' ? { ...entry, url: '/' } : entry)),
          }),
        ],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
      },
      manifest: {
        name: 'Kobrin',
        short_name: 'Kobrin',
        description: 'The shared daily record for people who keep many small animals.',
        id: '/',
        start_url: '/walk',
        display: 'standalone',
        background_color: '#f2ecdf',
        theme_color: '#f2ecdf',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
        shortcuts: [
          { name: 'Walk', url: '/walk' },
          { name: 'Find', url: '/walk?find' },
        ],
      },
    }),
    precompressed(),
  ],
  logLevel: 'warn',
  build: {
    target: 'es2023',
    manifest: true,
    modulePreload: { polyfill: false },
    chunkSizeWarningLimit: 700,
    // The framework changes seldom and is asked for by every page: one file of its own. So is the reader of
    // shapes, and what it is told lies in it: before the first shape is made. Describing shapes is for sheets only.
    rolldownOptions: {
      checks: { bundlerTimings: false },
      output: {
        // The page carries the names of all its parts: short ones.
        chunkFileNames: 'assets/[hash:8].js',
        assetFileNames: 'assets/[hash:8][extname]',
        codeSplitting: {
          groups: [
            { name: 'frame', test: /node_modules.(@vue|vue-router|pinia).|plugin-vue/ },
            { name: 'shapes', test: /node_modules.zod.(?!.*json-schema)|app.uncompiled/ },
            // What the walk believes and judges: whatever else is opened stands on the same. What folds comes when
            // something is written or heard.
            {
              name: 'believed',
              test: (id) => BELIEVED.test(id) && !FOLDS.test(id),
            },
            // What every page says: many small files would say the same names again and again.
            {
              name: 'said',
              test: /src.words.(en.(app|words|said|judged|explained)|i18n|said|judged|en|numbers|spaced|measures|sayAll|accented|readings|rest)\.ts/,
            },
          ],
        },
      },
    },
  },
  define: {
    // PrimeVue's components are written with it.
    __VUE_OPTIONS_API__: 'true',
    __VUE_PROD_DEVTOOLS__: 'false',
    __INTLIFY_PROD_DEVTOOLS__: 'false',
    __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: 'false',
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4620' } },
})
