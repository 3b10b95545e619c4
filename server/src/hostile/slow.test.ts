import { connect } from 'node:net'
import { ROUTES } from '@kobrin/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../testing/client.ts'
import { cookieOf, portOf } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'

const REQUEST_MS = 500
let house: OpenApp
let keeper: Client
let port: number

beforeAll(async () => {
  house = await openApp('keeper', { requestMs: REQUEST_MS })
  keeper = house.as
  await house.app.listen({ host: '127.0.0.1', port: 0 })
  port = portOf(house.app)
})
afterAll(() => house.close())

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
  it.each([
    ['before it says anything', () => ''],
    ['in its head', () => 'GET /api/health HTTP/1.1\r\nHost: localhost\r\n'],
    [
      'in its body',
      () =>
        `POST ${ROUTES.append.url} HTTP/1.1\r\nHost: localhost\r\nCookie: ${cookieOf(keeper)}\r\n` +
        'Content-Type: application/json\r\nContent-Length: 2000000\r\n\r\n{"entries":[',
    ],
  ])('%s is let go, a hundred at once, and nobody waits for it', async (_where, text) => {
    const lines = Array.from({ length: 100 }, () => letGo(text()))
    expect((await keeper.call({ method: 'GET', url: ROUTES.site.url })).statusCode).toBe(200)
    await Promise.all(lines)
    expect((await keeper.call({ method: 'GET', url: ROUTES.health.url })).statusCode).toBe(200)
  })
})
