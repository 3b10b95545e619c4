import { fileURLToPath } from 'node:url'
import { ropewalk } from '@kobrin/demo'
import { openHouse, readLibrary } from '@kobrin/server'

const DAYS = 120

await openHouse({
  seed: (nowMs) => ropewalk({ sheets: readLibrary(), nowMs, days: DAYS }),
  // A test may bring an interface of its own.
  pages: process.env['KOBRIN_E2E_PAGES'] ?? fileURLToPath(new URL('../../web/dist', import.meta.url)),
})
