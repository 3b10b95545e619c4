import type { Role, Route } from '@kobrin/contract'
import { may, MAY_RECORD, mayRecord, PATHS, pathWith, ROLES, ROUTES } from '@kobrin/contract'
import type { EntryKind } from '@kobrin/core'
import { emptyBuild } from '@kobrin/core'
import type { FastifyInstance } from 'fastify'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import type { Client } from '../testing/client.ts'
import { client, signedIn } from '../testing/client.ts'
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

/** A request that would succeed, apart from who makes it. */
function request({ method, url }: Route) {
  const residentId = site.residents[0]?.id ?? ''
  const bodies: Record<string, object> = {
    [`POST ${PATHS.entries}`]: { entries: [{ uid: uuidv7() }] },
    [`POST ${PATHS.device}`]: { name: 'Tablet' },
    [`POST ${PATHS.residents}`]: {
      id: uuidv7(),
      name: 'Newcomer',
      sheet: 'leopard-gecko',
      stage: 'adult',
      count: null,
      sex: 'unknown',
      hatchedOn: null,
      enclosure: site.enclosures.at(-1)?.id,
      comes: 'expected',
    },
    [`POST ${PATHS.stage}`]: { stage: 'adult', reason: 'Grown' },
    [`PUT ${PATHS.sheet}`]: { yaml: 'id: leopard-gecko', why: 'Try' },
    [`POST ${PATHS.schools}`]: {
      sheet: 'leopard-gecko',
      school: 'heat',
      option: 'above',
      reason: 'Lamps are there',
    },
    [`POST ${PATHS.overrides}`]: { resident: residentId, housing: { hides: 3 }, reason: 'Shy' },
    [`POST ${PATHS.endOverride}`]: { target: residentId, number: 0, reason: 'Bold now' },
    [`POST ${PATHS.preview}`]: { resident: residentId },
    [`PUT ${PATHS.enclosure}`]: { widthMm: 600, depthMm: 400, heightMm: 400, build: emptyBuild() },
  }
  const body = bodies[`${method} ${url}`]
  const parameters = {
    residentId,
    sheetId: 'leopard-gecko',
    version: 1,
    enclosureId: site.enclosures.at(-1)?.id ?? '',
  }
  const query = url === PATHS.planChanges ? '?since=0' : ''
  return { method, url: `${pathWith(url, parameters)}${query}`, ...(body && { body }) }
}

const guarded = Object.entries(ROUTES).filter(
  ([name, { access }]) => access !== 'anyone' && name !== 'signOut' && name !== 'feed',
)

describe.each(guarded)('%s', (_, route) => {
  it('is closed to somebody who is not signed in', async () => {
    const response = await client(app).call(request(route))
    expect(response.statusCode).toBe(401)
    expect(response.json()).toMatchObject({ code: 'not_signed_in' })
  })

  it.each(ROLES)('is open or closed to a %s as the table says', async (role) => {
    const allowed = route.access === 'signedIn' || may(role, route.access as 'readSite')
    const { statusCode } = await as(role).call(request(route))
    expect(allowed ? [200, 204] : [403]).toContain(statusCode)
  })
})

const payloads: Record<EntryKind, object> = {
  arrived: { enclosure: '' },
  moved: { to: '' },
  expected: { enclosure: '' },
  vacated: { enclosure: '', floor: 'cleaned' },
  counted: { count: 12 },
  accounted: { found: 1, why: 'Behind the cork' },
  floorHeld: { at: 'Larder' },
  floorChecked: { floor: '00000000-0000-7000-8000-000000000001', found: 'nothing' },
  floorReleased: { floor: '00000000-0000-7000-8000-000000000001' },
  checked: {},
  condition: { score: 3 },
  fed: { item: 'crickets', outcome: 'taken' },
  bowl: { found: 'empty' },
  watered: {},
  cleaned: { scope: 'spot' },
  moistened: {},
  weighed: { grams: 60 },
  measured: { part: 'length', mm: 200 },
  ecdysis: { stage: 'dull' },
  sighted: { seen: true },
  droppings: { look: 'normal' },
  observed: { text: 'Well', severity: 'info' },
  noted: { text: 'A note' },
  held: { hold: 'gravid', reason: 'Felt' },
  released: { hold: 'gravid' },
  corrected: { target: '', to: { kind: 'noted', payload: { text: 'Better' } }, why: 'Slip' },
  retracted: { target: '', why: 'Slip' },
}

async function post(role: Role, kind: EntryKind, payload: object, author = site.person(role).id) {
  const uid = uuidv7()
  const residentId = site.residents[1]?.id ?? ''
  const entry = { uid, residentId, kind, occurredAt: new Date().toISOString(), author, payload }
  const response = await as(role).call({ method: 'POST', url: PATHS.entries, body: { entries: [entry] } })
  return {
    status: response.statusCode,
    receipt: response.json<{ receipts?: { code?: string }[] }>().receipts?.[0],
    uid,
  }
}

describe('entries of each kind', () => {
  const cases = ROLES.flatMap((role) =>
    (Object.keys(MAY_RECORD) as EntryKind[]).map((kind) => [role, kind] as const),
  )

  it.each(cases)('a %s recording "%s" is answered as the table says', async (role, kind) => {
    const place = site.enclosures.at(-1)?.id ?? ''
    let payload = payloads[kind]
    if ('enclosure' in payload) payload = { ...payload, enclosure: place }
    else if ('to' in payload && kind === 'moved') payload = { to: place }
    else if ('target' in payload) {
      const { uid } = may(role, 'writeEntries')
        ? await post(role, 'noted', { text: 'First' })
        : { uid: uuidv7() }
      payload = { ...payload, target: uid }
    }
    const { status, receipt } = await post(role, kind, payload)
    if (!may(role, 'writeEntries')) expect(status).toBe(403)
    else
      expect(receipt).toMatchObject(mayRecord(role, kind) ? { status: 'accepted' } : { code: 'not_allowed' })
  })

  it.each(ROLES.filter((role) => may(role, 'writeEntries')))(
    "a %s takes back a colleague's entry only as a senior",
    async (role) => {
      const other = role === 'keeper' ? 'volunteer' : 'keeper'
      const { uid } = await post(other, 'noted', { text: 'Mine' })
      const { receipt } = await post(role, 'retracted', { target: uid, why: 'No' })
      expect(receipt).toMatchObject(
        may(role, 'amendOthers') ? { status: 'accepted' } : { code: 'not_allowed' },
      )
    },
  )

  it('nobody writes under the name of somebody who was not signed in on that device', async () => {
    const { receipt } = await post('keeper', 'noted', { text: 'As another' }, site.person('curator').id)
    expect(receipt).toMatchObject({ code: 'not_yours' })
  })
})
