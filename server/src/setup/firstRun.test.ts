import { OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import { renewLibrary } from '../library/commands.ts'
import { readLibrary } from '../library/readLibrary.ts'
import { client } from '../testing/client.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'

const CODE = 'ABCDE23456'
const given = {
  code: 'abcde-23456',
  house: 'Long Lane Rescue',
  zone: 'America/New_York',
  units: 'us',
  name: 'Ada Brook',
  login: 'ada',
  passphrase: 'many words in a row',
}

let base: Scratch
let app: FastifyInstance

beforeAll(async () => {
  base = await scratch()
  await renewLibrary(
    base.db,
    readLibrary().filter(({ id }) => id === 'leopard-gecko'),
  )
  app = await buildApp({ connection: base, firstCode: CODE })
})
afterAll(async () => {
  await app.close()
  await base.drop()
})

const setUp = (body: object, from = client(app)) =>
  from.call({ method: 'POST', url: OFFICE_ROUTES.setUp.url, body: { ...given, ...body } })
const codeOf = async (answer: ReturnType<typeof setUp>) => (await answer).json<{ code: string }>().code
const isEmpty = async () =>
  (await app.inject({ url: OFFICE_ROUTES.setUpState.url })).json<{ isEmpty: boolean }>().isEmpty

describe('a house of one’s own', () => {
  it('is not begun by anybody who has not read the code, nor without a name, a zone or a passphrase', async () => {
    expect(await isEmpty()).toBe(true)
    expect(await codeOf(setUp({ code: 'ABCDE-23457' }))).toBe('wrong_code')
    for (const bad of [
      { code: 'abc' },
      { house: ' ' },
      { zone: 'Mars/Olympus' },
      { units: 'cubits' },
      { passphrase: 'short' },
    ])
      expect(await codeOf(setUp(bad))).toBe('bad_input')
    expect(await isEmpty()).toBe(true)
  })

  it('is begun once: whoever did answers for it and is signed in', async () => {
    const ada = client(app)
    const both = await Promise.all([setUp({}, ada), setUp({ login: 'eve' }), setUp({ login: 'mal' })])
    const won = both.filter(({ statusCode }) => statusCode === 200)
    expect(won).toHaveLength(1)
    expect(both.filter(({ statusCode }) => statusCode !== 200).map((one) => one.json<object>())).toEqual([
      expect.objectContaining({ code: 'set_up_already' }),
      expect.objectContaining({ code: 'set_up_already' }),
    ])
    expect(won[0]?.json()).toMatchObject({
      person: { name: 'Ada Brook', initials: 'AB', role: 'curator' },
      device: { enrolled: false },
    })
    expect(await isEmpty()).toBe(false)
    expect(await codeOf(setUp({ login: 'late' }))).toBe('set_up_already')
  })

  it('has its clock, its people, nobody living in it, and the care sheets that were there', async () => {
    const login = (await base.pool.query('select login from staff'))[0] as unknown as { login: string }[]
    const ada = client(app)
    const body = { login: login[0]?.login, passphrase: given.passphrase }
    expect((await ada.call({ method: 'POST', url: ROUTES.signIn.url, body })).statusCode).toBe(200)
    const site = (await ada.call({ url: ROUTES.site.url })).json<object>()
    expect(site).toMatchObject({
      name: 'Long Lane Rescue',
      zone: 'America/New_York',
      units: 'us',
      hemisphere: 'north',
      rooms: [],
      enclosures: [],
      people: [{ name: 'Ada Brook' }],
      numbers: {},
    })
    const book = (await ada.call({ url: ROUTES.planBook.url })).json<{ sheets: { id: string }[] }>()
    expect(book.sheets.map(({ id }) => id)).toEqual(['leopard-gecko'])
  })

  it('can stand in the other half of the world, and stays there when the rest is written anew', async () => {
    const login = (await base.pool.query('select login from staff'))[0] as unknown as { login: string }[]
    const ada = client(app)
    const body = { login: login[0]?.login, passphrase: given.passphrase }
    await ada.call({ method: 'POST', url: ROUTES.signIn.url, body })
    const keep = (more: object) =>
      ada.call({
        method: 'PUT',
        url: OFFICE_ROUTES.keepHouse.url,
        body: { name: 'Long Lane Rescue', prefix: '', digits: 4, units: 'us', ...more },
      })
    const stands = async () =>
      (await ada.call({ url: ROUTES.site.url })).json<{ hemisphere: string }>().hemisphere
    expect((await keep({ hemisphere: 'south' })).statusCode).toBeLessThan(300)
    expect(await stands()).toBe('south')
    await keep({})
    expect(await stands()).toBe('south')
    expect((await keep({ hemisphere: 'east' })).statusCode).toBe(400)
  })
})

it('takes no code where none was given out', async () => {
  const other = await scratch()
  const closed = await buildApp({ connection: other })
  const answer = await client(closed).call({ method: 'POST', url: OFFICE_ROUTES.setUp.url, body: given })
  expect(answer.json()).toMatchObject({ code: 'wrong_code' })
  await closed.close()
  await other.drop()
})
