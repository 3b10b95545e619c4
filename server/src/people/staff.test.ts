import type { GivenCode, KeepPerson, StaffLine } from '@kobrin/contract'
import { addressOf, OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../testing/client.ts'
import { client, signedIn } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { PASSPHRASE } from '../testing/smallSite.ts'

const CHOSEN = 'three words and more'

let open: OpenApp
let clock: Date

beforeAll(async () => {
  clock = new Date('2026-06-01T08:00:00.000Z')
  open = await openApp('curator', { now: () => clock })
})
afterAll(() => open.close())

const newcomer = (login: string): KeepPerson => ({
  name: 'Nia Newcomer',
  login,
  initials: 'nn',
  role: 'keeper',
  competences: ['venomous'],
})

const add = (login: string) =>
  open.as.call({ method: 'POST', url: OFFICE_ROUTES.addPerson.url, body: newcomer(login) })
const added = async (login: string) => (await add(login)).json<GivenCode>()
const people = async () =>
  (await open.as.call({ url: OFFICE_ROUTES.staff.url })).json<{ people: StaffLine[] }>().people
const lineOf = async (id: string) => (await people()).find((one) => one.id === id)
const at = (route: { method: 'PUT' | 'POST'; url: string }, id: string, body?: object) =>
  open.as.call({ method: route.method, url: addressOf(route.url, { id }), ...(body && { body }) })
const useCode = (login: string, code: string, from: Client = client(open.app)) =>
  from.call({ method: 'POST', url: OFFICE_ROUTES.useCode.url, body: { login, code, passphrase: CHOSEN } })
const signIn = (login: string, passphrase: string, from: Client = client(open.app)) =>
  from.call({ method: 'POST', url: ROUTES.signIn.url, body: { login, passphrase } })
const isIn = async (one: Client) => (await one.call({ url: ROUTES.site.url })).statusCode === 200
const codeOf = (answer: { json: () => unknown }) => (answer.json() as { code: string }).code

describe('somebody new', () => {
  it('comes in with the code that was given to them, once, and with their own passphrase after that', async () => {
    const { person, code } = await added('nia')
    expect(code).toMatch(/^[0-9A-Z]{5}-[0-9A-Z]{5}$/)
    expect(await lineOf(person)).toMatchObject({
      initials: 'NN',
      active: true,
      hasPassphrase: false,
      codeUntil: '2026-06-15T08:00:00.000Z',
      lastSignIn: null,
    })
    expect(codeOf(await signIn('nia', CHOSEN))).toBe('wrong_passphrase')
    expect(codeOf(await useCode('nia', 'AAAAA-AAAAA'))).toBe('wrong_code')
    expect(codeOf(await useCode('nobody', code))).toBe('wrong_code')
    const both = await Promise.all([useCode('nia', code), useCode('nia', code)])
    expect(both.map(({ statusCode }) => statusCode).sort()).toEqual([200, 403])
    expect((await signIn('nia', CHOSEN)).statusCode).toBe(200)
    expect(await lineOf(person)).toMatchObject({
      hasPassphrase: true,
      codeUntil: null,
      lastSignIn: clock.toISOString(),
    })
  })

  it('is not called as somebody else is, and a code is good for a fortnight or until the next one', async () => {
    expect(codeOf(await add('keeper'))).toBe('login_taken')
    const { person, code } = await added('nils')
    const next = (await at(OFFICE_ROUTES.giveCode, person)).json<GivenCode>()
    expect(codeOf(await useCode('nils', code))).toBe('wrong_code')
    clock = new Date(clock.getTime() + 14 * 86_400_000 + 1)
    open.as = await signedIn(open.app, 'curator')
    expect(codeOf(await useCode('nils', next.code))).toBe('wrong_code')
    expect(await lineOf(person)).toMatchObject({ codeUntil: null })
  })
})

describe('somebody who leaves', () => {
  it('is signed out everywhere at once and cannot come in; their name stays', async () => {
    const vet = await signedIn(open.app, 'vet')
    const { id } = open.site.person('vet')
    expect(await isIn(vet)).toBe(true)
    expect((await at(OFFICE_ROUTES.letGo, id)).statusCode).toBe(204)
    expect(await isIn(vet)).toBe(false)
    expect(codeOf(await signIn('vet', PASSPHRASE))).toBe('wrong_passphrase')
    const site = (await open.as.call({ url: ROUTES.site.url })).json<{ people: { id: string }[] }>()
    expect(site.people.map((person) => person.id)).toContain(id)

    expect((await at(OFFICE_ROUTES.letBack, id)).statusCode).toBe(204)
    expect(await isIn(vet)).toBe(false)
    expect((await signIn('vet', PASSPHRASE)).statusCode).toBe(200)
  })

  it('is never the last who answers for the house, however it is tried', async () => {
    const curator = open.site.person('curator')
    const { name, login, initials, competences } = curator
    const as = (role: KeepPerson['role']) => ({ name, login, initials, competences, role })
    expect(codeOf(await at(OFFICE_ROUTES.letGo, curator.id))).toBe('last_curator')
    expect(codeOf(await at(OFFICE_ROUTES.keepPerson, curator.id, as('keeper')))).toBe('own_role')

    // One who was named and never came in is no help.
    const { person, code } = await added('second')
    await at(OFFICE_ROUTES.keepPerson, person, { ...newcomer('second'), role: 'curator' })
    expect(codeOf(await at(OFFICE_ROUTES.letGo, curator.id))).toBe('last_curator')
    const second = client(open.app)
    await useCode('second', code, second)
    const answers = await Promise.all([
      second.call({ method: 'POST', url: addressOf(OFFICE_ROUTES.letGo.url, { id: curator.id }) }),
      at(OFFICE_ROUTES.letGo, person),
    ])
    expect(answers.filter(({ statusCode }) => statusCode === 204)).toHaveLength(1)
    const rows = await open.base.pool.query("select id from staff where role = 'curator' and active")
    expect(rows[0]).toHaveLength(1)
    await open.base.pool.query("update staff set active = 1 where role = 'curator'")
    open.as = await signedIn(open.app, 'curator')
  })
})

describe('what is written down of somebody', () => {
  it('holds at once for whoever is at work', async () => {
    const volunteer = await signedIn(open.app, 'volunteer')
    const { id, name, login, initials } = open.site.person('volunteer')
    const mayEdit = () => volunteer.call({ url: ROUTES.devices.url })
    expect(codeOf(await mayEdit())).toBe('not_allowed')
    await at(OFFICE_ROUTES.keepPerson, id, { name, login, initials, role: 'seniorKeeper', competences: [] })
    expect((await mayEdit()).statusCode).toBe(200)
  })

  it('has its author in the list of changes, and no secret in it', async () => {
    const since = Math.floor(clock.getTime() / 86_400_000) - 20
    const answer = await open.as.call({ url: addressOf(ROUTES.changes.url, {}, { since }) })
    const changes = answer.json<{ changes: { by: string; what: { kind: string; what: string } }[] }>().changes
    const of = changes.filter(({ what }) => what.kind === 'person')
    expect(new Set(of.map(({ what }) => what.what))).toEqual(
      new Set(['added', 'passphrase', 'code', 'left', 'returned', 'kept']),
    )
    expect(answer.body).not.toMatch(/argon2|hash/i)
  })
})

describe('what is one’s own', () => {
  it('is changed by whoever knows the passphrase; other sign-ins end with the old one', async () => {
    const here = await signedIn(open.app, 'keeper')
    const elsewhere = await signedIn(open.app, 'keeper')
    const choose = (url: string, body: object) => here.call({ method: 'PUT', url, body })
    const { url } = OFFICE_ROUTES.choosePassphrase
    expect(codeOf(await choose(url, { passphrase: 'a wrong guess', next: CHOSEN }))).toBe(
      'not_your_passphrase',
    )
    expect(codeOf(await choose(url, { passphrase: PASSPHRASE, next: 'short' }))).toBe('bad_input')
    expect((await choose(url, { passphrase: PASSPHRASE, next: CHOSEN })).statusCode).toBe(204)
    expect([await isIn(here), await isIn(elsewhere)]).toEqual([true, false])
    expect(codeOf(await signIn('keeper', PASSPHRASE))).toBe('wrong_passphrase')

    const pin = OFFICE_ROUTES.choosePin.url
    const { id } = open.site.person('keeper')
    expect((await choose(pin, { passphrase: CHOSEN, pin: null })).statusCode).toBe(204)
    expect(await lineOf(id)).toMatchObject({ hasPin: false })
    expect(codeOf(await choose(pin, { passphrase: CHOSEN, pin: '12' }))).toBe('bad_input')
    expect((await choose(pin, { passphrase: CHOSEN, pin: '2718' })).statusCode).toBe(204)
    expect(await lineOf(id)).toMatchObject({ hasPin: true })
  })
})
