import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { AppendingServer } from '../testing/appending.ts'
import { appendingServer, entriesIn } from '../testing/appending.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, smallSite } from '../testing/smallSite.ts'
import type { Follower } from './follower.ts'
import { catchUp, rebuildFollower } from './follower.ts'

let base: Scratch
let site: SmallSite
let server: AppendingServer

/** How many entries of each kind there are. */
const kinds: Follower = {
  name: 'kinds',
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
