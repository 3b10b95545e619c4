import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { KeptEntries, PATHS, ROUTES, recordPath } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from './app.ts'
import type { Client } from './testing/client.ts'
import { signedIn } from './testing/client.ts'
import type { Scratch } from './testing/scratch.ts'
import { scratch } from './testing/scratch.ts'
import type { SmallSite } from './testing/smallSite.ts'
import { smallSite } from './testing/smallSite.ts'

let base: Scratch
let site: SmallSite
let app: FastifyInstance
let keeper: Client
let pages: string

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  pages = await mkdtemp(join(tmpdir(), 'kobrin-pages-'))
  await writeFile(join(pages, 'index.html'), '<meta name="csp-nonce" content="%STYLE_NONCE%">')
  app = await buildApp({ connection: base, pages })
  keeper = await signedIn(app, 'keeper')
})
afterAll(async () => {
  await app.close()
  await base.drop()
  await rm(pages, { recursive: true })
})

const get = (url: string) => app.inject({ method: 'GET', url })

describe('health', () => {
  it('tells the state of app and database', async () => {
    expect((await get(PATHS.health)).json()).toMatchObject({ app: 'up', database: 'up', head: 12 })
  })

  it('tells when the database is gone, and what is asked for then is told to wait', async () => {
    const gone = await scratch(smallSite())
    const cutOff = await buildApp({ connection: gone })
    const one = await signedIn(cutOff, 'keeper')
    await gone.pool.query('rename table feed_counter to away')
    expect((await cutOff.inject({ method: 'GET', url: PATHS.health })).json()).toMatchObject({
      app: 'up',
      database: 'down',
    })
    await gone.pool.query('rename table away to feed_counter')
    await gone.pool.end()
    const response = await one.call({ method: 'GET', url: PATHS.site })
    expect([500, 503]).toContain(response.statusCode)
    expect(response.json<{ message: string }>().message).toMatch(/kept here/)
    await cutOff.close()
    const back = await gone.again()
    await back.close()
  })
})

describe('the OpenAPI', () => {
  it('describes every route of the table with its answer', async () => {
    const { paths } = (await get(PATHS.openapi)).json<{ paths: Record<string, Record<string, object>> }>()
    for (const { method, url } of Object.values(ROUTES)) {
      const described = paths[url.replace(/:(\w+)/g, '{$1}')]
      expect(described, url).toHaveProperty(method.toLowerCase())
    }
    expect(paths[PATHS.entries]).toMatchObject({
      post: { requestBody: { content: { 'application/json': {} } } },
    })
  })
})

describe('bad requests', () => {
  const post = (body: unknown, headers = {}) =>
    keeper.call({ method: 'POST', url: PATHS.entries, headers, body: body as object })

  it('names the field', async () => {
    const response = await post({ entries: 'many' })
    expect(response.statusCode).toBe(400)
    expect(response.json()).toMatchObject({ code: 'bad_input', field: 'entries' })
  })

  it('answers each entry for itself: one that cannot be read does not stop the others', async () => {
    const author = site.person('keeper').id
    const residentId = site.residents[0]?.id ?? ''
    const stamp = { residentId, author, occurredAt: new Date().toISOString() }
    const good = { ...stamp, uid: uuidv7(), kind: 'weighed', payload: { grams: 60 } }
    const bad = { ...stamp, uid: uuidv7(), kind: 'weighed', payload: { grams: -1 } }
    const future = { ...good, uid: uuidv7(), occurredAt: new Date(Date.now() + 3_600_000).toISOString() }
    const nowhere = { ...good, uid: uuidv7(), kind: 'moved', payload: { to: uuidv7() } }
    const response = await post({ entries: [good, bad, future, nowhere] })
    expect(response.json()).toMatchObject({
      receipts: [
        { status: 'accepted' },
        { status: 'refused', code: 'bad_input', message: expect.stringContaining('grams') as string },
        { status: 'refused', code: 'in_future' },
        { status: 'refused', code: 'unknown_place' },
      ],
    })
  })

  it('takes no changes from another site', async () => {
    const response = await post({ entries: [] }, { host: 'kobrin.test', origin: 'https://elsewhere.test' })
    expect(response.json()).toMatchObject({ code: 'wrong_origin' })
  })

  it('says what is not there', async () => {
    expect((await get('/api/nothing')).json()).toMatchObject({ code: 'not_found' })
    const url = PATHS.record.replace(':residentId', uuidv7())
    expect((await keeper.call({ method: 'GET', url })).json()).toMatchObject({ code: 'unknown_resident' })
  })
})

