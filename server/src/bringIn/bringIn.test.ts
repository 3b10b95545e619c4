import type { BroughtIn, BroughtList, Change, KeptEntry, Site, TakenBack } from '@kobrin/contract'
import { OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import type { Entry, ResidentState } from '@kobrin/core'
import { replay } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addressOf } from '@kobrin/contract'
import { signedIn } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { postedBy } from '../testing/requests.ts'
import { newcomer } from '../testing/smallSite.ts'

let open: OpenApp

beforeAll(async () => {
  open = await openApp('seniorKeeper')
})
afterAll(() => open.close())

const resident = (index = 0) => open.site.residents[index]?.id ?? ''
const freeBox = () => open.site.enclosures.at(-1)?.id ?? ''
const fact = (subject: string, kind: string, payload: object, day = 1) => ({
  uid: uuidv7(),
  subject,
  kind,
  payload,
  occurredAt: `2026-03-${String(day).padStart(2, '0')}T12:00:00.000Z`,
})

async function bringIn(facts: readonly object[], as = open.as): Promise<BroughtIn> {
  const answer = await as.call({
    method: 'POST',
    url: OFFICE_ROUTES.bringIn.url,
    body: { file: 'list.csv', facts },
  })
  expect(answer.statusCode).toBe(200)
  return answer.json<BroughtIn>()
}

async function historyOf(subject: string): Promise<KeptEntry[]> {
  const answer = await open.as.call({ url: addressOf(ROUTES.record.url, { subject }) })
  return answer.json<{ entries: KeptEntry[] }>().entries
}

async function stateOf(subject: string): Promise<unknown> {
  const answer = await open.as.call({ url: ROUTES.states.url })
  return answer.json<{ states: Record<string, { state: unknown }> }>().states[subject]?.state
}

describe('a list that is brought in', () => {
  it('is on record with its folds, as if it had been written day by day', async () => {
    const weights = [5, 1, 3].map((day) => fact(resident(), 'weighed', { grams: 60 + day }, day))
    expect(await bringIn(weights)).toMatchObject({ kept: 3, known: 0, refused: [] })
    const history = await historyOf(resident())
    expect(history.filter(({ kind }) => kind === 'weighed')).toHaveLength(3)
    expect(await stateOf(resident())).toEqual(replay('resident', history as Entry[]))
    expect(history.find(({ kind }) => kind === 'weighed')?.writtenAt).toBeDefined()
  })

  it('brought in again changes nothing, whoever does it', async () => {
    const notes = [
      fact(resident(), 'noted', { text: 'Shy' }, 7),
      fact(resident(1), 'noted', { text: 'Bold' }, 8),
    ]
    expect(await bringIn(notes)).toMatchObject({ kept: 2 })
    const before = await historyOf(resident())
    expect(await bringIn(notes)).toEqual({ kept: 0, known: 2, refused: [] })
    expect(await bringIn(notes, await signedIn(open.app, 'curator'))).toMatchObject({ kept: 0, known: 2 })
    expect(await historyOf(resident())).toEqual(before)
    expect(await bringIn([...notes, fact(resident(), 'noted', { text: 'More' }, 9)])).toMatchObject({
      kept: 1,
      known: 2,
    })
  })

  it('is kept whole or not at all', async () => {
    const before = await historyOf(resident())
    const answer = await bringIn([
      fact(resident(), 'noted', { text: 'Good' }, 10),
      fact(uuidv7(), 'noted', { text: 'About nobody' }, 10),
    ])
    expect(answer).toMatchObject({ kept: 0, refused: [{ code: 'unknown_subject' }] })
    expect(await historyOf(resident())).toEqual(before)
  })

  it.each([
    [{ kind: 'weighed', payload: { grams: -1 } }, 'bad_input'],
    [{ kind: 'noted', payload: { text: 'Soon' }, occurredAt: '2099-01-01T12:00:00.000Z' }, 'in_future'],
    [{ kind: 'merged', payload: { into: uuidv7() } }, 'unknown_subject'],
  ])('says of %o what is wrong', async (part, code) => {
    const answer = await bringIn([{ ...fact(resident(), 'noted', {}), ...part }])
    expect(answer.refused.map((one) => one.code)).toEqual([code])
  })

  it('puts newcomers on record with the numbers they had, and gives the rest the next', async () => {
    const [numbered, next] = [uuidv7(), uuidv7()]
    const list = [
      fact(next, 'arrived', { enclosure: freeBox() }, 2),
      fact(numbered, 'registered', { ...newcomer('Bilge'), number: 'TR-0700' }, 2),
      fact(next, 'registered', newcomer('Strake'), 2),
      fact(numbered, 'weighed', { grams: 41 }, 4),
    ]
    expect(await bringIn(list)).toMatchObject({ kept: 4, refused: [] })
    const { numbers } = (await open.as.call({ url: ROUTES.site.url })).json<Site>()
    expect([numbers[numbered], numbers[next]]).toEqual(['TR-0700', '0701'])
    expect((await stateOf(next)) as ResidentState).toMatchObject({
      register: { name: 'Strake' },
      stay: { place: { enclosure: freeBox() } },
    })
  })

  it('stands beside what tablets write meanwhile: nothing of either is lost', async () => {
    const many = Array.from({ length: 300 }, (_, index) =>
      fact(resident(2), 'weighed', { grams: 50 + (index % 9) }, 1 + (index % 20)),
    )
    const posts = Array.from({ length: 20 }, () =>
      open.as.call({
        method: 'POST',
        url: ROUTES.append.url,
        body: {
          entries: [
            postedBy(open.site.person('seniorKeeper').id, {
              subject: resident(2),
              kind: 'noted',
              payload: { text: 'Now' },
            }),
          ],
        },
      }),
    )
    const [brought] = await Promise.all([bringIn(many), ...posts])
    expect(brought).toMatchObject({ kept: 300 })
    const history = await historyOf(resident(2))
    expect(history.filter(({ kind }) => kind === 'noted')).toHaveLength(20)
    expect(history.filter(({ kind }) => kind === 'weighed')).toHaveLength(300)
    expect(await stateOf(resident(2))).toEqual(replay('resident', history as Entry[]))
  })

  it('is told in the audit, and is for those who answer for the record', async () => {
    const { changes } = (await open.as.call({ url: addressOf(ROUTES.changes.url, {}, { since: 0 }) })).json<{
      changes: Change[]
    }>()
    expect(changes.map(({ what }) => what)).toContainEqual({
      kind: 'broughtIn',
      file: 'list.csv',
      facts: 300,
    })
    const keeper = await signedIn(open.app, 'keeper')
    const body = { file: 'list.csv', facts: [fact(resident(), 'noted', { text: 'No' })] }
    expect((await keeper.call({ method: 'POST', url: OFFICE_ROUTES.bringIn.url, body })).statusCode).toBe(403)
  })
})

