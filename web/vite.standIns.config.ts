import { join } from 'node:path'
import words from '@intlify/unplugin-vue-i18n/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

/** Pages of what stands in for devices: served by those, never with the house. */
export default defineConfig({
  root: import.meta.dirname,
  publicDir: false,
  plugins: [
    vue(),
    words({ dropMessageCompiler: true, include: [join(import.meta.dirname, 'src/words/en/**')] }),
  ],
  logLevel: 'warn',
  build: {
    target: 'es2023',
    outDir: 'dist/standIns',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      input: join(import.meta.dirname, 'balance.html'),
      checks: { bundlerTimings: false },
    },
  },
  define: {
    __VUE_OPTIONS_API__: 'true',
    __VUE_PROD_DEVTOOLS__: 'false',
    __INTLIFY_PROD_DEVTOOLS__: 'false',
    __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: 'false',
  },
})
