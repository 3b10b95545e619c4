import type { KeptEntry } from '@kobrin/contract'
import { addressOf, ROUTES } from '@kobrin/contract'
import { IncomingMessage, ServerResponse } from 'node:http'
import { Socket } from 'node:net'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import type { Client } from '../testing/client.ts'
import { signedIn } from '../testing/client.ts'
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
let cookie: string

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  apps = [
    await buildApp({ connection: base, heartbeatMs: 30 }),
    await buildApp({ connection: await base.again() }),
  ]
  for (const app of apps) await app.listen({ host: '127.0.0.1', port: 0 })
  keeper = await signedIn(first(), 'keeper')
  cookie = Object.entries(keeper.cookies)
    .map(([name, value]) => `${name}=${value}`)
    .join('; ')
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

interface Reader {
  entries: KeptEntry[]
  /** Resolves when so many have come. */
  reached: (count: number) => Promise<void>
  ended: Promise<void>
  stop: () => void
}

function read(
  app: FastifyInstance,
  after: string,
  headers: Record<string, string> = {},
  changeTold: () => unknown = () => undefined,
  overTold: () => unknown = () => undefined,
): Reader {
  const address = app.server.address()
  const port = typeof address === 'object' && address ? address.port : 0
  const control = new AbortController()
  const entries: KeptEntry[] = []
  const ended = (async () => {
    const response = await fetch(`http://127.0.0.1:${port}${addressOf(ROUTES.feed.url, {}, { after })}`, {
      headers: { cookie, ...headers },
      signal: control.signal,
    })
    let rest = ''
    for await (const chunk of response.body ?? []) {
      rest += new TextDecoder().decode(chunk)
      const events = rest.split('\n\n')
      rest = events.pop() ?? ''
      for (const event of events) {
        const data = /^data: (.*)$/m.exec(event)?.[1]
        if (event.includes('event: startOver')) overTold()
        else if (event.includes('event: change')) changeTold()
        else if (data) entries.push(JSON.parse(data) as KeptEntry)
      }
    }
  })().catch(() => undefined)
  return {
    entries,
    ended,
    stop: () => control.abort(),
    reached: async (count) => {
      const until = Date.now() + 3000
      while (entries.length < count && Date.now() < until) await new Promise((go) => setTimeout(go, 5))
    },
  }
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

const placesOf = ({ entries }: Reader) => entries.map(({ stream, seq }) => `${stream}:${seq}`)

describe('the feed', () => {
  it('tells everything after a place, then goes on live, in order and once', async () => {
    const reader = read(first(), '1:22')
    await reader.reached(2)
    const { stream, seq } = await say('One')
    await say('Two')
    await reader.reached(4)
    reader.stop()
    expect(placesOf(reader)).toEqual(['1:23', '1:24', `${stream}:${seq}`, `${stream}:${seq + 1}`])
  })

  it('brings within a second what was kept through another server', async () => {
    const [, second] = apps
    const reader = read(second ?? first(), upTo(await say('Before')))
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
    const told = { here: 0, there: 0, later: 0 }
    const [, second] = apps
    const from = upTo(await say('Before the change'))
    const here = read(first(), from, {}, () => (told.here += 1))
    const there = read(second ?? first(), from, {}, () => (told.there += 1))
    const body = { resident: site.residents[0]?.id, housing: { hides: 3 }, reason: 'Shy' }
    const signed = await senior.call({ method: 'POST', url: ROUTES.signOverride.url, body })
    expect(signed.statusCode).toBe(204)
    await expect.poll(() => [told.here, told.there]).toEqual([1, 1])
    const cutOff = read(second ?? first(), from, {}, () => (told.later += 1))
    await expect.poll(() => told.later).toBe(1)
    for (const reader of [here, there, cutOff]) reader.stop()
  })

  it('goes on after the last event the browser names, however old the address it asks with', async () => {
    const last = await say('Seen')
    const { stream, seq } = await say('Missed while the lift was between floors')
    const reader = read(first(), '', { 'last-event-id': upTo(last) })
    await reader.reached(1)
    reader.stop()
    expect(placesOf(reader)[0]).toBe(`${stream}:${seq}`)
  })

  it('misses nothing that is kept while it catches up', async () => {
    const reader = read(first(), '')
    const said = await Promise.all(Array.from({ length: 40 }, (_, index) => say(`Note ${index}`)))
    const places = said.map(({ stream, seq }) => `${stream}:${seq}`)
    await expect.poll(() => places.every((place) => placesOf(reader).includes(place))).toBe(true)
    reader.stop()
    expect(new Set(placesOf(reader)).size).toBe(reader.entries.length)
  })

  it('tells a screen that has read what is not there to start over, and goes on from what is', async () => {
    const place = await say('Before the restore')
    const told = { over: 0 }
    const beyond = upTo({ ...place, seq: place.seq + 1000 })
    const reader = read(first(), beyond, {}, undefined, () => (told.over += 1))
    await expect.poll(() => told.over).toBe(1)
    const { stream, seq } = await say('After it')
    await reader.reached(1)
    reader.stop()
    expect(placesOf(reader)).toEqual([`${stream}:${seq}`])
  })

  async function readersOf(login: 'vet' | 'volunteer') {
    const other = await signedIn(first(), login)
    const own = Object.entries(other.cookies).map(([name, value]) => `${name}=${value}`)
    const readers = apps.map((app) => read(app, '', { cookie: own.join('; ') }))
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
    const reader = createReader({ db: base.db, out, families: ['resident'], after: {} })
    reader.end()
    reader.beat()
    reader.end()
    reader.hear([{ of: 'resident', stream: 1, seq: 99, told: '{}' } as unknown as FeedRow])
    await reader.catchUp()
    expect(errors).toEqual([])
  })
})