describe('a list that was brought in', () => {
  const lists = async () =>
    (await open.as.call({ url: OFFICE_ROUTES.broughtLists.url })).json<BroughtList[]>()
  const takeBack = async (id: string): Promise<TakenBack> => {
    const answer = await open.as.call({
      method: 'POST',
      url: addressOf(OFFICE_ROUTES.takeListBack.url, { id }),
      body: { why: 'The wrong file' },
    })
    expect(answer.statusCode).toBe(200)
    return answer.json<TakenBack>()
  }
  const numbers = async () =>
    Object.keys((await open.as.call({ url: ROUTES.site.url })).json<Site>().numbers).length
  const listOf = (id: string, name: string) => [
    fact(id, 'registered', newcomer(name), 2),
    fact(id, 'arrived', { enclosure: freeBox(), hereSince: null }, 2),
    fact(resident(), 'noted', { text: `Beside ${name}`, forRecord: true }, 3),
  ]

  it('is listed with whom it put on record, and is taken back as a whole', async () => {
    const before = await numbers()
    const facts = listOf(uuidv7(), 'Garnet')
    const { list = '', residents } = await bringIn(facts)
    expect(residents).toEqual({ before, after: before + 1 })
    const [first] = await lists()
    expect(first).toMatchObject({ id: list, facts: 3, newcomerCount: 1, takenBack: null })
    expect(first?.newcomers.map(({ name }) => name)).toEqual(['Garnet'])
    const back = await takeBack(list)
    expect(back).toEqual({ facts: 3, residents: { before: before + 1, after: before }, standing: [] })
    expect((await lists())[0]).toMatchObject({ takenBack: { by: expect.any(String) as string } })
    expect(await numbers()).toBe(before)
    // Once is enough.
    expect(await takeBack(list)).toMatchObject({ facts: 0 })
    const history = await historyOf(resident())
    expect(await stateOf(resident())).toEqual(replay('resident', history as Entry[]))
  })

  it('comes in again after it was taken back, and the same list once more changes nothing', async () => {
    const facts = listOf(uuidv7(), 'Jasper')
    const { list = '' } = await bringIn(facts)
    await takeBack(list)
    const before = await numbers()
    expect(await bringIn(facts)).toMatchObject({ kept: 3, known: 0 })
    expect(await numbers()).toBe(before + 1)
    expect(await bringIn(facts)).toMatchObject({ kept: 0, known: 3 })
  })

  it('stays while somebody has written about those it put on record, and says who', async () => {
    const id = uuidv7()
    const { list = '' } = await bringIn(listOf(id, 'Onyx'))
    const posted = await open.as.call({
      method: 'POST',
      url: ROUTES.append.url,
      body: {
        entries: [
          postedBy(open.site.person('seniorKeeper').id, {
            subject: id,
            kind: 'noted',
            payload: { text: 'Lively' },
          }),
        ],
      },
    })
    expect(posted.statusCode).toBe(200)
    expect(await takeBack(list)).toMatchObject({ facts: 0, standing: [{ id, name: 'Onyx' }] })
    expect((await lists())[0]).toMatchObject({ id: list, takenBack: null })
  })

  it('that is nobody’s is not there', async () => {
    const answer = await open.as.call({
      method: 'POST',
      url: addressOf(OFFICE_ROUTES.takeListBack.url, { id: uuidv7() }),
      body: { why: 'The wrong file' },
    })
    expect(answer.statusCode).toBe(404)
  })
})
