import { sayBookmark } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { feedAfter } from '../feed/rows.ts'
import type { Lease } from '../streams/ownStream.ts'
import { createOwnStream, headOf } from '../streams/ownStream.ts'
import { entriesIn, NOW } from '../testing/appending.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, newcomer, smallSite } from '../testing/smallSite.ts'
import { subjectRows, subjectsAsked } from './queries.ts'
import type { Writing } from './writeTogether.ts'
import { writeTogether } from './writeTogether.ts'

let base: Scratch
let site: SmallSite
let lease: Lease

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  lease = await createOwnStream(base.db).lease()
})
afterAll(() => base.drop())

const first = () => site.residents[0]?.id ?? ''
const second = () => site.residents[1]?.id ?? ''

function noted(subject: string, text: string): Entry {
  return entryBy(
    site.person('keeper').id,
    { subject, kind: 'noted', payload: { text } },
    '2026-05-30T09:00:00.000Z',
  )
}

/** A fold from what stands there now. */
async function foldOf(id: string, text: string): Promise<Writing['folds'][number]> {
  const [row] = await subjectRows(base.db, [id])
  const { version: was = null, up_to: upTo = '' } = row ?? {}
  return { subject: id, family: 'resident', was, upTo, text, closedAt: null }
}

async function write(entries: readonly Entry[], folds: Writing['folds'], more: Partial<Writing> = {}) {
  return writeTogether(base.pool, {
    lease,
    now: NOW,
    entries: entries.map((entry) => ({ entry, family: 'resident' })),
    folds,
    touches: [],
    retouched: [],
    registrations: [],
    ...more,
  })
}

const seqNow = async () => (await headOf(base.db))[lease.stream] ?? 0
const after = (seq: number) => feedAfter(base.db, { ...{ 1: 1e9 }, [lease.stream]: seq }, 1000)

async function everyFold(): Promise<Map<string, string>> {
  return new Map(
    (await subjectsAsked(base.db, ['resident'], { nowMs: 0 })).map(({ id, state }) => [id, state]),
  )
}

describe('one transaction, one statement', () => {
  it('writes entries in their order and every fold, and says where they stand', async () => {
    const head = await seqNow()
    const entries = [noted(first(), 'It\'s "so" \\ 100 %?'), noted(second(), 'Ünder')]
    const folds = [await foldOf(first(), '{"facts":1}'), await foldOf(second(), '{"facts":2}')]
    expect(await write(entries, folds)).toBe(head)
    expect(entriesIn(await after(head))).toEqual(
      entries.map((entry, index) => ({
        ...entry,
        stream: lease.stream,
        seq: head + 1 + index,
        recordedAt: NOW,
      })),
    )
    const rows = await subjectRows(base.db, [first(), second()])
    const upTo = new Set(rows.map(({ up_to: place }) => place.split(',').at(-1)))
    expect(upTo).toEqual(new Set([sayBookmark({ [lease.stream]: head + 2 })]))
    expect(rows.map(({ version, state }) => [version, state]).sort()).toEqual([
      [2, '{"facts":1}'],
      [2, '{"facts":2}'],
    ])
  })

  it('writes nothing over a fold that is another by now, and holds nothing locked', async () => {
    const head = await seqNow()
    const before = await everyFold()
    const folds = [await foldOf(first(), '{"facts":8}'), { ...(await foldOf(second(), '{}')), was: 99 }]
    expect(await write([noted(first(), 'a'), noted(second(), 'b')], folds)).toBeNull()
    expect(await seqNow()).toBe(head)
    expect(await after(head)).toEqual([])
    expect(await everyFold()).toEqual(before)
    const other = await base.again(1)
    await other.pool.query('set innodb_lock_wait_timeout = 1')
    await other.pool.query('update subject set version = version')
    await other.close()
  })

  it('writes nothing when one of the rows is refused, and gives no place away', async () => {
    const head = await seqNow()
    const twice = noted(first(), 'once')
    const writing = write([twice, twice], [await foldOf(first(), '{"facts":7}')])
    await expect(writing).rejects.toMatchObject({ errno: 1062 })
    expect(await seqNow()).toBe(head)
    expect(await after(head)).toEqual([])
  })

  it('writes a long post together as well', async () => {
    const head = await seqNow()
    const entries = Array.from({ length: 300 }, (_, index) =>
      noted(first(), `Note ${index}: it's ? and 'so'`),
    )
    expect(await write(entries, [await foldOf(first(), `{"why":"it's"}`)])).toBe(head)
    expect(entriesIn(await after(head)).map(({ uid, payload }) => [uid, payload])).toEqual(
      entries.map(({ uid, payload }) => [uid, payload]),
    )
    expect((await everyFold()).get(first())).toBe(`{"why":"it's"}`)
  })

  it('begins a subject once, with the next number of the register', async () => {
    const id = noted('', '').uid
    const registered = entryBy(
      site.person('keeper').id,
      { subject: id, kind: 'registered', payload: newcomer('Bramble') },
      '2026-05-30T09:00:00.000Z',
    )
    const begins = { family: 'resident', was: null, upTo: '', closedAt: null } as const
    const fold = { ...begins, subject: id, text: '{"facts":1}' }
    const registrations = [{ subject: id, register: newcomer('Bramble'), isNew: true }]
    await write([registered], [fold], { registrations })
    const [rows] = await base.pool.query('select accession, name from resident where id = ?', [id])
    expect(rows).toEqual([{ accession: '0013', name: 'Bramble' }])
    const again = write([noted(id, 'Again')], [fold])
    await expect(again).rejects.toMatchObject({ errno: 1062 })
  })

  it('writes nothing into a stream that another server holds by now', async () => {
    const head = await seqNow()
    const stale = { ...lease, holder: first() }
    const writing = write([noted(first(), 'x')], [await foldOf(first(), '{}')], { lease: stale })
    await expect(writing).rejects.toThrow('The stream is held by another server.')
    expect(await after(head)).toEqual([])
  })
})
