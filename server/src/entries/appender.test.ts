import { placeOfNumber } from './writeTogether.ts'
import type { Receipt } from '@kobrin/contract'
import type { Draft, Entry, Payload, ResidentState } from '@kobrin/core'
import { asRevision3, replay } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { headOf } from '../streams/ownStream.ts'
import type { AppendingServer } from '../testing/appending.ts'
import { appendingServer, placeOf } from '../testing/appending.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, newcomer, smallSite } from '../testing/smallSite.ts'
import { historyOf, subjectRows, subjectsAsked } from './queries.ts'
import { rebuild } from './rebuild.ts'
import { refold } from './refold.ts'

let base: Scratch
let site: SmallSite
let server: AppendingServer
let keeper: string
let minute = 0

beforeAll(async () => {
  site = smallSite()
  keeper = site.person('keeper').id
  base = await scratch(site)
  server = appendingServer(base)
})
afterAll(async () => {
  await server.close()
  await base.drop()
})

function resident(index: number): string {
  return site.residents[index]?.id ?? ''
}

function enclosure(index: number): string {
  return site.enclosures.at(index)?.id ?? ''
}

/** Each a minute after the last. */
function made(draft: Draft, { at, act }: { at?: string; act?: string } = {}): Entry {
  minute += 1
  const entry = entryBy(keeper, draft, at ?? new Date(Date.UTC(2026, 4, 1) + minute * 60_000).toISOString())
  return act === undefined ? entry : { ...entry, act }
}

function weighed(subject: string, grams: number, at?: string): Entry {
  return made({ subject, kind: 'weighed', payload: { grams } }, at === undefined ? {} : { at })
}

function takenBack({ uid, subject }: Entry, act?: string): Entry {
  return made(
    { subject, kind: 'retracted', payload: { target: uid, why: 'It was not so.' } },
    act === undefined ? {} : { act },
  )
}

async function stored(id: string): Promise<ResidentState> {
  const [row] = await subjectRows(base.db, [id])
  return JSON.parse(row?.state ?? 'null') as ResidentState
}

const gramsOf = async (id: string) => (await stored(id)).growth.weights.map(({ grams }) => grams)

/** What the whole history says, as it would have been stored. */
async function told(id: string): Promise<unknown> {
  return JSON.parse(JSON.stringify(replay('resident', await historyOf(base.db, id))))
}

const codesOf = (receipts: readonly Receipt[]) =>
  receipts.map((receipt) => (receipt.status === 'refused' ? receipt.code : 'accepted'))

async function touchesOf(subject: string) {
  const [rows] = await base.pool.query('select how, other from touch where subject = ? order by day, how', [
    subject,
  ])
  return rows as { how: string; other: string }[]
}

