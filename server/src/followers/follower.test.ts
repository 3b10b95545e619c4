import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { AppendingServer } from '../testing/appending.ts'
import { appendingServer, entriesIn } from '../testing/appending.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, smallSite } from '../testing/smallSite.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { Follower, Source } from './follower.ts'
import { catchUp, FEED, rebuildFollower } from './follower.ts'

let base: Scratch
let site: SmallSite
let server: AppendingServer

/** How many entries of each kind there are. */
const kinds: Follower = {
  name: 'kinds',
  from: FEED,
  async absorb(tx, rows) {
    for (const { kind } of entriesIn(rows.filter(({ of }) => of !== 'change')))
      await tx.execute(
        sql`insert into kinds_told (kind, many) values (${kind}, 1) on duplicate key update many = many + 1`,
      )
  },
  async forget(tx) {
    await tx.execute(sql`delete from kinds_told`)
  },
}

beforeAll(async () => {
  site = smallSite()
  base = await scratch(site)
  server = appendingServer(base)
  await base.pool.query('create table kinds_told (kind varchar(20) primary key, many int not null)')
})
afterAll(async () => {
  await server.close()
  await base.drop()
})

async function told(): Promise<Record<string, number>> {
  const [rows] = await base.pool.query('select kind, many from kinds_told order by kind')
  return Object.fromEntries((rows as { kind: string; many: number }[]).map(({ kind, many }) => [kind, many]))
}

function noted(text: string) {
  const draft = { subject: site.residents[0]?.id ?? '', kind: 'noted', payload: { text } } as const
  return entryBy(site.person('keeper').id, draft, '2026-05-30T09:00:00.000Z')
}

describe('a follower', () => {
  it('works in what is new, each row once', async () => {
    expect(await catchUp(base.db, kinds)).toBe(24)
    await server.append([noted('One'), noted('Two')])
    expect(await catchUp(base.db, kinds)).toBe(2)
    expect(await catchUp(base.db, kinds)).toBe(0)
    expect(await told()).toEqual({ arrived: 12, noted: 2, registered: 12 })
  })

  it('counts nothing twice when two servers move it at once, and nothing when it fails half-way', async () => {
    await server.append(Array.from({ length: 20 }, (_, index) => noted(`Note ${index}`)))
    const failing: Follower = {
      ...kinds,
      async absorb(tx, rows) {
        await kinds.absorb(tx, rows)
        throw new Error('The power went.')
      },
    }
    await expect(catchUp(base.db, failing)).rejects.toThrow('The power went.')
    const other = await base.again(2)
    const moved = await Promise.all([catchUp(base.db, kinds), catchUp(other.db, kinds)])
    expect(moved.reduce((sum, rows) => sum + rows, 0)).toBe(20)
    expect(await told()).toMatchObject({ noted: 22 })
    await other.close()
  })

  it('is made anew from nothing and says the same', async () => {
    const before = await told()
    await base.pool.query("update kinds_told set many = 99 where kind = 'noted'")
    await rebuildFollower(base.db, kinds)
    expect(await told()).toEqual(before)
  })
})

interface ProbeRow {
  stream: number
  seq: number
  day: number
  celsius: number
}

/** What probes read is in a narrow table of its own: a stream for each of them. */
const PROBES: Source<ProbeRow> = {
  async head(tx) {
    const rows = await rowsOf<{ stream: number; seq: number }>(
      tx,
      sql`select probe as stream, max(seq) as seq from probe_told group by probe`,
    )
    return Object.fromEntries(rows.map(({ stream, seq }) => [String(stream), seq]))
  },
  async after(tx, bookmark, limit) {
    const heads = Object.keys(await PROBES.head(tx))
    const later = heads.map((probe) => sql`(probe = ${Number(probe)} and seq > ${bookmark[probe] ?? 0})`)
    if (later.length === 0) return []
    return rowsOf<ProbeRow>(
      tx,
      sql`select probe as stream, seq, day, celsius from probe_told where ${sql.join(later, sql` or `)}
          order by probe, seq limit ${limit}`,
    )
  },
}

/** The warmest of each day, by probe. */
const warmest: Follower<ProbeRow> = {
  name: 'warmest',
  from: PROBES,
  async absorb(tx, rows) {
    for (const { stream, day, celsius } of rows)
      await tx.execute(
        sql`insert into warmest_told values (${stream}, ${day}, ${celsius})
            on duplicate key update celsius = greatest(celsius, ${celsius})`,
      )
  },
  async forget(tx) {
    await tx.execute(sql`delete from warmest_told`)
  },
}

describe('a follower of what is no entry', () => {
  const read = (probe: number, seq: number, day: number, celsius: number) =>
    base.pool.query('insert into probe_told values (?, ?, ?, ?)', [probe, seq, day, celsius])
  const days = async () =>
    (
      await rowsOf<{ probe: number; day: number; celsius: number }>(
        base.db,
        sql`select * from warmest_told order by probe, day`,
      )
    ).map(({ probe, day, celsius }) => [probe, day, celsius])

  beforeAll(async () => {
    await base.pool.query(
      'create table probe_told (probe int, seq int, day int, celsius double, primary key (probe, seq))',
    )
    await base.pool.query(
      'create table warmest_told (probe int, day int, celsius double, primary key (probe, day))',
    )
  })

  it('reads each probe in its order and each row once, also one that begins later', async () => {
    await read(1, 1, 10, 29.5)
    await read(1, 2, 10, 31)
    expect(await catchUp(base.db, warmest)).toBe(2)
    await read(2, 1, 10, 24)
    await read(1, 3, 11, 28)
    const other = await base.again(2)
    const moved = await Promise.all([catchUp(base.db, warmest), catchUp(other.db, warmest)])
    await other.close()
    expect(moved.reduce((sum, rows) => sum + rows, 0)).toBe(2)
    expect(await days()).toEqual([
      [1, 10, 31],
      [1, 11, 28],
      [2, 10, 24],
    ])
  })

  it('is made anew from its own source, beside one that reads the feed', async () => {
    const [before, kindsBefore] = [await days(), await told()]
    await base.pool.query('update warmest_told set celsius = 99')
    expect(await rebuildFollower(base.db, warmest)).toBe(4)
    expect([await days(), await told()]).toEqual([before, kindsBefore])
  })
})
