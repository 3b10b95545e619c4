import { ROUTES } from '@kobrin/contract'
import { IncomingMessage, ServerResponse } from 'node:http'
import { Socket } from 'node:net'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import type { Client } from '../testing/client.ts'
import { signedIn } from '../testing/client.ts'
import type { FeedReader } from '../testing/feedReader.ts'
import { readFeed } from '../testing/feedReader.ts'
import { postedBy } from '../testing/requests.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import { createReader } from './reader.ts'
import type { FeedRow } from './rows.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { smallSite } from '../testing/smallSite.ts'

let base: Scratch
let site: SmallSite
let apps: FastifyInstance[]
let keeper: Client

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  apps = [
    await buildApp({ connection: base, heartbeatMs: 30 }),
    await buildApp({ connection: await base.again() }),
  ]
  for (const app of apps) await app.listen({ host: '127.0.0.1', port: 0 })
  keeper = await signedIn(first(), 'keeper')
})
afterAll(async () => {
  for (const app of apps) await app.close()
  await base.drop()
})

function first(): FastifyInstance {
  const [app] = apps
  if (!app) throw new Error('No server.')
  return app
}

/** Says something through the first server, and where that stands in the feed. */
async function say(text: string): Promise<{ stream: number; seq: number }> {
  const fact = { subject: site.residents[0]?.id ?? '', kind: 'noted', payload: { text } } as const
  const entry = postedBy(site.person('keeper').id, fact)
  const response = await keeper.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [entry] } })
  return response.json<{ receipts: [{ stream: number; seq: number }] }>().receipts[0]
}

/** A bookmark after everything that was there at first, and up to a place. */
function upTo({ stream, seq }: { stream: number; seq: number }): string {
  return stream === 1 ? `1:${seq}` : `1:24,${stream}:${seq}`
}

const placesOf = ({ entries }: FeedReader) => entries.map(({ stream, seq }) => `${stream}:${seq}`)

describe('the feed', () => {
  it('tells everything after a place, then goes on live, in order and once', async () => {
    const reader = readFeed(first(), keeper, '1:22')
    await reader.reached(2)
    const { stream, seq } = await say('One')
    await say('Two')
    await reader.reached(4)
    reader.stop()
    expect(placesOf(reader)).toEqual(['1:23', '1:24', `${stream}:${seq}`, `${stream}:${seq + 1}`])
  })

  it('brings within a second what was kept through another server', async () => {
    const [, second] = apps
    const reader = readFeed(second ?? first(), keeper, upTo(await say('Before')))
    await reader.reached(0)
    const since = Date.now()
    const { stream, seq } = await say('From the first server')
    await reader.reached(1)
    reader.stop()
    expect(placesOf(reader)).toEqual([`${stream}:${seq}`])
    expect(Date.now() - since).toBeLessThan(1000)
  })

  it('tells of a changed plan here and through another server, also whoever was cut off meanwhile', async () => {
    const senior = await signedIn(first(), 'seniorKeeper')
    const [, second] = apps
    const from = upTo(await say('Before the change'))
    const here = readFeed(first(), keeper, from)
    const there = readFeed(second ?? first(), keeper, from)
    const body = { resident: site.residents[0]?.id, housing: { hides: 3 }, reason: 'Shy' }
    const signed = await senior.call({ method: 'POST', url: ROUTES.signOverride.url, body })
    expect(signed.statusCode).toBe(204)
    const changes = ({ told }: FeedReader) => told.filter((one) => one.startsWith('change')).length
    await expect.poll(() => [changes(here), changes(there)]).toEqual([1, 1])
    const cutOff = readFeed(second ?? first(), keeper, from)
    await expect.poll(() => changes(cutOff)).toBe(1)
    for (const reader of [here, there, cutOff]) reader.stop()
  })

  it('goes on after the last event the browser names, however old the address it asks with', async () => {
    const last = await say('Seen')
    const { stream, seq } = await say('Missed while the lift was between floors')
    const reader = readFeed(first(), keeper, '', { 'last-event-id': upTo(last) })
    await reader.reached(1)
    reader.stop()
    expect(placesOf(reader)[0]).toBe(`${stream}:${seq}`)
  })

  it('misses nothing that is kept while it catches up', async () => {
    const reader = readFeed(first(), keeper, '')
    const said = await Promise.all(Array.from({ length: 40 }, (_, index) => say(`Note ${index}`)))
    const places = said.map(({ stream, seq }) => `${stream}:${seq}`)
    await expect.poll(() => places.every((place) => placesOf(reader).includes(place))).toBe(true)
    reader.stop()
    expect(new Set(placesOf(reader)).size).toBe(reader.entries.length)
  })

  it('tells a screen that has read what is not there to start over, and goes on from what is', async () => {
    const place = await say('Before the restore')
    const beyond = upTo({ ...place, seq: place.seq + 1000 })
    const reader = readFeed(first(), keeper, beyond)
    await expect.poll(() => reader.told).toContain('startOver: {}')
    const { stream, seq } = await say('After it')
    await reader.reached(1)
    reader.stop()
    expect(placesOf(reader)).toEqual([`${stream}:${seq}`])
  })

  async function readersOf(login: 'vet' | 'volunteer') {
    const other = await signedIn(first(), login)
    const readers = apps.map((app) => readFeed(app, other, ''))
    for (const reader of readers) await reader.reached(1)
    const since = Date.now()
    const ended = async () => {
      await Promise.all(readers.map((reader) => reader.ended))
      return Date.now() - since
    }
    return { other, ended }
  }

  it('ends at once, on every server, when whoever reads it signs out', async () => {
    const { other, ended } = await readersOf('vet')
    await other.call({ method: 'DELETE', url: ROUTES.signIn.url })
    expect(await ended()).toBeLessThan(10_000)
  })

  it('ends at once, on every server, for somebody who may not come in any more', async () => {
    const { other, ended } = await readersOf('volunteer')
    await base.pool.query('update staff set active = false where login = ?', ['volunteer'])
    expect(await ended()).toBeLessThan(10_000)
    expect((await other.call({ method: 'GET', url: ROUTES.site.url })).statusCode).toBe(401)
  })

  it('is no danger to the house when its readers take nothing and are told to go', async () => {
    const out = new ServerResponse(new IncomingMessage(new Socket()))
    const errors: unknown[] = []
    out.on('error', (error) => errors.push(error))
    const reader = createReader({
      db: base.db,
      out,
      families: ['resident'],
      hidden: new Set(),
      after: {},
    })
    reader.end()
    reader.say(': here\n\n')
    reader.end()
    reader.hear([{ of: 'resident', stream: 1, seq: 99, told: '{}' } as unknown as FeedRow])
    await reader.catchUp()
    expect(errors).toEqual([])
  })
})