describe('appending', () => {
  it('gives places in the order given, one after another', async () => {
    const [head] = await server.append([weighed(resident(0), 59)])
    const receipts = await server.append([
      weighed(resident(0), 60),
      weighed(resident(1), 61),
      weighed(resident(0), 62),
    ])
    const seqs = receipts.map((receipt) => Number(placeOf(receipt).split(':')[1]))
    const before = Number(placeOf(head).split(':')[1])
    expect(seqs).toEqual([before + 1, before + 2, before + 3])
  })

  it('keeps the fold with the entries', async () => {
    await server.append([
      weighed(resident(2), 55),
      made({ subject: resident(2), kind: 'watered', payload: {} }),
    ])
    expect(await stored(resident(2))).toEqual(await told(resident(2)))
    expect(await gramsOf(resident(2))).toEqual([55])
  })

  it('answers the same place when the same entry is posted again, and keeps it once', async () => {
    const entry = weighed(resident(0), 63)
    const [first] = await server.append([entry])
    const [second, third] = await server.append([entry, entry])
    expect([second, third]).toEqual([first, first])
    const history = await historyOf(base.db, resident(0))
    expect(history.filter(({ uid }) => uid === entry.uid)).toHaveLength(1)
  })

  it('tells when something else is on record under the same identity, and keeps what was there', async () => {
    const entry = weighed(resident(0), 63.5)
    const [first] = await server.append([entry])
    const others = [
      { ...entry, payload: { grams: 64 } },
      { ...entry, subject: resident(1) },
      { ...entry, occurredAt: '2026-05-20T10:00:00.001Z' },
    ] as Entry[]
    for (const other of others) expect(codesOf(await server.append([other]))).toEqual(['other_content'])
    expect(
      await server.append([{ ...entry, payload: { ...entry.payload, confirmed: true } } as Entry]),
    ).toEqual([first])
  })

  it('puts what happened earlier in its place in the fold', async () => {
    await server.append([weighed(resident(3), 70, '2026-05-20T10:00:00.000Z')])
    await server.append([weighed(resident(3), 50, '2026-05-10T10:00:00.000Z')])
    expect(await gramsOf(resident(3))).toEqual([50, 70])
  })

  it('refuses what it cannot place and keeps the rest of the batch', async () => {
    const receipts = await server.append([
      weighed(uuidv7(), 10),
      weighed(resident(0), 64),
      made({ subject: resident(0), kind: 'moved', payload: { to: uuidv7() } }),
      made({ subject: enclosure(0), kind: 'weighed', payload: { grams: 4 } }),
    ])
    expect(codesOf(receipts)).toEqual(['unknown_subject', 'accepted', 'unknown_place', 'wrong_family'])
  })

  it('keeps what was taken from a batch in pieces and in grams, each with its unit', async () => {
    const lot = uuidv7()
    const kept = made({ subject: lot, kind: 'floorKept', payload: { of: resident(0), at: 'Larder' } })
    const meal = made({
      subject: resident(0),
      kind: 'fed',
      payload: { item: 'crickets', count: 6, grams: 2.5, outcome: 'taken', lot },
    })
    expect(codesOf(await server.append([kept, meal]))).toEqual(['accepted', 'accepted'])
    const [rows] = await base.pool.query('select amount, unit from touch where subject = ? order by nth', [
      lot,
    ])
    expect(rows).toEqual([
      { amount: 6, unit: 'pieces' },
      { amount: 2.5, unit: 'g' },
    ])
  })

  it('keeps a post that can be kept beside one that cannot', async () => {
    const poison: Entry = { ...weighed(resident(0), 65), author: 'not an identity' }
    const posts = await Promise.allSettled([
      server.append([weighed(resident(0), 66)]),
      server.append([poison]),
      server.append([weighed(resident(1), 67)]),
    ])
    expect(posts.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled'])
  })

  it('reads a fold again that was written elsewhere meanwhile', async () => {
    const other = await base.again(2)
    const second = appendingServer(other)
    await server.append([weighed(resident(10), 40)])
    await second.append([weighed(resident(10), 41)])
    await server.append([weighed(resident(10), 42)])
    expect(await gramsOf(resident(10))).toEqual([40, 41, 42])
    expect(await stored(resident(10))).toEqual(await told(resident(10)))
    await second.close()
    await other.close()
  })
})

describe('a newcomer', () => {
  const registered = (id: string, payload: Payload<'registered'>, act?: string) =>
    made({ subject: id, kind: 'registered', payload }, act === undefined ? {} : { act })
  const rowOf = async (id: string) => {
    const [rows] = await base.pool.query('select accession, name, stage from resident where id = ?', [id])
    return (rows as object[])[0]
  }

  it('is on record with its place and its number, in one doing', async () => {
    const [id, act] = [uuidv7(), uuidv7()]
    const arrived = { subject: id, kind: 'arrived', payload: { enclosure: enclosure(-1) } } as const
    const receipts = await server.append([registered(id, newcomer('Bramble'), act), made(arrived, { act })])
    expect(codesOf(receipts)).toEqual(['accepted', 'accepted'])
    expect(await rowOf(id)).toEqual({ accession: '0013', name: 'Bramble', stage: 'adult' })
    expect(await stored(id)).toMatchObject({
      register: { name: 'Bramble' },
      stay: { place: { enclosure: enclosure(-1) } },
    })
    expect(await touchesOf(enclosure(-1))).toEqual([{ how: 'movedInto', other: id }])
  })

  it('is not on record at all when its place does not exist', async () => {
    const [id, act] = [uuidv7(), uuidv7()]
    const arrived = { subject: id, kind: 'arrived', payload: { enclosure: uuidv7() } } as const
    const receipts = await server.append([registered(id, newcomer('Nobody'), act), made(arrived, { act })])
    expect(codesOf(receipts)).toEqual(['act_incomplete', 'unknown_place'])
    expect(await rowOf(id)).toBeUndefined()
  })

  it('is refused on a sheet or a stage that is not there, and cannot be put on record twice', async () => {
    const [sheetless, stageless] = [
      { ...newcomer('A'), sheet: 'dragon' },
      { ...newcomer('B'), stage: 'egg' },
    ]
    const receipts = await server.append([
      registered(uuidv7(), sheetless),
      registered(uuidv7(), stageless),
      registered(resident(0), newcomer('C')),
    ])
    expect(codesOf(receipts)).toEqual(['unknown_sheet', 'unknown_stage', 'known_subject'])
  })

  const numbered = (id: string, number: string) => registered(id, { ...newcomer('Numbered'), number })
  const numberOf = async (id: string) => ((await rowOf(id)) as { accession?: string } | undefined)?.accession

  it('keeps the number it had before, and nobody after it is given the same', async () => {
    const [old, next] = [uuidv7(), uuidv7()]
    await server.append([numbered(old, 'TR-2019-0400')])
    await server.append([registered(next, newcomer('Next'))])
    expect([await numberOf(old), await numberOf(next)]).toEqual(['TR-2019-0400', '0401'])
  })

  it('is refused with a number that somebody has, on record or in the same post', async () => {
    const receipts = await server.append([
      numbered(uuidv7(), 'X-1'),
      numbered(uuidv7(), 'X-1'),
      numbered(uuidv7(), 'TR-2019-0400'),
    ])
    expect(codesOf(receipts)).toEqual(['accepted', 'number_taken', 'number_taken'])
  })

  it('is numbered as the house writes its numbers', async () => {
    const id = uuidv7()
    await base.pool.query("update numbering set prefix = 'RW-{year}-', digits = 3")
    await server.append([registered(id, newcomer('Scheme'))])
    await base.pool.query("update numbering set prefix = '', digits = 4")
    expect(await numberOf(id)).toMatch(/^RW-\d{4}-402$/)
  })

  it.each([
    ['0007', 7],
    ['TR-2019-0400', 400],
    ['B12a', 0],
    ['985141000123456', 0],
    ['Tansy', 0],
  ])('%s takes up place %i in the order of numbers', (number, place) => {
    expect(placeOfNumber(number)).toBe(place)
  })

  it('that reached a stage is known by it in the register; taken back, as before', async () => {
    const grown = made({
      subject: resident(11),
      kind: 'staged',
      payload: { stage: 'juvenile', why: 'Was put down as grown' },
    })
    await server.append([grown])
    expect(await rowOf(resident(11))).toMatchObject({ stage: 'juvenile' })
    await server.append([takenBack(grown)])
    expect(await rowOf(resident(11))).toMatchObject({ stage: 'adult' })
    const odd = made({ subject: resident(11), kind: 'staged', payload: { stage: 'egg', why: 'No' } })
    expect(codesOf(await server.append([odd]))).toEqual(['unknown_stage'])
  })
})

describe('amending', () => {
  const correction = (target: Entry, grams: number, subject = target.subject): Entry =>
    made({
      subject,
      kind: 'corrected',
      payload: { target: target.uid, to: { kind: 'weighed', payload: { grams } }, why: 'Slip.' },
    })

  it('a correction changes the fold and keeps both', async () => {
    const slip = weighed(resident(4), 6.1)
    await server.append([slip])
    await server.append([correction(slip, 61)])
    expect(await gramsOf(resident(4))).toEqual([61])
    expect((await historyOf(base.db, resident(4))).map(({ kind }) => kind)).toEqual([
      'registered',
      'arrived',
      'weighed',
      'corrected',
    ])
  })

  it('a correction in the same batch as its target is heard, one before its target is not', async () => {
    const slip = weighed(resident(5), 5.8)
    const later = weighed(resident(5), 59)
    const receipts = await server.append([slip, correction(slip, 58), takenBack(later), later])
    expect(codesOf(receipts)).toEqual(['accepted', 'accepted', 'unknown_target', 'accepted'])
    expect(await gramsOf(resident(5))).toEqual([58, 59])
    expect(await stored(resident(5))).toEqual(await told(resident(5)))
  })

  it.each([
    ['unknown_target', (target: Entry) => correction({ ...target, uid: uuidv7() }, 1)],
    ['unknown_target', (target: Entry) => correction(target, 1, site.residents[7]?.id)],
    [
      'wrong_kind',
      ({ uid, subject }: Entry) =>
        made({
          subject,
          kind: 'corrected',
          payload: { target: uid, to: { kind: 'noted', payload: { text: 'No.' } }, why: 'So.' },
        }),
    ],
  ])('is refused as %s when it cannot be', async (code, amend) => {
    const target = weighed(resident(6), 57)
    await server.append([target])
    expect(codesOf(await server.append([amend(target)]))).toEqual([code])
  })

  it('a move cannot be corrected into a box that does not exist', async () => {
    const moved = made({ subject: resident(6), kind: 'moved', payload: { to: enclosure(6) } })
    const to = (place: string) =>
      made({
        subject: resident(6),
        kind: 'corrected',
        payload: { target: moved.uid, to: { kind: 'moved', payload: { to: place } }, why: 'Wrong box.' },
      })
    const receipts = await server.append([moved, to(uuidv7()), to(enclosure(7))])
    expect(codesOf(receipts)).toEqual(['accepted', 'unknown_place', 'accepted'])
    expect((await stored(resident(6))).stay.place?.enclosure).toBe(enclosure(7))
    expect((await touchesOf(enclosure(7))).map(({ other }) => other)).toContain(resident(6))
    expect((await touchesOf(enclosure(6))).map(({ how, other }) => `${how} ${other}`)).toEqual([
      `movedInto ${resident(6)}`,
    ])
  })

  it('a correction cannot be corrected, but it can be taken back', async () => {
    const slip = weighed(resident(8), 5.5)
    const fix = correction(slip, 55)
    await server.append([slip, fix])
    expect(codesOf(await server.append([correction(fix, 54)]))).toEqual(['not_correctable'])
    await server.append([takenBack(fix)])
    expect(await gramsOf(resident(8))).toEqual([5.5])
  })

  it('one doing is taken back as a whole or not at all', async () => {
    const act = uuidv7()
    const moved = made({ subject: resident(9), kind: 'moved', payload: { to: enclosure(9) } }, { act })
    const vacated = made(
      { subject: enclosure(8), kind: 'vacated', payload: { resident: resident(9), leaves: 'toClean' } },
      { act },
    )
    await server.append([moved, vacated])
    expect(codesOf(await server.append([takenBack(moved)]))).toEqual(['part_of_act'])
    const back = uuidv7()
    const both = await server.append([takenBack(moved, back), takenBack(vacated, back)])
    expect(codesOf(both)).toEqual(['accepted', 'accepted'])
    const [row] = await subjectRows(base.db, [enclosure(8)])
    expect(JSON.parse(row?.state ?? '')).toMatchObject({ waits: null })
  })
})

describe('many late entries', () => {
  it('are folded by one look at the history, and the fold is what the history says', async () => {
    const late = Array.from({ length: 60 }, (_, index) =>
      weighed(resident(7), 50 + index / 10, new Date(Date.UTC(2026, 1, 1, index)).toISOString()),
    )
    await server.append([weighed(resident(7), 60)])
    const [before] = await subjectRows(base.db, [resident(7)])
    expect(codesOf(await server.append(late))).toEqual(late.map(() => 'accepted'))
    const [after] = await subjectRows(base.db, [resident(7)])
    expect((after?.version ?? 0) - (before?.version ?? 0)).toBe(1)
    expect(await stored(resident(7))).toEqual(await told(resident(7)))
  })
})

describe('rebuilding', () => {
  it('finds a fold or touches that do not say what the entries say, and puts them right', async () => {
    expect((await rebuild(base.db, { write: false })).differing).toEqual([])
    await base.pool.query(`update subject set state = json_set(state, '$.facts', 99) where id = ?`, [
      resident(1),
    ])
    await base.pool.query('delete from touch where other = ?', [resident(2)])
    const { differing } = await rebuild(base.db, { write: false })
    expect(differing.sort((a, b) => (a.subject < b.subject ? -1 : 1))).toEqual(
      [
        { subject: resident(1), fields: ['facts'] },
        { subject: resident(2), fields: ['touches'] },
      ].sort((a, b) => (a.subject < b.subject ? -1 : 1)),
    )
    await rebuild(base.db, { write: true })
    expect((await rebuild(base.db, { write: false })).differing).toEqual([])
    // What this server remembers is no longer what stands there, and it notices.
    await server.append([weighed(resident(1), 62)])
    expect(await stored(resident(1))).toEqual(await told(resident(1)))
    expect(Object.keys(await headOf(base.db)).length).toBeGreaterThan(0)
  })

  /** As the third revision left it. */
  async function foldedBefore(id: string): Promise<void> {
    const state = asRevision3('resident', (await told(id)) as ResidentState)
    await base.pool.query('update subject set state = ?, revision = 3, version = version + 1 where id = ?', [
      JSON.stringify(state),
      id,
    ])
  }

  it('is done once where an earlier version kept less', async () => {
    const progress: number[][] = []
    await foldedBefore(resident(1))
    expect(await refold(base.db, { onProgress: (...said) => progress.push(said) })).toBe(1)
    expect(progress).toEqual([[1, 1]])
    expect(await stored(resident(1))).toEqual(await told(resident(1)))
    expect(await refold(base.db)).toBe(0)
  })

  it('is no damage while it waits, and what is said meanwhile folds the whole history', async () => {
    await foldedBefore(resident(1))
    expect((await rebuild(base.db, { write: false })).differing).toEqual([])
    await server.append([weighed(resident(1), 63)])
    expect(await stored(resident(1))).toEqual(await told(resident(1)))
    expect(await refold(base.db)).toBe(0)
  })
})

describe('a fact of the past', () => {
  it('that tells of a wrong deed is kept, for a verdict to speak of, and what is true goes on being believed', async () => {
    const [newcomerId, lot] = [uuidv7(), uuidv7()]
    const about = (kind: Draft['kind'], payload: object) =>
      made({ subject: newcomerId, kind, payload } as Draft)
    const receipts = await server.append([
      about('registered', newcomer('Done wrong')),
      about('arrived', { enclosure: enclosure(0) }),
      about('died', {}),
      made({ subject: lot, kind: 'floorKept', payload: { of: newcomerId, at: 'Larder' } }),
      about('fed', { item: 'crickets', outcome: 'taken', lot }),
      about('moved', { to: enclosure(1) }),
      about('expected', { enclosure: enclosure(1) }),
      about('arrived', { enclosure: enclosure(1) }),
      about('counted', { count: 0, expected: 4 }),
      about('held', { hold: 'gravid', until: 20_000, reason: 'Over before it began' }),
    ])
    expect(codesOf(receipts)).toEqual(receipts.map(() => 'accepted'))
    expect(await stored(newcomerId)).toMatchObject({
      stay: { place: null, expected: null, ended: { how: 'died' } },
      feeding: { lines: {} },
    })
  })
})

describe('what is handed to a screen at its start', () => {
  const long = 90 * 86_400_000
  const heldAt = async (held: 'open' | 'closed', after: number) => {
    const nowMs = Date.UTC(2026, 4, 1) + minute * 60_000 + after
    return (await subjectsAsked(base.db, ['resident', 'lot'], { held, nowMs })).map(({ id }) => id)
  }
  const about = (subject: string, kind: Draft['kind'], payload: object) =>
    made({ subject, kind, payload } as Draft)

  async function cameHere(name: string): Promise<string> {
    const id = uuidv7()
    await server.append([
      about(id, 'registered', newcomer(name)),
      about(id, 'arrived', { enclosure: enclosure(0) }),
    ])
    return id
  }

  it('is not who is long gone; that is handed out when it is asked for', async () => {
    const [here, gone] = [await cameHere('Here'), await cameHere('Gone')]
    await server.append([about(gone, 'died', { disposal: 'frozen' })])
    expect(await heldAt('open', 0)).toEqual(expect.arrayContaining([here, gone]))
    expect(await heldAt('open', long)).toContain(here)
    expect(await heldAt('open', long)).not.toContain(gone)
    expect(await heldAt('closed', long)).toEqual(expect.arrayContaining([gone]))
    const some = await subjectsAsked(base.db, ['resident'], { of: [gone], nowMs: Date.now() })
    expect(some.map(({ id }) => id)).toEqual([gone])
    expect((await rebuild(base.db, { write: false })).differing).toEqual([])
  })

  it('is whoever something is still to be seen to of, and whoever comes back', async () => {
    const [lent, waits] = [await cameHere('Lent'), await cameHere('Not yet seen to')]
    await server.append([
      about(lent, 'left', { as: 'lent', to: 'A school', dueBack: 20_800 }),
      about(waits, 'died', { disposal: 'notYet' }),
    ])
    expect(await heldAt('open', long)).toEqual(expect.arrayContaining([lent, waits]))
    const back = await cameHere('Back')
    const left = about(back, 'left', { as: 'rehomed', to: 'Somebody' })
    await server.append([left])
    expect(await heldAt('open', long)).not.toContain(back)
    await server.append([takenBack(left)])
    expect(await heldAt('open', long)).toContain(back)
  })

  it('is whose old floor is still kept, and whose box still waits', async () => {
    const [floorOf, boxOf, lot] = [await cameHere('Left a floor'), await cameHere('Left a box'), uuidv7()]
    await server.append([
      about(floorOf, 'died', { disposal: 'frozen' }),
      about(lot, 'floorKept', { of: floorOf, at: 'Larder' }),
      about(boxOf, 'died', { disposal: 'frozen' }),
      about(enclosure(3), 'vacated', { resident: boxOf, leaves: 'toClean' }),
    ])
    const nowMs = Date.UTC(2026, 4, 1) + minute * 60_000 + long
    const held = await subjectsAsked(base.db, ['resident', 'lot', 'place'], { held: 'open', nowMs })
    expect(held.map(({ id }) => id)).toEqual(expect.arrayContaining([floorOf, boxOf, lot]))
    await server.append([about(lot, 'floorDisposed', {})])
    expect(await heldAt('open', long)).not.toContain(floorOf)
  })
})
