import type { Bookmark } from '@kobrin/contract'
import { advanced } from '@kobrin/contract'
import type { Draft, Entry } from '@kobrin/core'
import { isAmendment } from '@kobrin/core'
import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import type { Connection } from '../database/connect.ts'
import { connect } from '../database/connect.ts'
import { feedAfter } from '../feed/rows.ts'
import type { AppendingServer } from '../testing/appending.ts'
import { appendingServer, entriesIn, placeOf } from '../testing/appending.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, smallSite } from '../testing/smallSite.ts'
import { rebuild } from './rebuild.ts'

let base: Scratch
let site: SmallSite
let keeper: string

beforeAll(async () => {
  site = smallSite()
  keeper = site.person('keeper').id
  base = await scratch(site)
})
afterAll(() => base.drop())

const resident = (index: number) => site.residents[index]?.id ?? ''

/** Follows the feed of all streams until told to stop, and keeps what it saw in the order it saw it. */
function watch({ db }: Connection) {
  const seen: string[] = []
  const ending = new AbortController()
  const watching = (async () => {
    let at: Bookmark = {}
    while (!ending.signal.aborted) {
      const rows = await feedAfter(db, at, 1000)
      at = rows.reduce(advanced, at)
      for (const { stream, seq } of rows) seen.push(`${stream}:${seq}`)
      if (rows.length === 0) await new Promise((go) => setTimeout(go, 2))
    }
  })()
  return {
    seen,
    async stop() {
      ending.abort()
      await watching
    },
  }
}

/** Places of each stream in the order seen: one after another, none left out. */
function expectGapless(seen: readonly string[]): void {
  const last = new Map<string, number>()
  for (const place of seen) {
    const [stream = '', seq] = place.split(':')
    expect(Number(seq), place).toBe((last.get(stream) ?? 0) + 1)
    last.set(stream, Number(seq))
  }
}

function administrator(): Promise<Connection> {
  const password = inject('databasePassword')
  return connect({ socketPath: inject('databaseSocket'), user: 'root', password, database: 'mysql' }, 1)
}

describe('two servers on one database', () => {
  it('under concurrent writers leave no gap in any stream, lose nothing, double nothing', async () => {
    const [WRITERS, EACH] = [8, 25]
    const other = await base.again()
    const servers = [appendingServer(base), appendingServer(other)]
    const feed = watch(other)
    const places = await Promise.all(
      Array.from({ length: WRITERS }, async (_, writer) => {
        const mine: string[] = []
        for (let count = 0; count < EACH; count += 1) {
          // Everyone writes about the same few residents, so that they get in each other's way.
          const draft: Draft = {
            subject: resident((writer + count) % 4),
            kind: 'noted',
            payload: { text: `${writer} ${count}` },
          }
          const at = new Date(Date.UTC(2026, 5, 1) + count * 1000).toISOString()
          mine.push(placeOf((await servers[writer % 2]?.append([entryBy(keeper, draft, at)]))?.[0]))
        }
        return mine
      }),
    )
    const given = places.flat()
    expect(new Set(given).size).toBe(WRITERS * EACH)
    expect(new Set(given.map((place) => place.split(':')[0])).size).toBe(2)
    await expect.poll(() => given.every((place) => feed.seen.includes(place))).toBe(true)
    await feed.stop()
    expect(new Set(feed.seen).size).toBe(feed.seen.length)
    expectGapless(feed.seen)
    expect((await rebuild(base.db, { write: false })).differing).toEqual([])
    for (const server of servers) await server.close()
    await other.close()
  })

  it('one whose stream was taken over goes on in another', async () => {
    const server = appendingServer(base)
    const noted = (text: string) =>
      entryBy(keeper, { subject: resident(5), kind: 'noted', payload: { text } }, '2026-06-02T08:00:00.000Z')
    const [stream = ''] = placeOf((await server.append([noted('Mine')]))[0]).split(':')
    await base.pool.query('update stream set holder = uuid() where id = ?', [stream])
    const [next] = placeOf((await server.append([noted('Still here')]))[0]).split(':')
    expect(next).not.toBe(stream)
    await server.close()
  })

  it('a stream that is given back is taken up again', async () => {
    const noted = () =>
      entryBy(
        keeper,
        { subject: resident(5), kind: 'noted', payload: { text: 'So' } },
        '2026-06-02T09:00:00.000Z',
      )
    const one = appendingServer(base)
    const [first] = placeOf((await one.append([noted()]))[0]).split(':')
    await one.close()
    const two = appendingServer(base)
    const [second] = placeOf((await two.append([noted()]))[0]).split(':')
    expect(second).toBe(first)
    await two.close()
  })

  it('each writer is answered after its entry is there, also when connections are killed', async () => {
    const killer = await administrator()
    const other = await base.again(4)
    const server = appendingServer(other)
    const [name] = (await other.pool.query('select database() as name'))[0] as { name: string }[]
    const killing = new AbortController()
    const kills = (async () => {
      while (!killing.signal.aborted) {
        const [threads] = await killer.pool.query(
          'select id from information_schema.processlist where db = ?',
          [name?.name],
        )
        for (const { id } of threads as { id: number }[])
          await killer.pool.query(`kill ${id}`).catch(() => undefined)
        await new Promise((resolve) => setTimeout(resolve, 15))
      }
    })()
    const entries = Array.from({ length: 60 }, (_, index) =>
      entryBy(
        keeper,
        { subject: resident(index % 3), kind: 'noted', payload: { text: `Killed ${index}` } },
        new Date(Date.UTC(2026, 5, 3) + index * 1000).toISOString(),
      ),
    )
    const outcomes: PromiseSettledResult<unknown>[] = []
    for (const entry of entries) outcomes.push(...(await Promise.allSettled([server.append([entry])])))
    killing.abort()
    await kills
    await killer.close()
    await other.close()

    const survivor = await base.again(2)
    const kept = new Set(entriesIn(await feedAfter(survivor.db, {}, 100_000)).map(({ uid }) => uid))
    const acknowledged = entries.filter((_, index) => outcomes[index]?.status === 'fulfilled')
    expect(acknowledged.filter(({ uid }) => !kept.has(uid))).toEqual([])
    // What failed can be sent again and is then there once.
    const after = appendingServer(survivor)
    const again = await after.append(entries)
    expect(again.every(({ status }) => status === 'accepted')).toBe(true)
    expectGapless((await feedAfter(survivor.db, {}, 100_000)).map(({ stream, seq }) => `${stream}:${seq}`))
    expect((await rebuild(survivor.db, { write: false })).differing).toEqual([])
    await after.close()
    await survivor.close()
  })
})

