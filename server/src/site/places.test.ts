import type { BatchAnswer, Bay, Enclosure, KeepBay, PastBay, Site } from '@kobrin/contract'
import { addressOf, OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { signedIn } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { postedBy } from '../testing/requests.ts'

let open: OpenApp

beforeAll(async () => {
  open = await openApp('seniorKeeper')
})
afterAll(() => open.close())

const call = (route: { method: 'POST' | 'PUT' | 'DELETE'; url: string }, id: string, body?: object) =>
  open.as.call({ method: route.method, url: addressOf(route.url, { id }), ...(body && { body }) })
const codeOf = (answer: { json: () => unknown }) => (answer.json() as { code: string }).code
const site = async () => (await open.as.call({ url: ROUTES.site.url })).json<Site>()
const bayOf = async (id: string) => (await site()).bays.find((bay) => bay.id === id)
const boxesOf = async (bayId: string) =>
  (await site()).enclosures
    .filter((box) => box.bayId === bayId)
    .sort((a, b) => a.row - b.row || a.column - b.column)
const room = (name: string) => ({ name, barrier: 1, celsius: [19, 24] })
const made = (answer: { json: () => unknown }) => (answer.json() as { id: string }).id
const box = (id = uuidv7(), widthMm = 300) => ({ id, widthMm, depthMm: 200, heightMm: 200 })

async function newBay(): Promise<string> {
  const roomId = made(await call(OFFICE_ROUTES.addRoom, '', room(`Room ${uuidv7()}`)))
  return made(await call(OFFICE_ROUTES.addBay, roomId, { name: 'Bench' }))
}

function layoutOf(
  bay: Pick<Bay, 'name' | 'version'>,
  shelves: KeepBay['shelves'],
  widthMm: number | null = null,
) {
  return { name: bay.name, barrier: null, widthMm, shelves, version: bay.version }
}

async function furnish(id: string, shelves: KeepBay['shelves'], widthMm: number | null = null) {
  const bay = await bayOf(id)
  if (!bay) throw new Error('No such bay.')
  return call(OFFICE_ROUTES.keepBay, id, layoutOf(bay, shelves, widthMm))
}

function asBoxes(boxes: readonly Enclosure[]) {
  return boxes.map(({ id, widthMm, depthMm, heightMm }) => ({ id, widthMm, depthMm, heightMm }))
}

describe('rooms', () => {
  it('are walked in their order, and one can be put sooner', async () => {
    const first = (await site()).rooms[0]?.id ?? ''
    const ids = []
    for (const name of ['Loft', 'Cellar', 'Shed'])
      ids.push(made(await call(OFFICE_ROUTES.addRoom, '', room(name))))
    expect((await site()).rooms.map(({ id }) => id)).toEqual([first, ...ids])
    await call(OFFICE_ROUTES.putRoom, ids[2] ?? '', { at: 0 })
    expect((await site()).rooms.map(({ name }) => name)).toEqual(['Shed', 'Room', 'Loft', 'Cellar'])
    await call(OFFICE_ROUTES.putRoom, ids[2] ?? '', { at: 99 })
    expect((await site()).rooms.map(({ name }) => name)).toEqual(['Room', 'Loft', 'Cellar', 'Shed'])
  })

  it('have names of their own, an air that is not upside down, and go only while nothing stands in them', async () => {
    expect(codeOf(await call(OFFICE_ROUTES.addRoom, '', room('Loft')))).toBe('name_taken')
    expect(codeOf(await call(OFFICE_ROUTES.addRoom, '', { ...room('Attic'), celsius: [30, 10] }))).toBe(
      'bad_input',
    )
    const loft = (await site()).rooms.find(({ name }) => name === 'Loft')?.id ?? ''
    expect((await call(OFFICE_ROUTES.keepRoom, loft, { ...room('Loft'), barrier: 2 })).statusCode).toBe(204)
    const bay = made(await call(OFFICE_ROUTES.addBay, loft, { name: 'Bench' }))
    expect(codeOf(await call(OFFICE_ROUTES.addBay, loft, { name: 'Bench' }))).toBe('name_taken')
    expect(codeOf(await call(OFFICE_ROUTES.dropRoom, loft))).toBe('not_empty')
    await call(OFFICE_ROUTES.dropBay, bay)
    expect((await call(OFFICE_ROUTES.dropRoom, loft)).statusCode).toBe(204)
    expect((await site()).rooms.map(({ name }) => name)).not.toContain('Loft')
    expect(codeOf(await call(OFFICE_ROUTES.keepRoom, loft, room('Loft')))).toBe('no_such_place')
  })
})

describe('a bay', () => {
  it('is furnished shelf by shelf; a box that is put elsewhere is still the same box', async () => {
    const id = await newBay()
    const [a, b, c] = [box(), box(), box()]
    expect((await furnish(id, [[a, b], [c]])).statusCode).toBe(204)
    expect((await furnish(id, [[b], [c, { ...a, widthMm: 450 }]])).statusCode).toBe(204)
    expect(
      (await boxesOf(id)).map(({ id: one, row, column, widthMm }) => [one, row, column, widthMm]),
    ).toEqual([
      [b.id, 0, 0, 300],
      [c.id, 1, 0, 300],
      [a.id, 1, 1, 450],
    ])
    expect((await bayOf(id))?.version).toBe(3)
  })

  it('remembers how it stood before, and can be furnished so again, boxes taken away with it', async () => {
    const id = await newBay()
    const [a, b, c] = [box(), box(), box()]
    await furnish(id, [[a, b], [c]], 900)
    await furnish(id, [[b]])
    const { past } = (await open.as.call({ url: addressOf(OFFICE_ROUTES.pastOfBay.url, { id }) })).json<{
      past: PastBay[]
    }>()
    expect(past.map(({ version, layout }) => [version, layout.shelves.flat().length])).toEqual([
      [2, 3],
      [1, 0],
    ])
    expect(past[0]).toMatchObject({
      by: open.site.person('seniorKeeper').id,
      layout: { widthMm: 900, shelves: [[a, b], [c]] },
    })
    expect((await furnish(id, past[0]?.layout.shelves ?? [])).statusCode).toBe(204)
    expect((await boxesOf(id)).map((one) => one.id)).toEqual([a.id, b.id, c.id])
  })

  it('takes no more than fits, nothing twice, and no box of another bay', async () => {
    const id = await newBay()
    const [a, b, c] = [box(), box(), box()]
    expect(codeOf(await furnish(id, [[a, b, c]], 800))).toBe('wider_than_shelf')
    expect(codeOf(await furnish(id, [[a], [a]]))).toBe('bad_input')
    expect(codeOf(await furnish(id, [[box(open.site.enclosures[0]?.id)]]))).toBe('known_subject')
    expect(await boxesOf(id)).toEqual([])
    expect((await furnish(id, [[a, b, c]], 900)).statusCode).toBe(204)
  })

  it('is not written over unseen: of two who change it at once the second is told, and can do theirs again', async () => {
    const id = await newBay()
    const bay = await bayOf(id)
    if (!bay) throw new Error('No such bay.')
    const [mine, theirs] = [box(), box()]
    const both = await Promise.all([
      call(OFFICE_ROUTES.keepBay, id, layoutOf(bay, [[mine]])),
      call(OFFICE_ROUTES.keepBay, id, layoutOf(bay, [[theirs]])),
    ])
    expect(both.map(({ statusCode }) => statusCode).sort()).toEqual([204, 409])
    expect(codeOf(both.find(({ statusCode }) => statusCode === 409) ?? { json: () => ({}) })).toBe(
      'changed_meanwhile',
    )
    const [kept] = asBoxes(await boxesOf(id))
    const other = kept?.id === mine.id ? theirs : mine
    expect((await furnish(id, [kept ? [kept, other] : [other]])).statusCode).toBe(204)
    expect(await boxesOf(id)).toHaveLength(2)
  })

  it('leaves nobody nowhere: whoever is moved into a box while it is taken away is there, or was never moved', async () => {
    const resident = open.site.residents[0]?.id ?? ''
    const { id: author } = open.site.person('seniorKeeper')
    const move = async (to: string, subject = resident): Promise<boolean> => {
      const entry = postedBy(author, { subject, kind: 'moved', payload: { to } })
      const answer = await open.as.call({
        method: 'POST',
        url: ROUTES.append.url,
        body: { entries: [entry] },
      })
      return answer.json<BatchAnswer>().receipts[0]?.status === 'accepted'
    }
    const [before] = asBoxes(await boxesOf(open.site.bays[0]?.id ?? ''))
    for (let round = 0; round < 8; round += 1) {
      const bayId = await newBay()
      const target = box()
      await furnish(bayId, [[target]])
      const [moved, taken] = await Promise.all([move(target.id), furnish(bayId, [])])
      const standing = (await boxesOf(bayId)).some(({ id, retired }) => id === target.id && !retired)
      expect([moved, taken.statusCode === 204, standing], `round ${round}`).toEqual(
        moved ? [true, false, true] : [false, true, false],
      )
      expect(await move(before?.id ?? '')).toBe(true)
    }
    // The server has heard of a box, and it is taken away: what it knows by heart is no box to live in.
    const bayId = await newBay()
    const heard = box()
    await furnish(bayId, [[heard]])
    expect(await move(heard.id, uuidv7())).toBe(false)
    expect((await furnish(bayId, [])).statusCode).toBe(204)
    expect(await move(heard.id)).toBe(false)
  })

  it('loses no box that holds somebody; one that held somebody is retired, an empty one is gone', async () => {
    const bayId = open.site.bays[0]?.id ?? ''
    const boxes = asBoxes(await boxesOf(bayId))
    const [home, ...others] = boxes
    expect(codeOf(await furnish(bayId, [others]))).toBe('still_lived_in')
    expect(await boxesOf(bayId)).toHaveLength(boxes.length)

    // Those that live there move into the empty one.
    const empty = boxes.at(-1)
    const resident = open.site.residents[0]?.id ?? ''
    const { id: author } = open.site.person('seniorKeeper')
    const moved = postedBy(author, { subject: resident, kind: 'moved', payload: { to: empty?.id } })
    const answer = await open.as.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [moved] } })
    expect(answer.statusCode).toBe(200)
    expect((await furnish(bayId, [others])).statusCode).toBe(204)
    const after = await boxesOf(bayId)
    expect(after.filter(({ retired }) => retired).map(({ id }) => id)).toEqual([home?.id])

    // And can be put back, with all that is on record about it.
    expect((await furnish(bayId, [others, home ? [home] : []])).statusCode).toBe(204)
    expect((await boxesOf(bayId)).filter(({ retired }) => retired)).toEqual([])

    const unused = await newBay()
    await furnish(unused, [[box()]])
    await furnish(unused, [])
    expect(await boxesOf(unused)).toEqual([])
    expect((await call(OFFICE_ROUTES.dropBay, unused)).statusCode).toBe(204)
    expect(codeOf(await call(OFFICE_ROUTES.dropBay, bayId))).toBe('not_empty')
  })

  it('can be moved into as soon as it stands, and has its author in the list of changes', async () => {
    const id = await newBay()
    const there = box()
    await furnish(id, [[there]])
    const keeper = await signedIn(open.app, 'keeper')
    const moved = postedBy(open.site.person('keeper').id, {
      subject: open.site.residents[1]?.id ?? '',
      kind: 'moved',
      payload: { to: there.id },
    })
    const answer = await keeper.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [moved] } })
    expect(answer.json()).toMatchObject({ receipts: [{ status: 'accepted' }] })
    expect(codeOf(await furnish(id, []))).toBe('still_lived_in')
    const changes = (await open.as.call({ url: addressOf(ROUTES.changes.url, {}, { since: 0 }) })).json<{
      changes: { by: string; what: object }[]
    }>().changes
    expect(changes.at(-1)).toMatchObject({
      by: open.site.person('seniorKeeper').id,
      what: { kind: 'bay', bay: id, name: 'Bench', what: 'kept' },
    })
  })
})
