import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ROUTES } from '@kobrin/contract'
import type { SiteSeed } from '@kobrin/contract'
import { demoPassphrase } from '@kobrin/demo'
import type { AppOptions } from '@kobrin/server'
import { buildApp, connect, loadSeed, migrate, startOwnDatabase } from '@kobrin/server'
import { HOUSE_AT } from './sizes.ts'

export interface LargeHouse {
  /** Where it listens. */
  url: string
  cookie: string
  /** How far its clock is ahead of the machine's, milliseconds. */
  aheadMs: number
  /** Asks within the process; throws unless the status is 200. */
  get: (url: string) => Promise<string>
}

/** A house in this very process, so that its CPU and memory can be measured. */
export async function withHouse<T>(
  seed: SiteSeed,
  measure: (house: LargeHouse) => Promise<T>,
  options: Pick<AppOptions, 'pages'> = {},
): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'kobrin-large-'))
  const own = await startOwnDatabase(folder)
  const aheadMs = HOUSE_AT - Date.now()
  const connection = await connect(own.address)
  try {
    await migrate(connection)
    await loadSeed(connection.db, seed)
    const app = await buildApp({ connection, now: () => new Date(Date.now() + aheadMs), ...options })
    const url = await app.listen({ host: '127.0.0.1', port: 0 })
    const body = { login: 'keeper', passphrase: demoPassphrase('keeper') }
    const { cookies } = await app.inject({ method: 'POST', url: ROUTES.signIn.url, body })
    const cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ')
    try {
      return await measure({
        url,
        cookie,
        aheadMs,
        async get(path) {
          const response = await app.inject({ method: 'GET', url: path, headers: { cookie } })
          if (response.statusCode !== 200) throw new Error(`${path}: ${response.body}`)
          return response.body
        },
      })
    } finally {
      await app.close()
    }
  } finally {
    await connection.close()
    await own.stop()
    await rm(folder, { recursive: true, force: true })
  }
}
