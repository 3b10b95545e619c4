import { fileURLToPath } from 'node:url'
import { ropewalk } from '@kobrin/demo'
import { openHouse, readLibrary } from '@kobrin/server'

const DAYS = 120

await openHouse({
  seed: (nowMs) => ropewalk({ sheets: readLibrary(), nowMs, days: DAYS }),
  pages: fileURLToPath(new URL('../../web/dist', import.meta.url)),
})
