import { fileURLToPath } from 'node:url'
import { ropewalk } from '@kobrin/demo'
import { openHouse, readLibrary } from '@kobrin/server'

const DAYS = 120
const [host = '', port = ''] = (process.env['KOBRIN_E2E_BALANCE'] ?? '').split(':')

await openHouse({
  seed: (nowMs) => ropewalk({ sheets: readLibrary(), nowMs, days: DAYS }),
  balances: host ? [{ name: 'Gatehouse bench', host, port: Number(port) }] : [],
  fitsCurves: true,
  // A test may bring an interface of its own.
  pages: process.env['KOBRIN_E2E_PAGES'] ?? fileURLToPath(new URL('../../web/dist', import.meta.url)),
})
