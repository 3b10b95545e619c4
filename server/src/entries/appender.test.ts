import type { Receipt } from '@kobrin/contract'
import type { Draft, Entry, ResidentState } from '@kobrin/core'
import { replay } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import type { Connection } from '../database/connect.ts'
import { connect } from '../database/connect.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { entryBy, smallSite } from '../testing/smallSite.ts'
import { appendTogether } from './appendTogether.ts'
import { createAppender } from './appender.ts'
import { headOf, historyOf, rowsAfter, stateRows } from './queries.ts'
import { rebuild } from './rebuild.ts'
import { entryOf } from './rows.ts'

const NOW = '2026-06-01T12:00:00.000Z'

let base: Scratch
let site: SmallSite
let keeper: string
let minute = 0

beforeAll(async () => {
  site = smallSite()
  keeper = site.person('keeper').id
  base = await scratch(site)
})
afterAll(() => base.drop())

function resident(index: number): string {
  return site.residents[index]?.id ?? ''
}

/** Each a minute after the last. */
function made(draft: Draft, at?: string): Entry {
  minute += 1
  return entryBy(keeper, draft, at ?? new Date(Date.UTC(2026, 4, 1) + minute * 60_000).toISOString())
}

function weighed(residentId: string, grams: number, at?: string): Entry {
  return made({ residentId, kind: 'weighed', payload: { grams } }, at)
}

function appended(entries: readonly Entry[], connection: Connection = base): Promise<Receipt[]> {
  return appendTogether(connection, entries, { now: NOW })
}

function seqOf(receipt: Receipt | undefined): number {
  if (receipt?.status !== 'accepted') throw new Error(`Not accepted: ${JSON.stringify(receipt)}`)
  return receipt.seq
}

async function stored(residentId: string): Promise<ResidentState> {
  const [row] = await stateRows(base.db, [residentId])
  return JSON.parse(row?.state ?? 'null') as ResidentState
}

/** What the whole history says, as it would have been stored. */
async function told(residentId: string): Promise<unknown> {
  return JSON.parse(JSON.stringify(replay(await historyOf(base.db, residentId))))
}

describe('appending', () => {
  it('gives places in the order given, one after another', async () => {
    const head = await headOf(base.db)
    const receipts = await appended([
      weighed(resident(0), 60),
      weighed(resident(1), 61),
      weighed(resident(0), 62),
    ])
    expect(receipts.map(seqOf)).toEqual([head + 1, head + 2, head + 3])
  })

  it('keeps the fold with the entries', async () => {
    await appended([
      weighed(resident(2), 55),
      made({ residentId: resident(2), kind: 'watered', payload: {} }),
    ])
    expect(await stored(resident(2))).toEqual(await told(resident(2)))
    expect((await stored(resident(2))).weights.at(-1)?.grams).toBe(55)
  })

  it('answers the same place when the same entry is posted again, and keeps it once', async () => {
    const entry = weighed(resident(0), 63)
    const [first] = await appended([entry])
    const [second, third] = await appended([entry, entry])
    expect([second, third]).toEqual([first, first])
    const history = await historyOf(base.db, resident(0))
    expect(history.filter(({ uid }) => uid === entry.uid)).toHaveLength(1)
  })

  it('puts what happened earlier in its place in the fold', async () => {
    await appended([weighed(resident(3), 70, '2026-05-20T10:00:00.000Z')])
    await appended([weighed(resident(3), 50, '2026-05-10T10:00:00.000Z')])
    const { weights } = await stored(resident(3))
    expect(weights.map(({ grams }) => grams)).toEqual([50, 70])
  })

  it('refuses what it cannot place and keeps the rest of the batch', async () => {
    const stranger = weighed(uuidv7(), 10)
    const [bad, good] = await appended([stranger, weighed(resident(0), 64)])
    expect(bad).toMatchObject({ status: 'refused', code: 'unknown_resident' })
    expect(good?.status).toBe('accepted')
  })
})

describe('a server that remembers its folds', () => {
  it('reads one again that was written elsewhere meanwhile', async () => {
    const appender = createAppender(base, { onAppended: () => undefined })
    await appender.append([weighed(resident(10), 40)])
    await base.pool.query(
      `update resident_state set state = json_set(state, '$.meals', 77) where resident_id = ?`,
      [resident(10)],
    )
    await appender.append([weighed(resident(10), 41)])
    expect(await stored(resident(10))).toMatchObject({ meals: 77, weights: [{ grams: 40 }, { grams: 41 }] })
    await rebuild(base.db, { write: true })
    await appender.append([weighed(resident(10), 42)])
    expect(await stored(resident(10))).toEqual(await told(resident(10)))
  })
})

