import { mkdtemp, rm } from 'node:fs/promises'
import type { Socket } from 'node:net'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { addressOf, ROUTES } from '@kobrin/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { cookieOf, portOf, signedIn } from '../testing/client.ts'
import { readFeed } from '../testing/feedReader.ts'
import type { OwnHouse } from '../testing/ownHouse.ts'
import { openOwnHouse } from '../testing/ownHouse.ts'

/** More than the lines to a few readers hold. */
const NOTES = 3_000

let folder: string
let house: OwnHouse

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kobrin-restart-'))
  house = await openOwnHouse(folder, { heartbeatMs: 20 })
  await house.app.listen({ host: '127.0.0.1', port: 0 })
})
afterAll(async () => {
  await house.close()
  await rm(folder, { recursive: true, force: true })
})

/** A screen that asks for everything and takes nothing of it. */
function slowReader(cookie: string): Socket {
  const line = connect(portOf(house.app), '127.0.0.1', () =>
    line.write(
      `GET ${addressOf(ROUTES.feed.url, {}, { after: '' })} HTTP/1.1\r\nhost: localhost\r\ncookie: ${cookie}\r\n\r\n`,
    ),
  )
  line.on('error', () => undefined)
  line.pause()
  return line
}

const statusOfNote = async () => (await house.note('Is it there?')).statusCode

describe('a database that is killed', () => {
  it('under three readers who take nothing, with a change of plan after it, ends nobody but the readers', async () => {
    await Promise.all(Array.from({ length: NOTES }, () => house.note('x'.repeat(3900))))
    const reader = await signedIn(house.app, 'vet')
    const slow = Array.from({ length: 3 }, () => slowReader(cookieOf(reader)))
    const screen = readFeed(house.app, house.keeper, '')
    await screen.reached(NOTES)

    process.kill(house.own.pid(), 'SIGKILL')
    const meanwhile = await Promise.all(Array.from({ length: 20 }, statusOfNote))
    expect(meanwhile.filter((status) => status !== 503)).toEqual([])
    await expect.poll(statusOfNote, { timeout: 30_000 }).toBe(200)

    const senior = await signedIn(house.app, 'seniorKeeper')
    const body = { resident: house.resident, housing: { hides: 3 }, reason: 'Shy' }
    const signed = await senior.call({ method: 'POST', url: ROUTES.signOverride.url, body })
    expect(signed.statusCode).toBe(204)
    await reader.call({ method: 'DELETE', url: ROUTES.signIn.url })
    for (const line of slow) line.resume()
    await Promise.all(slow.map((line) => new Promise((gone) => line.once('close', gone))))
    expect((await house.note('The house goes on.')).statusCode).toBe(200)
    screen.stop()
  })
})
