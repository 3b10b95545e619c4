import { connect } from 'node:net'
import { ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import type { Client } from '../testing/client.ts'
import { signedIn } from '../testing/client.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import { smallSite } from '../testing/smallSite.ts'

const REQUEST_MS = 500
let base: Scratch
let app: FastifyInstance
let keeper: Client
let port: number

beforeAll(async () => {
  base = await scratch(smallSite())
  app = await buildApp({ connection: base, requestMs: REQUEST_MS })
  await app.listen({ host: '127.0.0.1', port: 0 })
  const address = app.server.address()
  port = typeof address === 'object' && address ? address.port : 0
  keeper = await signedIn(app, 'keeper')
})
afterAll(async () => {
  await app.close()
  await base.drop()
})

/** Says something on a line of its own and waits until the server lets go of it. */
function letGo(text: string): Promise<void> {
  return new Promise((resolve) => {
    const line = connect(port, '127.0.0.1', () => line.write(text))
    line.resume()
    line.once('error', () => undefined)
    line.once('close', () => resolve())
  })
}

describe('a request that never arrives', () => {
  const cookies = () =>
    Object.entries(keeper.cookies)
      .map(([name, value]) => `${name}=${value}`)
      .join('; ')

  it.each([
    ['in its head', () => 'GET /api/health HTTP/1.1\r\nHost: localhost\r\n'],
    [
      'in its body',
      () =>
        `POST ${ROUTES.append.url} HTTP/1.1\r\nHost: localhost\r\nCookie: ${cookies()}\r\n` +
        'Content-Type: application/json\r\nContent-Length: 2000000\r\n\r\n{"entries":[',
    ],
  ])('%s is let go, a hundred at once, and nobody waits for it', async (_where, text) => {
    const lines = Array.from({ length: 100 }, () => letGo(text()))
    expect((await keeper.call({ method: 'GET', url: ROUTES.site.url })).statusCode).toBe(200)
    await Promise.all(lines)
    expect((await keeper.call({ method: 'GET', url: ROUTES.health.url })).statusCode).toBe(200)
  })
})