describe('amending', () => {
  const correction = (target: Entry, grams: number, residentId = target.residentId): Entry =>
    made({
      residentId,
      kind: 'corrected',
      payload: { target: target.uid, to: { kind: 'weighed', payload: { grams } }, why: 'Slip.' },
    })

  it('a correction changes the fold and keeps both', async () => {
    const slip = weighed(resident(4), 6.1)
    await appended([slip])
    await appended([correction(slip, 61)])
    expect((await stored(resident(4))).weights.map(({ grams }) => grams)).toEqual([61])
    expect((await historyOf(base.db, resident(4))).map(({ kind }) => kind)).toEqual([
      'arrived',
      'weighed',
      'corrected',
    ])
  })

  it('a correction in the same batch as its target is heard', async () => {
    const slip = weighed(resident(5), 5.8)
    await appended([slip, correction(slip, 58)])
    expect((await stored(resident(5))).weights.map(({ grams }) => grams)).toEqual([58])
  })

  it.each([
    ['unknown_target', (target: Entry) => correction({ ...target, uid: uuidv7() }, 1)],
    ['unknown_target', (target: Entry) => correction(target, 1, site.residents[7]?.id)],
    [
      'wrong_kind',
      ({ uid, residentId }: Entry) =>
        made({
          residentId,
          kind: 'corrected',
          payload: { target: uid, to: { kind: 'noted', payload: { text: 'No.' } }, why: 'So.' },
        }),
    ],
  ])('is refused as %s when it cannot be', async (code, amend) => {
    const target = weighed(resident(6), 57)
    await appended([target])
    const [receipt] = await appended([amend(target)])
    expect(receipt).toMatchObject({ status: 'refused', code })
  })

  it('a correction cannot be corrected, but it can be taken back', async () => {
    const slip = weighed(resident(8), 5.5)
    const fix = correction(slip, 55)
    await appended([slip, fix])
    const [again] = await appended([correction(fix, 54)])
    expect(again).toMatchObject({ code: 'not_correctable' })
    await appended([
      made({ residentId: resident(8), kind: 'retracted', payload: { target: fix.uid, why: 'It was so.' } }),
    ])
    expect((await stored(resident(8))).weights.map(({ grams }) => grams)).toEqual([5.5])
  })
})

describe('many at once', () => {
  const WRITERS = 8
  const EACH = 25

  it('two servers under concurrent writers leave no gap, lose nothing, double nothing', async () => {
    const head = await headOf(base.db)
    const other = await base.again()
    const seen: number[] = []
    const watching = new AbortController()
    const watcher = (async () => {
      let at = head
      while (!watching.signal.aborted) {
        for (const { seq } of await rowsAfter(other.db, at, 1000)) {
          seen.push(seq)
          at = seq
        }
      }
    })()
    const appenders = [base, other].map((one) => createAppender(one, { onAppended: () => undefined }))
    const receipts = await Promise.all(
      Array.from({ length: WRITERS }, async (_, writer) => {
        const mine: Receipt[] = []
        for (let count = 0; count < EACH; count += 1) {
          const appender = appenders[writer % 2]
          // Everyone writes about the same few residents, so that they get in each other's way.
          const entry = weighed(resident((writer + count) % 4), 60 + count / 10)
          if (appender) mine.push(...(await appender.append([entry])))
        }
        return mine
      }),
    )
    const places = receipts.flat().map(seqOf)
    const last = head + WRITERS * EACH
    expect(new Set(places).size).toBe(WRITERS * EACH)
    expect(Math.max(...places)).toBe(last)
    while (seen.at(-1) !== last) await new Promise((resolve) => setTimeout(resolve, 5))
    watching.abort()
    await watcher
    expect(seen).toEqual(Array.from({ length: WRITERS * EACH }, (_, index) => head + 1 + index))
    for (const one of [0, 1, 2, 3]) expect(await stored(resident(one))).toEqual(await told(resident(one)))
    await other.close()
  })

  it('each writer is answered after its entry is there, also when connections are killed', async () => {
    const killer = await connect(
      {
        socketPath: inject('databaseSocket'),
        user: 'root',
        password: inject('databasePassword'),
        database: 'mysql',
      },
      1,
    )
    const other = await base.again(4)
    const appender = createAppender(other, { onAppended: () => undefined })
    const [name] = (await other.pool.query('select database() as name'))[0] as { name: string }[]
    const killing = new AbortController()
    const kills = (async () => {
      while (!killing.signal.aborted) {
        const [threads] = await killer.pool.query(
          'select id from information_schema.processlist where db = ?',
          [name?.name],
        )
        for (const { id } of threads as { id: number }[]) {
          await killer.pool.query(`kill ${id}`).catch(() => undefined)
        }
        await new Promise((resolve) => setTimeout(resolve, 15))
      }
    })()
    const entries = Array.from({ length: 60 }, (_, index) => weighed(resident(index % 3), 60))
    const outcomes: PromiseSettledResult<Receipt[]>[] = []
    for (const entry of entries) outcomes.push(...(await Promise.allSettled([appender.append([entry])])))
    killing.abort()
    await kills
    await killer.close()
    await other.close()

    const survivor = await base.again(2)
    const kept = new Set((await rowsAfter(survivor.db, 0, 100_000)).map((row) => entryOf(row).uid))
    const acknowledged = entries.filter((_, index) => outcomes[index]?.status === 'fulfilled')
    expect(acknowledged.filter(({ uid }) => !kept.has(uid))).toEqual([])
    // What failed can be sent again and is then there once.
    const again = await appendTogether(survivor, entries, { now: NOW })
    expect(again.every(({ status }) => status === 'accepted')).toBe(true)
    const seqs = (await rowsAfter(survivor.db, 0, 100_000)).map(({ seq }) => seq)
    expect(seqs).toEqual(Array.from({ length: seqs.length }, (_, index) => index + 1))
    expect((await rebuild(survivor.db, { write: false })).differing).toEqual([])
    await survivor.close()
  })
})

describe('rebuilding', () => {
  it('finds a fold that does not say what the entries say, and puts it right when told to', async () => {
    await base.pool.query(
      `update resident_state set state = json_set(state, '$.meals', 99) where resident_id = ?`,
      [resident(9)],
    )
    const found = await rebuild(base.db, { write: false })
    expect(found.differing).toEqual([{ residentId: resident(9), fields: ['meals'] }])
    await rebuild(base.db, { write: true })
    expect((await rebuild(base.db, { write: false })).differing).toEqual([])
  })
})