interface Step {
  resident: number
  kind: 'weighed' | 'fed' | 'moved' | 'noted'
  amends: 'no' | 'corrected' | 'retracted'
  target: number
  /** Minutes after the last; earlier when negative. */
  gap: number
}

const step: fc.Arbitrary<Step> = fc.record({
  resident: fc.nat(2),
  kind: fc.constantFrom('weighed', 'fed', 'moved', 'noted'),
  amends: fc.oneof(
    { weight: 4, arbitrary: fc.constant('no' as const) },
    { weight: 1, arbitrary: fc.constantFrom('corrected' as const, 'retracted' as const) },
  ),
  target: fc.nat(20),
  gap: fc.integer({ min: -300, max: 600 }),
})

const PAYLOADS = {
  weighed: () => ({ grams: 50 }),
  fed: () => ({ item: 'crickets', outcome: 'taken' }),
  moved: () => ({ to: site.enclosures[12]?.id ?? '' }),
  noted: () => ({ text: 'So' }),
}

function storyOf(steps: readonly Step[]): Entry[] {
  const entries: Entry[] = []
  let at = Date.UTC(2026, 6, 1)
  for (const { resident: index, kind, amends, target, gap } of steps) {
    at += gap * 60_000
    const iso = new Date(at).toISOString()
    const payload = PAYLOADS[kind]()
    const about = entries[target % Math.max(1, entries.length)]
    const draft = { subject: resident(index), kind, payload } as Draft
    if (amends === 'no' || !about) entries.push(entryBy(keeper, draft, iso, uuidv7()))
    else {
      const to = isAmendment(about) ? draft : { kind: about.kind, payload: about.payload }
      const said = amends === 'retracted' ? {} : { to }
      entries.push(
        entryBy(
          keeper,
          {
            subject: about.subject,
            kind: amends,
            payload: { target: about.uid, why: 'So.', ...said },
          } as Draft,
          iso,
          uuidv7(),
        ),
      )
    }
  }
  return entries
}

describe('whatever the order, the batches, the servers and the crashes', () => {
  it('a stored fold is what a replay of its entries says', async () => {
    const killer = await administrator()
    const connections = [await base.again(2), await base.again(2)]
    const servers: AppendingServer[] = connections.map(appendingServer)
    const [name] = (await base.pool.query('select database() as name'))[0] as { name: string }[]
    const killAll = async () => {
      const [threads] = await killer.pool.query(
        'select id from information_schema.processlist where db = ?',
        [name?.name],
      )
      for (const { id } of threads as { id: number }[])
        await killer.pool.query(`kill ${id}`).catch(() => undefined)
    }
    const posts = fc.record({
      steps: fc.array(step, { minLength: 1, maxLength: 18 }),
      cuts: fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 18, maxLength: 18 }),
      servers: fc.array(fc.nat(1), { minLength: 18, maxLength: 18 }),
      crashAt: fc.option(fc.nat(8)),
      shuffle: fc.boolean(),
    })
    await fc.assert(
      fc.asyncProperty(posts, async ({ steps, cuts, servers: turns, crashAt, shuffle }) => {
        let rest = storyOf(steps)
        if (shuffle) rest = [...rest].reverse()
        for (let post = 0; rest.length > 0; post += 1) {
          const batch = rest.slice(0, cuts[post])
          rest = rest.slice(batch.length)
          const server = servers[turns[post] ?? 0]
          const appended = server?.append(batch)
          const crashing = post === crashAt ? killAll() : null
          const outcome = await Promise.allSettled([appended])
          await crashing
          // Anyone who was not answered sends the same again.
          if (outcome[0].status === 'rejected') await server?.append(batch).catch(() => undefined)
        }
        expect((await rebuild(base.db, { write: false })).differing).toEqual([])
      }),
      { numRuns: 25 },
    )
    for (const server of servers) await server.close()
    for (const connection of connections) await connection.close()
    await killer.close()
  }, 120_000)
})
