import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import { loadSeed } from '../setup/loadSeed.ts'
import type { Client } from '../testing/client.ts'
import { signedIn } from '../testing/client.ts'
import { postedBy } from '../testing/requests.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { smallSite } from '../testing/smallSite.ts'
import type { Connection } from './connect.ts'
import { connect } from './connect.ts'
import { migrate } from './migrate.ts'
import { createPulse } from './pulse.ts'
import type { OwnDatabase } from './ownDatabase.ts'
import { startOwnDatabase } from './ownDatabase.ts'

let path: string
let own: OwnDatabase
let connection: Connection
let site: SmallSite
let app: FastifyInstance
let keeper: Client

beforeAll(async () => {
  path = await mkdtemp(join(tmpdir(), 'kobrin-pulse-'))
  own = await startOwnDatabase(path)
  connection = await connect(own.address)
  await migrate(connection)
  site = smallSite()
  await loadSeed(connection.db, site)
  app = await buildApp({ connection })
  keeper = await signedIn(app, 'keeper')
})
afterAll(async () => {
  process.kill(own.pid(), 'SIGCONT')
  await app.close()
  await connection.close()
  await own.stop()
  await rm(path, { recursive: true, force: true })
})

function note(text: string) {
  const fact = { subject: site.residents[0]?.id ?? '', kind: 'noted', payload: { text } } as const
  const entry = postedBy(site.person('keeper').id, fact)
  return keeper.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [entry] } })
}

const database = async () =>
  (await app.inject({ url: ROUTES.health.url })).json<{ database: string }>().database

describe('a database that hangs', () => {
  it('is noticed: health says so, whoever waits is told to come back, and afterwards all is as before', async () => {
    expect([(await note('Before')).statusCode, await database()]).toEqual([200, 'up'])
    process.kill(own.pid(), 'SIGSTOP')
    const asked = performance.now()
    const waiting = await note('Meanwhile')
    expect([waiting.statusCode, waiting.headers['retry-after']]).toEqual([503, '2'])
    expect(performance.now() - asked).toBeLessThan(30_000)
    const next = performance.now()
    expect([(await note('And then')).statusCode, await database()]).toEqual([503, 'down'])
    expect(performance.now() - next).toBeLessThan(4_000)
    process.kill(own.pid(), 'SIGCONT')
    await expect.poll(database, { timeout: 15_000 }).toBe('up')
    expect((await note('After')).json()).toMatchObject({ receipts: [{ status: 'accepted' }] })
  })
})

it('a pulse that is stopped while the database hangs does not say that it answers', async () => {
  const said: boolean[] = []
  let dropped = 0
  const never = new Promise<never>(() => undefined)
  const hanging = { lone: () => never, dropAll: () => (dropped += 1) }
  const pulse = createPulse(hanging, {
    patienceMs: 10,
    everyMs: 1,
    onChange: (beating) => said.push(beating),
  })
  await expect.poll(() => dropped).toBeGreaterThan(1)
  await pulse.stop()
  expect([said, pulse.isBeating()]).toEqual([[false], false])
})
