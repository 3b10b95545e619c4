import { fileURLToPath } from 'node:url'
import { openHouse } from '@kobrin/server'

await openHouse({
  seed: null,
  firstCode: 'ABCDE23456',
  pages: fileURLToPath(new URL('../../web/dist', import.meta.url)),
})
