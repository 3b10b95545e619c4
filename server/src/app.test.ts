import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import {
  addressOf,
  EVERY_ROUTE,
  KeptEntries,
  OPENAPI_URL,
  readBookmark,
  REVISION_HEADER,
  ROUTES,
} from '@kobrin/contract'
import type { PlanBook, Site } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import type { FastifyInstance } from 'fastify'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { buildApp } from './app.ts'
import type { Client } from './testing/client.ts'
import { signedIn } from './testing/client.ts'
import type { Scratch } from './testing/scratch.ts'
import { openApp } from './testing/openApp.ts'
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
  await writeFile(join(pages, 'mark.svg'), '<svg/>')
  await writeFile(join(pages, '.built'), 'yesterday')
  for (const folder of ['assets', '.vite']) await mkdir(join(pages, folder))
  await writeFile(join(pages, 'assets', 'some.js'), 'export {}')
  await writeFile(join(pages, '.vite', 'manifest.json'), '{}')
  app = await buildApp({ connection: base, pages })
  keeper = await signedIn(app, 'keeper')
})
afterAll(async () => {
  await app.close()
  await base.drop()
  await rm(pages, { recursive: true })
})

const recordOf = (subject: string) => addressOf(ROUTES.record.url, { subject })
const get = (url: string) => app.inject({ method: 'GET', url })

describe('health', () => {
  it('tells the state of app and database', async () => {
    expect((await get(ROUTES.health.url)).json()).toMatchObject({ app: 'up', database: 'up', head: '1:24' })
  })

  it('tells when the database is gone, and what is asked for then is told to wait', async () => {
    const gone = await scratch(smallSite())
    const cutOff = await buildApp({ connection: gone })
    const one = await signedIn(cutOff, 'keeper')
    await gone.pool.query('rename table stream to away')
    expect((await cutOff.inject({ method: 'GET', url: ROUTES.health.url })).json()).toMatchObject({
      app: 'up',
      database: 'down',
    })
    await gone.pool.query('rename table away to stream')
    await gone.pool.end()
    const response = await one.call({ method: 'GET', url: ROUTES.site.url })
    expect([500, 503]).toContain(response.statusCode)
    expect(response.json<{ message: string }>().message).toMatch(/kept here/)
    await cutOff.close()
    const back = await gone.again()
    await back.close()
  })
})

describe('the OpenAPI', () => {
  it('describes every route of the table with its answer', async () => {
    const response = await keeper.call({ method: 'GET', url: OPENAPI_URL })
    const { paths, info } = response.json<{
      paths: Record<string, Record<string, object>>
      info: { description: string }
    }>()
    expect(info.description).toContain(`${REVISION_HEADER}: ${FOLD_REVISION}`)
    for (const { method, url } of Object.values(EVERY_ROUTE)) {
      const described = paths[url.replace(/:(\w+)/g, '{$1}')]
      expect(described, url).toHaveProperty(method.toLowerCase())
    }
    expect(paths[ROUTES.append.url]).toMatchObject({
      post: { requestBody: { content: { 'application/json': {} } } },
    })
  })
})

describe('the entries of a day', () => {
  it('are everybody’s of that day, and of no other', async () => {
    const [some] = site.residents
    const read = await keeper.call({ method: 'GET', url: recordOf(some?.id ?? '') })
    const history = read.json<{ entries: { uid: string; day: number }[] }>().entries
    const day = history.at(-1)?.day ?? 0
    const answer = await keeper.call({ method: 'GET', url: addressOf(ROUTES.ofDay.url, { day }) })
    const { entries } = answer.json<{ entries: { uid: string; day: number; subject: string }[] }>()
    expect(new Set(entries.map((one) => one.day))).toEqual(new Set([day]))
    expect(entries.map(({ uid }) => uid)).toEqual(
      expect.arrayContaining(history.filter((one) => one.day === day).map(({ uid }) => uid)),
    )
  })

  it.each(['-1', 'yesterday', '1.5', '1e9'])('are not those of "%s"', async (day) => {
    const answer = await keeper.call({ method: 'GET', url: addressOf(ROUTES.ofDay.url, { day }) })
    expect(answer.json()).toMatchObject({ code: 'bad_input', field: 'day' })
  })
})

