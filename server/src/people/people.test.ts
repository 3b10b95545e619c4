import { createHmac } from 'node:crypto'
import type { Me } from '@kobrin/contract'
import { provenText, ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { v7 as uuidv7 } from 'uuid'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import { client, signedIn } from '../testing/client.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { PASSPHRASE, PIN, smallSite } from '../testing/smallSite.ts'
import { SESSION_COOKIE } from './guard.ts'

let base: Scratch
let site: SmallSite
let app: FastifyInstance
let clock: Date

beforeEach(async () => {
  site = smallSite()
  base = await scratch(site)
  clock = new Date('2026-06-01T08:00:00.000Z')
  app = await buildApp({ connection: base, now: () => clock })
})
afterEach(async () => {
  await app.close()
  await base.drop()
})

function later(minutes: number): void {
  clock = new Date(clock.getTime() + minutes * 60_000)
}

const signIn = (login: string, passphrase: string) => ({
  method: 'POST' as const,
  url: ROUTES.signIn.url,
  body: { login, passphrase },
})

describe('signing in', () => {
  it('takes a name in any case with its passphrase, and sets cookies a script cannot read', async () => {
    const response = await client(app).call(signIn('KEEPER', PASSPHRASE))
    expect(response.json()).toMatchObject({ person: { role: 'keeper' }, device: { enrolled: false } })
    for (const cookie of response.cookies) {
      expect(cookie).toMatchObject({ httpOnly: true, secure: true, sameSite: 'Strict' })
    }
  })

  it('says the same of a wrong passphrase and of an unknown name', async () => {
    const wrong = await client(app).call(signIn('keeper', 'not it'))
    const unknown = await client(app).call(signIn('nobody', PASSPHRASE))
    expect(wrong.statusCode).toBe(401)
    expect(wrong.json()).toEqual(unknown.json())
  })

  it('does not let anyone go on guessing', async () => {
    const one = client(app)
    const statuses: number[] = []
    for (let tries = 0; tries < 11; tries += 1) {
      statuses.push((await one.call(signIn('keeper', `guess ${tries}`))).statusCode)
    }
    expect(statuses.slice(0, 10)).toEqual(Array.from({ length: 10 }, () => 401))
    expect(statuses.at(-1)).toBe(429)
  })

  it('stores no passphrase, PIN or token that could be read', async () => {
    const one = await signedIn(app, 'keeper')
    const [people] = await base.pool.query('select passphrase_hash, pin_hash from staff')
    const [sessions] = await base.pool.query('select token_hash from session')
    expect(JSON.stringify(people)).toContain('$argon2id$')
    expect(JSON.stringify([people, sessions])).not.toContain(PASSPHRASE)
    expect(JSON.stringify(sessions)).not.toContain(one.cookies[SESSION_COOKIE])
  })

  it('ends with the day, and at once on signing out', async () => {
    const one = await signedIn(app, 'keeper')
    const two = await signedIn(app, 'vet')
    const site_ = { method: 'GET' as const, url: ROUTES.site.url }
    const token = { [SESSION_COOKIE]: two.cookies[SESSION_COOKIE] ?? '' }
    await two.call({ method: 'DELETE', url: ROUTES.signIn.url })
    expect((await app.inject({ ...site_, cookies: token })).statusCode).toBe(401)
    expect((await one.call(site_)).statusCode).toBe(200)
    later(15 * 60)
    expect((await one.call(site_)).statusCode).toBe(401)
  })
})

describe('a shared tablet', () => {
  const switchTo = (personId: string, pin: string) => ({
    method: 'POST' as const,
    url: ROUTES.switchPerson.url,
    body: { personId, pin },
  })
  const presence = { method: 'GET' as const, url: ROUTES.signIn.url }

  async function enrolledBy(login: string) {
    const tablet = client(app)
    const me = (await tablet.call(signIn(login, PASSPHRASE))).json<Me>()
    await tablet.call({ method: 'POST', url: ROUTES.enrolDevice.url, body: { name: 'Tar Room tablet' } })
    return { tablet, me }
  }

  const enrolled = async () => (await enrolledBy('curator')).tablet

  const noted = (author: string, occurredAt: string) => ({
    uid: uuidv7(),
    subject: site.residents[0]?.id ?? '',
    kind: 'noted',
    occurredAt,
    author,
    payload: { text: 'Typed before the tablet changed hands.' },
  })
  type Noted = ReturnType<typeof noted>

  it('switches person by PIN once a senior enrolled it', async () => {
    const tablet = await enrolled()
    const response = await tablet.call(switchTo(site.person('keeper').id, PIN))
    expect(response.json()).toMatchObject({
      person: { role: 'keeper' },
      device: { name: 'Tar Room tablet', enrolled: true },
    })
    expect((await tablet.call(presence)).json()).toMatchObject({ me: { person: { role: 'keeper' } } })
  })

  it('offers those with a PIN, and nobody on a device that was not enrolled', async () => {
    const people = (await (await enrolled()).call(presence)).json<{ people: { role: string }[] }>().people
    expect(people.map(({ role }) => role).sort()).toEqual(
      ['curator', 'keeper', 'seniorKeeper', 'vet', 'volunteer'].sort(),
    )
    const stranger = await signedIn(app, 'keeper')
    expect((await stranger.call(presence)).json()).toMatchObject({ people: [] })
    expect((await stranger.call(switchTo(site.person('vet').id, PIN))).statusCode).toBe(403)
  })

  it('refuses a wrong PIN, somebody without one, and more than a few tries', async () => {
    const tablet = await enrolled()
    expect((await tablet.call(switchTo(site.person('keeper').id, '0000'))).json()).toMatchObject({
      code: 'wrong_pin',
    })
    expect((await tablet.call(switchTo(site.person('reader').id, PIN))).statusCode).toBe(401)
    for (let tries = 0; tries < 9; tries += 1) await tablet.call(switchTo(site.person('keeper').id, '1111'))
    expect((await tablet.call(switchTo(site.person('keeper').id, PIN))).json()).toMatchObject({
      code: 'passphrase_needed',
    })
  })

  it('sends what the last person typed under their own name, stamped while they were at work', async () => {
    const curator = site.person('curator')
    const { tablet, me } = await enrolledBy(curator.login)
    const typedAt = clock.toISOString()
    later(10)
    await tablet.call(switchTo(site.person('volunteer').id, PIN))
    const post = async (entry: Noted, proof?: object) => {
      const body = { entries: [entry], ...(proof && { proofs: { [entry.uid]: proof } }) }
      const response = await tablet.call({ method: 'POST', url: ROUTES.append.url, body })
      return response.json<{ receipts: { status: string; code?: string }[] }>().receipts[0]
    }
    const stamped = (entry: Noted, key = me.shift.key) => ({
      shift: me.shift.id,
      mac: createHmac('sha256', key).update(provenText(entry)).digest('hex'),
    })
    const typed = noted(curator.id, typedAt)
    later(30)
    expect(await post(typed)).toMatchObject({ status: 'refused', code: 'not_yours' })
    expect(await post(typed, stamped(typed, 'a key they do not have'))).toMatchObject({ code: 'not_yours' })
    // The stamp of one entry is of no use for another.
    expect(await post(noted(curator.id, typedAt), stamped(typed))).toMatchObject({ code: 'not_yours' })
    expect(await post(typed, stamped(typed))).toMatchObject({ status: 'accepted' })
    const late = noted(curator.id, clock.toISOString())
    expect(await post(late, stamped(late))).toMatchObject({ code: 'not_yours' })
  })
})
