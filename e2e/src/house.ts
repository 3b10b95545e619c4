import { fileURLToPath } from 'node:url'
import { ropewalk, ROPEWALK_ZONE } from '@kobrin/demo'
import { buildApp, connect, loadSeed, migrate, readLibrary, startOwnDatabase } from '@kobrin/server'
import { civil } from '@kobrin/core'

const PAGES = fileURLToPath(new URL('../../web/dist', import.meta.url))
const HALF_PAST_TEN = 10 * 60 + 30
const DAYS = 120

const [, , dataDir = ''] = process.argv

// Always mid-morning, whenever the tests run: the house has the same things left to do.
const startedAt = Date.now()
const offset = (HALF_PAST_TEN - civil(startedAt, ROPEWALK_ZONE).minute) * 60_000
const now = () => new Date(Date.now() + offset)

const own = await startOwnDatabase(dataDir)
const connection = await connect(own.address)
await migrate(connection)
await loadSeed(connection.db, ropewalk({ sheets: readLibrary(), nowMs: now().getTime(), days: DAYS }))
const app = await buildApp({ connection, pages: PAGES, now })
const url = await app.listen({ host: '127.0.0.1', port: 0 })
console.log(`Open at ${url}`)

process.once('SIGTERM', () => {
  void (async () => {
    await app.close()
    await connection.close()
    await own.stop()
  })()
})