describe('too much at once', () => {
  it('sends away whoever looks, and takes what is entered', async () => {
    const { app: slow, as, close } = await openApp('keeper', { lagMs: 60 })
    await vi.waitFor(
      async () => {
        // The process is busy with something, again and again.
        const until = performance.now() + 150
        while (performance.now() < until) Math.sqrt(until)
        const looked = await as.call({ method: 'GET', url: ROUTES.site.url })
        expect(looked.json()).toMatchObject({ code: 'busy' })
      },
      { timeout: 20_000, interval: 1 },
    )
    const entered = await as.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [] } })
    expect(entered.json<{ code?: string }>().code).not.toBe('busy')
    expect((await slow.inject({ method: 'GET', url: ROUTES.health.url })).json()).toMatchObject({ app: 'up' })
    await close()
  })
})

describe('bad requests', () => {
  const post = (body: unknown, headers = {}) =>
    keeper.call({ method: 'POST', url: ROUTES.append.url, headers, body: body as object })

  it('names the field', async () => {
    const response = await post({ entries: 'many' })
    expect(response.statusCode).toBe(400)
    expect(response.json()).toMatchObject({ code: 'bad_input', field: 'entries' })
  })

  it('answers each entry for itself: one that cannot be read does not stop the others', async () => {
    const author = site.person('keeper').id
    const subject = site.residents[0]?.id ?? ''
    const stamp = { subject, author, occurredAt: new Date().toISOString() }
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

  it.each(['100000001', '-100000', '1e300', 'NaN', 'x'])(
    'answers a day that no calendar here has: %s',
    async (since) => {
      const response = await keeper.call({ method: 'GET', url: `${ROUTES.changes.url}?since=${since}` })
      expect([response.statusCode, response.json<{ code: string }>().code]).toEqual([400, 'bad_input'])
    },
  )

  it('takes no changes from another site', async () => {
    const response = await post({ entries: [] }, { origin: 'https://elsewhere.test' })
    expect(response.json()).toMatchObject({ code: 'wrong_origin' })
  })

  it('says what is not there', async () => {
    expect((await get('/api/nothing')).json()).toMatchObject({ code: 'not_found' })
    for (const { url } of [ROUTES.record, ROUTES.traced]) {
      const asked = { method: 'GET', url: addressOf(url, { subject: uuidv7() }) } as const
      expect((await keeper.call(asked)).json(), url).toMatchObject({ code: 'unknown_subject' })
    }
  })
})

describe('entries as they are told', () => {
  it('come back letter for letter, in a record and in the feed', async () => {
    const subject = site.residents[2]?.id ?? ''
    const posted = {
      uid: uuidv7(),
      subject,
      kind: 'noted',
      occurredAt: '2026-03-01T07:08:09.010Z',
      author: site.person('keeper').id,
      payload: { text: 'She said "così, 5\u00a0%"\n\\ it\u2019s \u{1f40d}' },
    }
    await keeper.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [posted] } })
    const { head } = (await get(ROUTES.health.url)).json<{ head: string }>()
    const [stream, seq] = head.split(',').at(-1)?.split(':').map(Number) ?? []
    const record = KeptEntries.parse((await keeper.call({ method: 'GET', url: recordOf(subject) })).json())
    expect(record.entries.find(({ uid }) => uid === posted.uid)).toEqual({
      ...posted,
      stream,
      seq,
      day: 20_513,
      recordedAt: expect.stringMatching(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/) as string,
    })
    const since = await keeper.call({
      method: 'GET',
      url: addressOf(ROUTES.since.url, {}, { after: `1:24,${String(stream)}:${Number(seq) - 1}` }),
    })
    expect(KeptEntries.parse(since.json()).entries.map(({ uid }) => uid)).toEqual([posted.uid])
  })

  it('are compressed for whoever takes them so, when they are many', async () => {
    const author = site.person('keeper').id
    const subject = site.residents[3]?.id ?? ''
    const entries = Array.from({ length: 100 }, (_, index) => ({
      uid: uuidv7(),
      subject,
      kind: 'noted',
      occurredAt: new Date(Date.UTC(2026, 2, 2, 8, index)).toISOString(),
      author,
      payload: { text: `Note ${index}` },
    }))
    await keeper.call({ method: 'POST', url: ROUTES.append.url, body: { entries } })
    const url = recordOf(subject)
    const plain = await keeper.call({ method: 'GET', url })
    const packed = await keeper.call({ method: 'GET', url, headers: { 'accept-encoding': 'gzip, br' } })
    expect(plain.headers['content-encoding']).toBeUndefined()
    expect(packed.headers['content-encoding']).toBe('gzip')
    expect(packed.headers['content-type']).toBe(plain.headers['content-type'])
    expect(packed.rawPayload.length).toBeLessThan(plain.rawPayload.length / 3)
    expect(gunzipSync(packed.rawPayload).toString()).toBe(plain.body)
    const few = { method: 'GET', url: recordOf(site.residents[4]?.id ?? '') } as const
    const small = await keeper.call({ ...few, headers: { 'accept-encoding': 'gzip' } })
    expect(small.headers['content-encoding']).toBeUndefined()
  })

  it('are none after the head of the feed', async () => {
    const after = await keeper.call({ method: 'GET', url: `${ROUTES.since.url}?after=1:1000000,2:1000000` })
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

  it.each([
    ['GET', '/', 200],
    ['HEAD', '/walk', 200],
    ['GET', '/walk?from=here', 200],
    ['GET', '/index.html', 404],
    ['GET', '/.built', 404],
    ['GET', '/.vite/manifest.json', 404],
    ['GET', '/assets/', 404],
    ['GET', '/assets/..%2findex.html', 404],
    ['GET', '/api/nothing', 404],
    ['HEAD', '/api/nothing', 404],
    ['GET', '/mark.svg', 200],
    ['POST', '/walk', 404],
  ] as const)('%s %s is answered with %i', async (method, url, status) => {
    const response = await app.inject({ method, url })
    expect([response.statusCode, response.body.includes('STYLE_NONCE')]).toEqual([status, false])
  })

  it('are there also for whoever takes no encoding at all, and files say which part they do not have', async () => {
    const headers = { 'accept-encoding': 'identity;q=0' }
    expect((await app.inject({ url: '/', headers })).statusCode).toBe(200)
    const beyond = { range: 'bytes=999999999-' }
    const part = await app.inject({ url: '/assets/some.js', headers: beyond })
    expect([part.statusCode, part.json<{ code: string }>().code]).toEqual([416, 'not_satisfiable'])
  })
})

describe('the site and its plan book', () => {
  it.each([ROUTES.site.url, ROUTES.planBook.url])('%s is not sent again to whoever has it', async (url) => {
    const first = await keeper.call({ method: 'GET', url })
    expect(first.statusCode).toBe(200)
    const headers = { 'if-none-match': String(first.headers.etag) }
    const again = await keeper.call({ method: 'GET', url, headers })
    expect([again.statusCode, again.body]).toEqual([304, ''])
  })

  it('are sent anew when something in them changed, and only what changed', async () => {
    const senior = await signedIn(app, 'seniorKeeper')
    const etags = async () => {
      const pages = [ROUTES.site.url, ROUTES.planBook.url].map((url) => keeper.call({ method: 'GET', url }))
      return (await Promise.all(pages)).map(({ headers }) => headers.etag)
    }
    const before = await etags()
    const body = { resident: site.residents[0]?.id, housing: { hides: 3 }, reason: 'Shy' }
    await senior.call({ method: 'POST', url: ROUTES.signOverride.url, body })
    const after = await etags()
    expect(after[0]).toBe(before[0])
    expect(after[1]).not.toBe(before[1])
  })

  it('hold the building, the numbers, the sheets and what was signed', async () => {
    const told = (await keeper.call({ method: 'GET', url: ROUTES.site.url })).json<Site>()
    expect(told.enclosures).toHaveLength(13)
    expect(Object.values(told.numbers).sort()[11]).toBe('0012')
    const book = (await keeper.call({ method: 'GET', url: ROUTES.planBook.url })).json<PlanBook>()
    expect(book.sheets.map(({ id }) => id)).toEqual(['leopard-gecko'])
    expect(book.overrides).toMatchObject([{ target: site.residents[0]?.id, number: 0 }])
  })
})

describe('states', () => {
  it('come with the head of the feed they are not behind, each with how far it is folded', async () => {
    const told = (await keeper.call({ method: 'GET', url: ROUTES.states.url })).json<{
      head: string
      states: Record<string, { family: string; upTo: string; state: { facts: number } }>
    }>()
    expect(readBookmark(told.head)?.[1]).toBeGreaterThanOrEqual(24)
    const one = told.states[site.residents[11]?.id ?? '']
    expect(one).toMatchObject({ family: 'resident', upTo: '1:24', state: { facts: 2 } })
  })

  it('come for everyone, or for those asked for', async () => {
    const ask = async (url: string) =>
      (await keeper.call({ method: 'GET', url })).json<{ states: Record<string, object> }>().states
    const [first, second] = site.residents.map(({ id }) => id)
    expect(Object.keys(await ask(ROUTES.states.url))).toHaveLength(12)
    expect(Object.keys(await ask(`${ROUTES.states.url}?of=${first},${second}`)).sort()).toEqual(
      [first, second].sort(),
    )
    expect(await ask(`${ROUTES.states.url}?of=nonsense`)).toEqual({})
  })
})
