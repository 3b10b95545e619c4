import { EVERY_ROUTE, ROUTES } from '@kobrin/contract'
import type { EntryKind } from '@kobrin/core'
import { FACT_KINDS, founds, kindOf } from '@kobrin/core'
import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../testing/client.ts'
import { signedIn } from '../testing/client.ts'
import { rebuild } from '../entries/rebuild.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { mangled, nastyText } from '../testing/mangled.ts'
import { PAYLOADS, postedBy, requestFor } from '../testing/requests.ts'
import type { SmallSite } from '../testing/smallSite.ts'

/** How often each is tried: a few times with every test, many times when somebody means it. */
const RUNS = Number(process.env['KOBRIN_HOSTILE_RUNS'] ?? 25)
const SEED = Number(process.env['KOBRIN_HOSTILE_SEED'] ?? 1787)
const LOT = uuidv7()

let house: OpenApp
let site: SmallSite
let curator: Client
const readers: Client[] = []

beforeAll(async () => {
  house = await openApp('curator')
  site = house.site
  curator = house.as
  for (const role of ['keeper', 'vet', 'reader'] as const) readers.push(await signedIn(house.app, role))
  await post(curator, [entryOf('floorKept', { of: resident(), at: 'Larder' }, LOT)])
})
afterAll(() => house.close())

const resident = () => site.residents[1]?.id ?? ''
const place = () => site.enclosures.at(-1)?.id ?? ''

function entryOf(kind: EntryKind, payload: object, subject: string) {
  return postedBy(site.person('curator').id, { subject, kind, payload })
}

function post(as: Client, entries: readonly unknown[]) {
  return as.call({ method: 'POST', url: ROUTES.append.url, body: { entries } })
}

function goodEntry(kind: EntryKind): object {
  const subjects = { resident: resident(), place: place(), lot: LOT }
  const amends = kind === 'corrected' || kind === 'retracted'
  const about = amends ? subjects.resident : founds({ kind }) ? uuidv7() : subjects[kindOf(kind).family]
  return entryOf(kind, PAYLOADS[kind], about)
}

/** As a browser would put it into an address. */
function addressed(text: string): string {
  return encodeURIComponent(Buffer.from(text).toString())
}

/** Nothing that anybody sends may be answered with "something went wrong on the server". */
async function answersAll(
  what: fc.Arbitrary<unknown>,
  ask: (what: unknown) => Promise<{ statusCode: number; body: string }>,
) {
  await fc.assert(
    fc.asyncProperty(what, async (one) => {
      const { statusCode, body } = await ask(one)
      expect(statusCode, body).toBeLessThan(500)
    }),
    { numRuns: RUNS, seed: SEED, interruptAfterTimeLimit: 20_000, markInterruptAsFailure: false },
  )
}

describe.each([...FACT_KINDS, 'corrected', 'retracted'] as const)('an entry "%s"', (kind) => {
  it('spoiled in any place is refused or kept, and stops nothing', async () => {
    await answersAll(mangled(goodEntry(kind)), async (entry) => {
      const response = await post(curator, [entry])
      // Whatever it was, the next good one is kept.
      const good = await post(curator, [entryOf('noted', { text: 'Still here' }, resident())])
      expect(good.json()).toMatchObject({ receipts: [{ status: 'accepted' }] })
      return response
    })
  })
})

const bodied = Object.entries(EVERY_ROUTE).filter(
  ([name, route]) => 'body' in route && !['signIn', 'switchPerson'].includes(name),
)

describe.each(bodied)('%s', (_, route) => {
  it('takes a spoiled body for what it is', async () => {
    const good = requestFor(site, route)
    await answersAll(mangled(good.body ?? {}), (body) => curator.call({ ...good, body: body as object }))
  })

  it('takes what is no JSON for what it is', async () => {
    const { method, url } = requestFor(site, route)
    const headers = { 'content-type': 'application/json' }
    await answersAll(nastyText, (body) => curator.call({ method, url, headers, body: body as string }))
  })
})

const read = Object.entries(EVERY_ROUTE).filter(([name, { method }]) => method === 'GET' && name !== 'feed')

describe.each(read)('%s', (_, route) => {
  it('takes any address and any query', async () => {
    const [path = '', query = ''] = requestFor(site, route).url.split('?')
    const odd = fc.record({ at: fc.nat(6), text: nastyText, name: nastyText, inQuery: fc.boolean() })
    await answersAll(odd, (one) => {
      const { at, text, name, inQuery } = one as { at: number; text: string; name: string; inQuery: boolean }
      const encoded = addressed(text)
      const parts = path.split('/').map((part, index) => (!inQuery && index === at ? encoded : part))
      const more = inQuery
        ? `&${addressed(name)}=${encoded}&after=${encoded}&since=${encoded}&of=${encoded}`
        : ''
      return curator.call({ method: 'GET', url: `${parts.join('/') || '/'}?${query}${more}` })
    })
  })
})

describe('the door', () => {
  it.each([ROUTES.signIn, ROUTES.switchPerson])('takes whatever is tried: %o', async (route) => {
    const good =
      route === ROUTES.signIn ? { login: 'keeper', passphrase: 'x' } : { personId: resident(), pin: '1234' }
    await answersAll(mangled(good), (body) =>
      curator.call({ method: 'POST', url: route.url, body: body as object }),
    )
  })
})

it('every role can still read everything it may, and every fold is what a replay says', async () => {
  for (const one of readers)
    for (const route of [ROUTES.site, ROUTES.planBook, ROUTES.states])
      expect((await one.call({ method: 'GET', url: route.url })).statusCode).toBe(200)
  const { differing } = await rebuild(house.base.db, { write: false })
  expect(differing).toEqual([])
})
