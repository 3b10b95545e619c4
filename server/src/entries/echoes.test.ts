import type { Draft, Entry, LotState } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { AppendingServer } from '../testing/appending.ts'
import { appendingServer } from '../testing/appending.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, smallSite } from '../testing/smallSite.ts'
import { screenFeedAfter } from '../feed/screenFeed.ts'
import { headOf } from '../streams/ownStream.ts'
import { subjectRows } from './queries.ts'
import { rebuild } from './rebuild.ts'
import { tracedOf } from './traced.ts'

let base: Scratch
let site: SmallSite
let server: AppendingServer
let other: AppendingServer
let minute = 0

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  server = appendingServer(base)
  other = appendingServer(await base.again())
})
afterAll(async () => {
  await server.close()
  await other.close()
  await base.drop()
})

const resident = (index: number) => site.residents[index]?.id ?? ''

function made(draft: Draft, at = (minute += 1)): Entry {
  return entryBy(site.person('keeper').id, draft, new Date(Date.UTC(2026, 4, 1) + at * 60_000).toISOString())
}

async function newLot(): Promise<string> {
  const lot = uuidv7()
  await server.append([made({ subject: lot, kind: 'floorKept', payload: { of: resident(0), at: 'Larder' } })])
  return lot
}

function fed(lot: string, count: number, { whom = resident(0), at = (minute += 1) } = {}): Entry {
  const payload = { item: 'crickets', count, outcome: 'taken', lot } as const
  return made({ subject: whom, kind: 'fed', payload }, at)
}

function takenBack({ uid, subject }: Entry): Entry {
  return made({ subject, kind: 'retracted', payload: { target: uid, why: 'It was not so.' } })
}

async function eaten(lot: string): Promise<number> {
  const [row] = await subjectRows(base.db, [lot])
  const { given } = JSON.parse(row?.state ?? '{}') as LotState
  return given['eaten']?.pieces ?? 0
}

/** Every fold is what a replay of everything says. */
async function expectSound(): Promise<void> {
  expect((await rebuild(base.db, { write: false })).differing).toEqual([])
}

describe('a lot that was fed from', () => {
  it('knows in the same moment what went out of it, in whatever order that comes', async () => {
    const lot = await newLot()
    const late = minute
    minute += 10
    await server.append([fed(lot, 6), fed(lot, 4, { whom: resident(1) })])
    expect(await eaten(lot)).toBe(10)
    await server.append([fed(lot, 3, { at: late + 5 })])
    expect(await eaten(lot)).toBe(13)
    await expectSound()
  })

  it('hears of take-backs and corrections, of those taken back too, and of a part that was of another lot', async () => {
    const [lot, another] = [await newLot(), await newLot()]
    const one = fed(lot, 6)
    await server.append([one, fed(lot, 4)])
    const back = takenBack(one)
    await server.append([back])
    expect(await eaten(lot)).toBe(4)
    await server.append([takenBack(back)])
    expect(await eaten(lot)).toBe(10)
    const { subject, uid, payload } = one as Extract<Entry, { kind: 'fed' }>
    const to = { kind: 'fed', payload: { ...payload, count: 5, lot: another } } as const
    await server.append([made({ subject, kind: 'corrected', payload: { target: uid, to, why: 'A slip.' } })])
    expect([await eaten(lot), await eaten(another)]).toEqual([4, 5])
    await expectSound()
  })

  it('begins, is fed from and is looked at in one post', async () => {
    const lot = uuidv7()
    const [began, checked] = [(minute += 1), (minute += 5)]
    await server.append([
      made({ subject: lot, kind: 'floorKept', payload: { of: resident(2), at: 'Larder' } }, began),
      made({ subject: lot, kind: 'floorChecked', payload: { found: 'nothing' } }, checked),
      fed(lot, 7, { at: began + 2 }),
    ])
    expect(await eaten(lot)).toBe(7)
    await expectSound()
  })

  it('misses nothing that two servers keep at once', async () => {
    const lot = await newLot()
    await Promise.all(
      Array.from({ length: 12 }, (_, index) =>
        (index % 2 ? server : other).append([fed(lot, 1, { whom: resident(index % 6) })]),
      ),
    )
    expect(await eaten(lot)).toBe(12)
    await expectSound()
  })

  it('is put right by a rebuild that has to make the touches first', async () => {
    const lot = await newLot()
    await server.append([fed(lot, 6)])
    await base.pool.query(`delete from touch where how = 'eaten'`)
    await base.pool.query(
      `update subject set state = json_set(state, '$.given', json_object()) where id = ?`,
      [lot],
    )
    await rebuild(base.db, { write: true })
    expect(await eaten(lot)).toBe(6)
    await expectSound()
  })

  it('is named to whoever reads of an amendment without its fact', async () => {
    const lot = await newLot()
    const one = fed(lot, 6)
    await server.append([one])
    const after = await headOf(base.db)
    await server.append([takenBack(one), fed(lot, 1)])
    const rows = await screenFeedAfter(base.db, after, 10)
    expect(rows.map(({ anew }) => anew)).toEqual([[lot], undefined])
  })
})

describe('what went where', () => {
  it('is told of a lot by the facts that count, as they were corrected last', async () => {
    const lot = await newLot()
    const [one, two, three] = [fed(lot, 6), fed(lot, 4, { whom: resident(1) }), fed(lot, 2)]
    await server.append([one, two, three, takenBack(three)])
    const { subject, uid, payload } = two as Extract<Entry, { kind: 'fed' }>
    const to = { kind: 'fed', payload: { ...payload, count: 5 } } as const
    await server.append([made({ subject, kind: 'corrected', payload: { target: uid, to, why: 'A slip.' } })])
    const traced = await tracedOf(base.db, lot, ['resident'])
    expect(traced).toEqual([
      {
        uid: one.uid,
        other: resident(0),
        how: 'eaten',
        occurredAt: one.occurredAt,
        amount: { value: 6, unit: 'pieces' },
      },
      {
        uid: two.uid,
        other: resident(1),
        how: 'eaten',
        occurredAt: two.occurredAt,
        amount: { value: 5, unit: 'pieces' },
      },
    ])
    expect(await tracedOf(base.db, lot, ['place'])).toEqual([])
  })
})
