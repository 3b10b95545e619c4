import { may, EVERY_ROUTE, ROUTES } from '@kobrin/contract'
import type { EntryKind, FamilyName, Role } from '@kobrin/core'
import { FACT_KINDS, founds, kindOf, mayRecord, ROLES } from '@kobrin/core'
import type { FastifyInstance } from 'fastify'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import type { Client } from '../testing/client.ts'
import { client, signedIn } from '../testing/client.ts'
import { PAYLOADS, postedBy, requestFor } from '../testing/requests.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { smallSite } from '../testing/smallSite.ts'

let base: Scratch
let site: SmallSite
let app: FastifyInstance
const clients = new Map<Role, Client>()

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  app = await buildApp({ connection: base, heartbeatMs: 50 })
  for (const role of ROLES) clients.set(role, await signedIn(app, role))
  await post('curator', 'floorKept', { payload: { of: subjects().resident, at: 'Larder' }, subject: LOT })
})
afterAll(async () => {
  await app.close()
  await base.drop()
})

function as(role: Role): Client {
  const one = clients.get(role)
  if (!one) throw new Error(`${role} is not signed in.`)
  return one
}

const guarded = Object.entries(EVERY_ROUTE).filter(
  ([name, { access }]) => access !== 'anyone' && name !== 'signOut' && name !== 'feed',
)

describe.each(guarded)('%s', (_, route) => {
  it('is closed to somebody who is not signed in', async () => {
    const response = await client(app).call(requestFor(site, route))
    expect(response.statusCode).toBe(401)
    expect(response.json()).toMatchObject({ code: 'not_signed_in' })
  })

  it.each(ROLES)('is open or closed to a %s as the table says', async (role) => {
    const allowed = route.access === 'signedIn' || may(role, route.access as 'readSite')
    const { statusCode } = await as(role).call(requestFor(site, route))
    // There is no such device: anyone who may revoke one is told so.
    expect(allowed ? [200, 204, 404] : [403]).toContain(statusCode)
  })
})

const subjects = (): Record<FamilyName, string> => ({
  resident: site.residents[1]?.id ?? '',
  place: site.enclosures.at(-1)?.id ?? '',
  lot: LOT,
})
const LOT = uuidv7()

interface Posting {
  payload: object
  author?: string
  subject?: string
}

async function post(
  role: Role,
  kind: EntryKind,
  { payload, author = site.person(role).id, subject }: Posting,
) {
  const entry = postedBy(author, { subject: subject ?? subjects().resident, kind, payload })
  const response = await as(role).call({ method: 'POST', url: ROUTES.append.url, body: { entries: [entry] } })
  return {
    status: response.statusCode,
    receipt: response.json<{ receipts?: { code?: string }[] }>().receipts?.[0],
    uid: entry.uid,
  }
}

/** What an entry of a kind is about: somebody or something there is, or a beginning. */
function subjectFor(kind: EntryKind): string {
  if (kind === 'corrected' || kind === 'retracted') return subjects().resident
  return founds({ kind }) ? uuidv7() : subjects()[kindOf(kind).family]
}

describe('entries of each kind', () => {
  const cases = ROLES.flatMap((role) =>
    [...FACT_KINDS, 'corrected' as const, 'retracted' as const].map((kind) => [role, kind] as const),
  )

  it.each(cases)('a %s recording "%s" is answered as the table says', async (role, kind) => {
    const place = site.enclosures.at(-1)?.id ?? ''
    const another = site.residents.find(({ id }) => id !== subjects().resident)?.id ?? ''
    let payload = PAYLOADS[kind]
    if ('enclosure' in payload) payload = { ...payload, enclosure: place }
    else if ('resident' in payload) payload = { ...payload, resident: subjects().resident }
    for (const whom of ['of', 'into', 'companion'])
      if (whom in payload) payload = { ...payload, [whom]: another }
    if (kind === 'moved') payload = { to: place }
    if ('target' in payload) {
      const { uid } = may(role, 'writeEntries')
        ? await post(role, 'noted', { payload: { text: 'First' } })
        : { uid: uuidv7() }
      payload = { ...payload, target: uid }
    }
    const { status, receipt } = await post(role, kind, { payload, subject: subjectFor(kind) })
    if (!may(role, 'writeEntries')) expect(status).toBe(403)
    else
      expect(receipt).toMatchObject(mayRecord(role, kind) ? { status: 'accepted' } : { code: 'not_allowed' })
  })

  it.each(ROLES.filter((role) => may(role, 'writeEntries')))(
    "a %s takes back a colleague's entry only as a senior",
    async (role) => {
      const other = role === 'keeper' ? 'volunteer' : 'keeper'
      const { uid } = await post(other, 'noted', { payload: { text: 'Mine' } })
      const { receipt } = await post(role, 'retracted', { payload: { target: uid, why: 'No' } })
      expect(receipt).toMatchObject(
        may(role, 'amendOthers') ? { status: 'accepted' } : { code: 'not_allowed' },
      )
    },
  )

  it('nobody writes under the name of somebody who was not signed in on that device', async () => {
    const { receipt } = await post('keeper', 'noted', {
      payload: { text: 'As another' },
      author: site.person('curator').id,
    })
    expect(receipt).toMatchObject({ code: 'not_yours' })
  })

  it('what a role may not record it may not bring about by correcting its own entry either', async () => {
    const { uid } = await post('volunteer', 'noted', { payload: { text: 'Mine' } })
    const to = { kind: 'weighed', payload: { grams: 5 } }
    const { receipt } = await post('volunteer', 'corrected', { payload: { target: uid, to, why: 'No' } })
    expect(receipt).toMatchObject({ code: 'not_allowed' })
  })
})
