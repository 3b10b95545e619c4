import { ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import type { Client } from '../testing/client.ts'
import { client, signedIn } from '../testing/client.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { PASSPHRASE, PIN, smallSite } from '../testing/smallSite.ts'
import { GUESSES } from './guesses.ts'
import { pruneDoor } from './prune.ts'

let base: Scratch
let site: SmallSite
let app: FastifyInstance
let clock: Date

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
})
afterAll(() => base.drop())
beforeEach(async () => {
  for (const table of ['guess', 'session', 'device']) await base.pool.query(`delete from ${table}`)
  clock = new Date('2026-06-01T08:00:00.000Z')
  app = await buildApp({ connection: base, now: () => clock, trustProxy: ['127.0.0.1'] })
})
afterEach(() => app.close())

function signIn(login: string, passphrase: string, from = '10.0.0.1') {
  return {
    method: 'POST' as const,
    url: ROUTES.signIn.url,
    headers: { 'x-forwarded-for': from },
    body: { login, passphrase },
  }
}

function switchTo(personId: string, pin: string) {
  return { method: 'POST' as const, url: ROUTES.switchPerson.url, body: { personId, pin } }
}

async function statusOf(one: Client, request: Parameters<Client['call']>[0]): Promise<number> {
  return (await one.call(request)).statusCode
}

async function tabletOf(login: string): Promise<Client> {
  const tablet = await signedIn(app, login as never)
  await tablet.call({ method: 'POST', url: ROUTES.enrolDevice.url, body: { name: 'Tar Room tablet' } })
  return tablet
}

/** An identity in other letters, as many ways as asked for. */
function spellings(id: string, count: number): string[] {
  return Array.from({ length: count }, (_, bits) => {
    let letters = 0
    return id.replaceAll(/[a-f]/g, (letter) => ((bits >> letters++) & 1 ? letter.toUpperCase() : letter))
  })
}

describe('a PIN', () => {
  it('is guessed at no more often in other spellings of the same person', async () => {
    const tablet = await tabletOf('curator')
    const { id } = site.person('keeper')
    const statuses = []
    for (const spelling of spellings(id, 40))
      statuses.push(await statusOf(tablet, switchTo(spelling, '0000')))
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(GUESSES.pins)
  })

  it('needs a passphrase after ten wrong ones on a device, whoever they were tried for, and then works again', async () => {
    const tablet = await tabletOf('curator')
    const people = ['keeper', 'vet', 'volunteer', 'seniorKeeper', 'keeper'] as const
    for (const role of people)
      for (const pin of ['0000', '1111'])
        expect(await statusOf(tablet, switchTo(site.person(role).id, pin))).toBe(401)
    const refused = await tablet.call(switchTo(site.person('vet').id, PIN))
    expect(refused.json()).toMatchObject({ code: 'passphrase_needed' })
    expect(await statusOf(tablet, signIn('vet', PASSPHRASE))).toBe(200)
    expect(await statusOf(tablet, switchTo(site.person('vet').id, PIN))).toBe(200)
  })

  it('of one person is not guessed from tablet to tablet', async () => {
    const { id } = site.person('keeper')
    const [one, two] = [await tabletOf('curator'), await tabletOf('seniorKeeper')]
    for (let tries = 0; tries < 5; tries += 1) {
      await one.call(switchTo(id, '0000'))
      await two.call(switchTo(id, '1111'))
    }
    expect((await two.call(switchTo(id, PIN))).json()).toMatchObject({ code: 'passphrase_needed' })
    expect(await statusOf(two, switchTo(site.person('vet').id, PIN))).toBe(200)
  })

  it('tried a hundred times at once is tried ten times', async () => {
    const tablet = await tabletOf('curator')
    const { id } = site.person('keeper')
    const tries = Array.from({ length: 100 }, (_, pin) => switchTo(id, String(pin).padStart(4, '0')))
    const statuses = await Promise.all(tries.map((one) => statusOf(tablet, one)))
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(GUESSES.pins)
    expect(new Set(statuses)).not.toContain(500)
  })
})