describe('entries as they are told', () => {
  it('come back letter for letter, in a record and in the feed', async () => {
    const residentId = site.residents[2]?.id ?? ''
    const posted = {
      uid: uuidv7(),
      residentId,
      kind: 'noted',
      occurredAt: '2026-03-01T07:08:09.010Z',
      author: site.person('keeper').id,
      payload: { text: 'She said "così, 5\u00a0%"\n\\ it\u2019s \u{1f40d}' },
    }
    await keeper.call({ method: 'POST', url: PATHS.entries, body: { entries: [posted] } })
    const health = (await get(PATHS.health)).json<{ head: number }>()
    const record = KeptEntries.parse(
      (await keeper.call({ method: 'GET', url: recordPath(residentId) })).json(),
    )
    expect(record.entries.find(({ uid }) => uid === posted.uid)).toEqual({
      ...posted,
      seq: health.head,
      day: 20_513,
      recordedAt: expect.stringMatching(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/) as string,
    })
    const since = await keeper.call({ method: 'GET', url: `${PATHS.entries}?after=${health.head - 1}` })
    expect(KeptEntries.parse(since.json()).entries.map(({ uid }) => uid)).toEqual([posted.uid])
  })

  it('are compressed for whoever takes them so, when they are many', async () => {
    const author = site.person('keeper').id
    const residentId = site.residents[3]?.id ?? ''
    const entries = Array.from({ length: 100 }, (_, index) => ({
      uid: uuidv7(),
      residentId,
      kind: 'noted',
      occurredAt: new Date(Date.UTC(2026, 2, 2, 8, index)).toISOString(),
      author,
      payload: { text: `Note ${index}` },
    }))
    await keeper.call({ method: 'POST', url: PATHS.entries, body: { entries } })
    const url = recordPath(residentId)
    const plain = await keeper.call({ method: 'GET', url })
    const packed = await keeper.call({ method: 'GET', url, headers: { 'accept-encoding': 'gzip, br' } })
    expect(plain.headers['content-encoding']).toBeUndefined()
    expect(packed.headers['content-encoding']).toBe('gzip')
    expect(packed.headers['content-type']).toBe(plain.headers['content-type'])
    expect(packed.rawPayload.length).toBeLessThan(plain.rawPayload.length / 3)
    expect(gunzipSync(packed.rawPayload).toString()).toBe(plain.body)
    const few = { method: 'GET', url: recordPath(site.residents[4]?.id ?? '') } as const
    const small = await keeper.call({ ...few, headers: { 'accept-encoding': 'gzip' } })
    expect(small.headers['content-encoding']).toBeUndefined()
  })

  it('are none after the head of the feed', async () => {
    const after = await keeper.call({ method: 'GET', url: `${PATHS.entries}?after=1000000` })
    expect(after.json()).toEqual({ entries: [] })
  })
})

describe('the pages', () => {
  it('are the same page for every address, under a policy that lets nothing in from outside', async () => {
    const response = await get('/residents/anything')
    const policy = String(response.headers['content-security-policy'])
    const nonce = /content="([0-9a-f]+)"/.exec(response.body)?.[1]
    expect(response.headers['content-type']).toContain('text/html')
    expect(policy).toContain("default-src 'self'")
    expect(policy).not.toContain('unsafe')
    expect(policy).toContain(`'nonce-${nonce ?? 'none'}'`)
  })
})

describe('the site', () => {
  it('comes with a plan for every resident', async () => {
    const told = (await keeper.call({ method: 'GET', url: PATHS.site })).json<{
      residents: { plan: string }[]
      plans: Record<string, { duties: object[] }>
    }>()
    expect(told.residents).toHaveLength(12)
    for (const { plan } of told.residents) expect(told.plans[plan]?.duties.length).toBeGreaterThan(0)
  })
})

describe('states', () => {
  it('come for everyone, or for those asked for', async () => {
    const ask = async (url: string) =>
      (await keeper.call({ method: 'GET', url })).json<{ states: Record<string, object> }>().states
    const [first, second] = site.residents.map(({ id }) => id)
    expect(Object.keys(await ask(PATHS.states))).toHaveLength(12)
    expect(Object.keys(await ask(`${PATHS.states}?of=${first},${second}`)).sort()).toEqual(
      [first, second].sort(),
    )
    expect(await ask(`${PATHS.states}?of=nonsense`)).toEqual({})
  })
})
