import { crc32 } from 'node:zlib'
import type { Entry } from '@kobrin/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, smallSite } from '../testing/smallSite.ts'
import { headOf, rowsAfter, stateRows } from './queries.ts'
import { entryOf } from './rows.ts'
import type { Turn } from './writeTogether.ts'
import { writeTogether } from './writeTogether.ts'

const NOW = '2026-06-01T12:00:00.000Z'

let base: Scratch
let site: SmallSite

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
})
afterAll(() => base.drop())

async function foldsAsTheyAre(): Promise<Map<string, string>> {
  return new Map((await stateRows(base.db)).map(({ resident_id: id, state }) => [id, state]))
}

function noted(residentId: string, text: string): Entry {
  const draft = { residentId, kind: 'noted', payload: { text } } as const
  return entryBy(site.person('keeper').id, draft, '2026-05-30T09:00:00.000Z')
}

/** A turn of a resident's fold from what stands there now. */
async function turnOf(residentId: string, text: string): Promise<Turn> {
  const state = (await foldsAsTheyAre()).get(residentId) ?? ''
  return { residentId, was: crc32(state), text }
}

describe('one transaction, one statement', () => {
  const first = () => site.residents[0]?.id ?? ''
  const second = () => site.residents[1]?.id ?? ''

  it('writes entries in their order and every fold, and says where they stand', async () => {
    const head = await headOf(base.db)
    const entries = [noted(first(), 'It\'s "so" \\ 100 %?'), noted(second(), 'Ünder')]
    const turns = [await turnOf(first(), '{"facts":1}'), await turnOf(second(), '{"facts":2}')]
    expect(await writeTogether(base.pool, entries, turns, NOW)).toBe(head)
    expect((await rowsAfter(base.db, head, 10)).map(entryOf)).toEqual(
      entries.map((entry, index) => ({ ...entry, seq: head + 1 + index, recordedAt: NOW })),
    )
    const folds = await stateRows(base.db, [first(), second()])
    expect(folds.map(({ last_seq: last, state }) => [last, state]).sort()).toEqual([
      [head + 2, '{"facts":1}'],
      [head + 2, '{"facts":2}'],
    ])
  })

  it('writes nothing over a fold that is another by now, and holds nothing locked', async () => {
    const head = await headOf(base.db)
    const before = await foldsAsTheyAre()
    const stale = { ...(await turnOf(second(), '{"facts":9}')), was: 1 }
    const turns = [await turnOf(first(), '{"facts":8}'), stale]
    expect(await writeTogether(base.pool, [noted(first(), 'a'), noted(second(), 'b')], turns, NOW)).toBeNull()
    expect(await headOf(base.db)).toBe(head)
    expect(await rowsAfter(base.db, head, 10)).toEqual([])
    expect(await foldsAsTheyAre()).toEqual(before)
    const other = await base.again(1)
    await other.pool.query('set innodb_lock_wait_timeout = 1')
    await other.pool.query('update resident_state set last_seq = last_seq')
    await other.close()
  })

  it('writes nothing when one of the rows is refused, and gives no place away', async () => {
    const head = await headOf(base.db)
    const twice = noted(first(), 'once')
    const writing = writeTogether(base.pool, [twice, twice], [await turnOf(first(), '{"facts":7}')], NOW)
    await expect(writing).rejects.toMatchObject({ errno: 1062 })
    expect(await headOf(base.db)).toBe(head)
    expect(await rowsAfter(base.db, head, 10)).toEqual([])
  })

  it('writes a long post together as well', async () => {
    const head = await headOf(base.db)
    const entries = Array.from({ length: 300 }, (_, index) =>
      noted(first(), `Note ${index}: it's ? and 'so'`),
    )
    const before = await writeTogether(base.pool, entries, [await turnOf(first(), `{"why":"it's"}`)], NOW)
    expect(before).toBe(head)
    const kept = await rowsAfter(base.db, head, 1000)
    expect(kept.map(entryOf).map(({ uid, payload }) => [uid, payload])).toEqual(
      entries.map(({ uid, payload }) => [uid, payload]),
    )
    expect((await foldsAsTheyAre()).get(first())).toBe(`{"why":"it's"}`)
  })

  it('says so when the counter of the feed is missing, and writes nothing', async () => {
    const head = await headOf(base.db)
    await base.pool.query('update feed_counter set id = 2')
    const writing = writeTogether(base.pool, [noted(first(), 'x')], [await turnOf(first(), '{}')], NOW)
    await expect(writing).rejects.toThrow('The feed counter is missing.')
    await base.pool.query('update feed_counter set id = 1')
    expect(await rowsAfter(base.db, head, 10)).toEqual([])
  })
})