describe('a passphrase', () => {
  it('is counted for the person, however the name is spelled, and whatever cookies are left out', async () => {
    const statuses = []
    for (const login of ['keeper', 'KEEPER', ' keeper ', 'Keeper'])
      for (let tries = 0; tries < 5; tries += 1)
        statuses.push(await statusOf(client(app), signIn(login, 'guess', `10.0.${tries}.${statuses.length}`)))
    expect(statuses.filter((status) => status === 401)).toHaveLength(GUESSES.otherDevices.most)
    expect(statuses.at(-1)).toBe(429)
  })

  it.each(['kee\u0301per', 'keeper\u200b', 'ｋeeper', 'keepeŕ'])(
    'does not open by another name: %s',
    async (login) => {
      expect(await statusOf(client(app), signIn(login, PASSPHRASE))).toBe(400)
    },
  )

  it('still opens on a device of its owner while somebody out there is guessing', async () => {
    const own = await signedIn(app, 'keeper')
    await own.call({ method: 'DELETE', url: ROUTES.signOut.url })
    for (let tries = 0; tries < 40; tries += 1) await client(app).call(signIn('keeper', `guess ${tries}`))
    expect(await statusOf(client(app), signIn('keeper', PASSPHRASE))).toBe(429)
    expect(await statusOf(own, signIn('keeper', PASSPHRASE))).toBe(200)
  })

  it('of nobody is guessed no more than thirty times from one address', async () => {
    const statuses = []
    for (let tries = 0; tries < 40; tries += 1)
      statuses.push(await statusOf(client(app), signIn(`nobody${tries}`, 'guess')))
    expect(statuses.filter((status) => status === 401)).toHaveLength(GUESSES.address.most)
    expect(await statusOf(client(app), signIn('vet', PASSPHRASE, '10.9.9.9'))).toBe(200)
  })

  it('can be tried again after a while', async () => {
    for (let tries = 0; tries < 12; tries += 1) await client(app).call(signIn('keeper', 'guess'))
    expect(await statusOf(client(app), signIn('keeper', PASSPHRASE))).toBe(429)
    clock = new Date(clock.getTime() + 16 * 60_000)
    expect(await statusOf(client(app), signIn('keeper', PASSPHRASE))).toBe(200)
  })
})

it('limits hold for two servers at once', async () => {
  const other = await buildApp({ connection: await base.again(), now: () => clock })
  const statuses = []
  for (let tries = 0; tries < 12; tries += 1)
    statuses.push(await statusOf(client(tries % 2 === 0 ? app : other), signIn('keeper', 'guess')))
  await other.close()
  expect(statuses.filter((status) => status === 401)).toHaveLength(GUESSES.otherDevices.most)
})

describe('a device', () => {
  const devices = { method: 'GET' as const, url: ROUTES.devices.url }

  it('can be revoked: whoever is signed in there has to sign in again, and nobody switches by PIN', async () => {
    const senior = await signedIn(app, 'seniorKeeper')
    const tablet = await tabletOf('curator')
    const listed = (await senior.call(devices)).json<{ devices: { id: string; name: string | null }[] }>()
    const { id = '' } = listed.devices.find(({ name }) => name === 'Tar Room tablet') ?? {}
    const url = ROUTES.revokeDevice.url.replace(':id', id)
    expect(await statusOf(senior, { method: 'DELETE', url })).toBe(204)
    expect(await statusOf(tablet, { method: 'GET', url: ROUTES.site.url })).toBe(401)
    expect(await statusOf(tablet, switchTo(site.person('keeper').id, PIN))).toBe(403)
    expect(await statusOf(senior, { method: 'DELETE', url })).toBe(404)
  })

  it('is nobody’s business below a senior keeper', async () => {
    expect(await statusOf(await signedIn(app, 'keeper'), devices)).toBe(403)
  })
})

it('forgets sign-ins, tries and devices that nothing can come of any more, and no others', async () => {
  const keeper = await signedIn(app, 'keeper')
  const left = async () => {
    const counts = ['session', 'guess', 'device'].map(async (table) => {
      const [rows] = await base.pool.query(`select count(*) as n from ${table}`)
      return (rows as { n: number }[])[0]?.n
    })
    return Promise.all(counts)
  }
  const after = (days: number) => new Date(clock.getTime() + days * 86_400_000)
  await pruneDoor(base.db, after(20))
  expect(await left()).toEqual([1, 1, 1])
  await pruneDoor(base.db, after(40))
  expect(await left()).toEqual([1, 0, 1])
  await pruneDoor(base.db, after(130))
  expect(await left()).toEqual([0, 0, 0])
  expect(await statusOf(keeper, { method: 'GET', url: ROUTES.devices.url })).toBe(401)
})

describe('strangers', () => {
  it('are told so before their body is read', async () => {
    const body = 'x'.repeat(3 * 1024 * 1024)
    const headers = { 'content-type': 'application/json' }
    const response = await app.inject({ method: 'POST', url: ROUTES.append.url, headers, body })
    expect(response.statusCode).toBe(401)
  })

  it('see no description of the interface', async () => {
    expect((await app.inject({ url: '/api/openapi.json' })).statusCode).toBe(401)
  })

  it.each([
    ['a name that somebody else points here', { host: 'kobrin.attacker.test' }, 421],
    ['a page of another site', { 'sec-fetch-site': 'cross-site' }, 403],
    ['a page of a neighbour', { 'sec-fetch-site': 'same-site' }, 403],
    ['our own page', { 'sec-fetch-site': 'same-origin' }, 200],
    ['the address bar', { 'sec-fetch-site': 'none' }, 200],
  ])('by %s', async (_what, headers, status) => {
    expect((await app.inject({ url: ROUTES.presence.url, headers })).statusCode).toBe(status)
  })

  it('answers are kept by no cache', async () => {
    expect((await app.inject({ url: ROUTES.presence.url })).headers['cache-control']).toBe('no-store')
  })
})
