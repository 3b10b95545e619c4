import type { KeptEntry } from '@kobrin/contract'
import { PATHS } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import type { Client } from '../testing/client.ts'
import { signedIn } from '../testing/client.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
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
  after: number,
  headers: Record<string, string> = {},
  siteTold: () => unknown = () => undefined,
): Reader {
  const address = app.server.address()
  const port = typeof address === 'object' && address ? address.port : 0
  const control = new AbortController()
  const entries: KeptEntry[] = []
  const ended = (async () => {
    const response = await fetch(`http://127.0.0.1:${port}${PATHS.feed}?after=${after}`, {
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
        if (event.includes('event: site')) siteTold()
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

async function say(text: string): Promise<number> {
  const entry = {
    uid: uuidv7(),
    residentId: site.residents[0]?.id,
    kind: 'noted',
    occurredAt: new Date().toISOString(),
    author: site.person('keeper').id,
    payload: { text },
  }
  const response = await keeper.call({ method: 'POST', url: PATHS.entries, body: { entries: [entry] } })
  return response.json<{ receipts: [{ seq: number }] }>().receipts[0].seq
}

describe('the feed', () => {
  it('tells everything after a place, then goes on live, in order and once', async () => {
    const reader = read(first(), 10)
    await reader.reached(2)
    const seq = await say('One')
    await say('Two')
    await reader.reached(4)
    reader.stop()
    expect(reader.entries.map((entry) => entry.seq)).toEqual([11, 12, seq, seq + 1])
  })

  it('brings within a second what was kept through another server', async () => {
    const [, second] = apps
    const reader = read(second ?? first(), await say('Before'))
    await reader.reached(0)
    const since = Date.now()
    const seq = await say('From the first server')
    await reader.reached(1)
    reader.stop()
    expect(reader.entries.map((entry) => entry.seq)).toEqual([seq])
    expect(Date.now() - since).toBeLessThan(1000)
  })

  it('tells of a changed plan at once here, and soon through another server', async () => {
    const senior = await signedIn(first(), 'seniorKeeper')
    const told = { here: 0, there: 0 }
    const [, second] = apps
    const here = read(first(), 0, {}, () => (told.here += 1))
    const there = read(second ?? first(), 0, {}, () => (told.there += 1))
    await Promise.all([here.reached(12), there.reached(12)])
    // The other server looks at what is there before it can see that it changed.
    await new Promise((go) => setTimeout(go, 700))
    const body = { resident: site.residents[0]?.id, housing: { hides: 3 }, reason: 'Shy' }
    expect((await senior.call({ method: 'POST', url: PATHS.overrides, body })).statusCode).toBe(204)
    const until = Date.now() + 5000
    while (Date.now() < until && told.there === 0) await new Promise((go) => setTimeout(go, 20))
    here.stop()
    there.stop()
    expect(told.here).toBeGreaterThanOrEqual(1)
    expect(told.there).toBeGreaterThanOrEqual(1)
  })

  it('goes on after the last event the browser names, however old the address it asks with', async () => {
    const last = await say('Seen')
    const next = await say('Missed while the lift was between floors')
    const reader = read(first(), 0, { 'last-event-id': String(last) })
    await reader.reached(1)
    reader.stop()
    expect(reader.entries[0]?.seq).toBe(next)
  })

  it('misses nothing that is appended while it catches up', async () => {
    const from = await say('Start')
    const reader = read(first(), 0)
    const said = await Promise.all(Array.from({ length: 40 }, (_, index) => say(`Note ${index}`)))
    const head = Math.max(...said)
    await reader.reached(head)
    reader.stop()
    expect(head).toBe(from + 40)
    expect(reader.entries.map((entry) => entry.seq)).toEqual(Array.from({ length: head }, (_, i) => i + 1))
  })

  it('ends when whoever reads it signs out', async () => {
    const other = await signedIn(first(), 'vet')
    const own = Object.entries(other.cookies).map(([name, value]) => `${name}=${value}`)
    const reader = read(first(), 0, { cookie: own.join('; ') })
    await reader.reached(1)
    await other.call({ method: 'DELETE', url: PATHS.session })
    await reader.ended
    expect(reader.entries.length).toBeGreaterThan(0)
  })
})
