import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Connection as LoneConnection } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { OwnHouse } from '../testing/ownHouse.ts'
import { openOwnHouse } from '../testing/ownHouse.ts'
import { createPulse } from './pulse.ts'

let path: string
let house: OwnHouse

beforeAll(async () => {
  path = await mkdtemp(join(tmpdir(), 'kobrin-pulse-'))
  house = await openOwnHouse(path)
})
afterAll(async () => {
  process.kill(house.own.pid(), 'SIGCONT')
  await house.close()
  await rm(path, { recursive: true, force: true })
})

const database = async () => (await house.health()).database

describe('a database that hangs', () => {
  it('is noticed: health says so, whoever waits is told to come back, and afterwards all is as before', async () => {
    expect([(await house.note('Before')).statusCode, await database()]).toEqual([200, 'up'])
    process.kill(house.own.pid(), 'SIGSTOP')
    const asked = performance.now()
    const waiting = await house.note('Meanwhile')
    expect([waiting.statusCode, waiting.headers['retry-after']]).toEqual([503, '2'])
    expect(performance.now() - asked).toBeLessThan(30_000)
    const next = performance.now()
    expect([(await house.note('And then')).statusCode, await database()]).toEqual([503, 'down'])
    expect(performance.now() - next).toBeLessThan(4_000)
    process.kill(house.own.pid(), 'SIGCONT')
    await expect.poll(database, { timeout: 15_000 }).toBe('up')
    expect((await house.note('After')).json()).toMatchObject({ receipts: [{ status: 'accepted' }] })
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

it('a database that is back before anybody missed it was never away', async () => {
  const said: boolean[] = []
  let opened = 0
  const lone = (): Promise<LoneConnection> => {
    opened += 1
    let asked = 0
    // The first connection answers twice, and is broken by a restart.
    const breaks = opened === 1
    const query = () => {
      asked += 1
      return breaks && asked > 2 ? Promise.reject(new Error('Gone.')) : Promise.resolve([])
    }
    return Promise.resolve({ query, destroy: () => undefined } as unknown as LoneConnection)
  }
  const pulse = createPulse(
    { lone, dropAll: () => undefined },
    { everyMs: 1, onChange: (beating) => said.push(beating) },
  )
  await expect.poll(() => opened).toBe(2)
  await pulse.stop()
  expect([opened, said, pulse.isBeating()]).toEqual([2, [], true])
})
