import { OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import { freePort } from '../database/freePort.ts'
import type { Answered, Proxy } from '../testing/proxy.ts'
import { HOUSE_NAME, startProxy } from '../testing/proxy.ts'
import { postedBy } from '../testing/requests.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { PASSPHRASE, smallSite } from '../testing/smallSite.ts'

let base: Scratch
let site: SmallSite
let app: FastifyInstance
let port: number
let proxy: Proxy
let cookie: string

async function serve(): Promise<void> {
  app = await buildApp({ connection: base, hosts: [HOUSE_NAME], trustProxy: ['127.0.0.1'], heartbeatMs: 200 })
  await app.listen({ host: '127.0.0.1', port })
}

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  port = await freePort()
  await serve()
  proxy = await startProxy(port)
})
afterAll(async () => {
  await proxy.stop()
  await app.close()
  await base.drop()
})

const origin = { origin: `https://${HOUSE_NAME}` }

function cookiesOf({ headers }: Answered): string[] {
  return headers['set-cookie'] ?? []
}

function append(text: string) {
  const entry = postedBy(site.person('keeper').id, {
    subject: site.residents[0]?.id ?? '',
    kind: 'noted',
    payload: { text },
  })
  const { method, url: path } = ROUTES.append
  return proxy.ask({
    method,
    path,
    headers: { cookie, ...origin },
    body: JSON.stringify({ entries: [entry] }),
  })
}

describe('behind the proxy of docs/running.md', () => {
  it('people sign in over TLS, with cookies that go nowhere else; an address they make up is not believed', async () => {
    expect((await proxy.askPlainly('/walk')).headers.location).toBe(`https://${HOUSE_NAME}/walk`)
    const { method, url: path } = ROUTES.signIn
    const body = JSON.stringify({ login: 'keeper', passphrase: PASSPHRASE })
    const answer = await proxy.ask({
      method,
      path,
      body,
      headers: { ...origin, 'x-forwarded-for': '192.0.2.9' },
    })
    expect(answer.status).toBe(200)
    expect(answer.headers['strict-transport-security']).toBe('max-age=31536000')
    const set = cookiesOf(answer)
    expect(set).toHaveLength(2)
    for (const one of set) expect(one).toMatch(/^__Host-.*HttpOnly; Secure; SameSite=Strict/)
    cookie = set.map((one) => one.split(';')[0]).join('; ')
    expect((await proxy.ask({ path: ROUTES.site.url, headers: { cookie } })).status).toBe(200)
    const [rows] = await base.pool.query<never[]>('select address from guess')
    expect(rows).toEqual([{ address: '127.0.0.1' }])
  })

  it('nobody is answered under another name, nor from another site', async () => {
    const { url: path } = ROUTES.health
    expect((await proxy.ask({ path, host: 'elsewhere.example' })).status).toBe(421)
    const foreign = { cookie, origin: 'https://elsewhere.example' }
    const { method, url } = ROUTES.signOut
    expect((await proxy.ask({ method, path: url, headers: foreign })).status).toBe(403)
  })

  it('what a colleague enters comes at once, and a heartbeat while nobody does', async () => {
    let heard = ''
    const path = `${ROUTES.feed.url}?after=`
    const stop = await proxy.listen({ path, headers: { cookie } }, (text) => (heard += text))
    await expect.poll(() => heard.length, { timeout: 3000 }).toBeGreaterThan(0)
    expect((await append('Through the proxy')).status).toBe(200)
    await expect.poll(() => heard, { timeout: 3000 }).toContain('Through the proxy')
    stop()
  })

  it('a large batch gets through, and what is too much for anybody does not', async () => {
    const { method, url: path } = ROUTES.append
    const headers = { cookie, ...origin }
    const large = await proxy.ask({
      method,
      path,
      headers,
      body: JSON.stringify({ entries: ['x'.repeat(1_900_000)] }),
    })
    expect([large.status, large.text]).toEqual([400, expect.stringContaining('bad_input')])
    const much = await proxy.ask({ method, path, headers, body: 'x'.repeat(5_000_000) })
    expect(much.status).toBe(413)
  })

  it('a list that is brought in may weigh more', async () => {
    const { method, url: path } = OFFICE_ROUTES.bringIn
    const body = JSON.stringify({ file: 'list.csv', facts: ['x'.repeat(5_000_000)] })
    const answer = await proxy.ask({
      method,
      path,
      headers: { cookie, ...origin },
      body,
    })
    expect([answer.status, answer.text]).toEqual([403, expect.stringContaining('not_allowed')])
  })

  it('so may a picture as the camera made it', async () => {
    const { method, url } = OFFICE_ROUTES.putPhoto
    const path = url.replace(':id', '01900000-0000-7000-8000-00000000abcd')
    const headers = { cookie, ...origin, 'content-type': 'image/jpeg' }
    const answer = await proxy.ask({ method, path, headers, body: 'x'.repeat(6_000_000) })
    // It got here, and was looked at: this house keeps no pictures.
    expect([answer.status, answer.text]).toEqual([404, expect.stringContaining('not_found')])
  })

  it('a restart in the middle is a gap, and nobody has to sign in again', async () => {
    await app.close()
    expect((await append('Into the gap')).status).toBe(502)
    await serve()
    expect((await append('After it')).status).toBe(200)
  })
})
