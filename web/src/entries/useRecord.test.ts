import 'fake-indexeddb/auto'
import type { KeptEntry, PostedEntry, Receipt } from '@kobrin/contract'
import type { Draft } from '@kobrin/core'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { usePeople } from '../people/usePeople.ts'
import { entryOn, stateOf, TODAY } from '../testing/residents.ts'
import { ME, NOON, residentOf, smallHouse } from '../testing/smallHouse.ts'
import { api, ApiProblem, Unreachable } from '../wire/api.ts'
import type { FeedOptions } from './feed.ts'
import { openShelf } from './outbox.ts'
import { useRecord } from './useRecord.ts'

vi.mock('../wire/api.ts', async (original) => ({
  ...(await original<object>()),
  api: { site: vi.fn(), states: vi.fn(), append: vi.fn() },
}))
const feed = vi.hoisted(() => ({ follow: null as FeedOptions | null }))
vi.mock('./feed.ts', () => ({
  followFeed: (options: FeedOptions) => {
    feed.follow = options
    return () => (feed.follow = null)
  },
}))

const server = vi.mocked(api)
const state = stateOf(entryOn(TODAY - 9, { kind: 'weighed', payload: { grams: 60 } }))
const weighing: Draft = { residentId: 'tamsin', kind: 'weighed', payload: { grams: 61 } }

function accepted(entries: readonly PostedEntry[], seq = 8): { receipts: Receipt[] } {
  return { receipts: entries.map(({ uid }, index) => ({ uid, status: 'accepted', seq: seq + index })) }
}

function grams(): number[] {
  return useRecord()
    .stateOf('tamsin')
    .weights.map((weight) => weight.grams)
}

beforeEach(async () => {
  vi.clearAllMocks()
  vi.useFakeTimers({ toFake: ['Date'], now: NOON })
  const shelf = await openShelf()
  for (const { entry } of await shelf.all()) await shelf.remove(entry.uid)
  setActivePinia(createPinia())
  usePeople().me = ME
  server.site.mockResolvedValue(smallHouse([residentOf('tamsin')]))
  server.states.mockResolvedValue({ head: 7, states: { tamsin: { seq: 7, state } } })
  server.append.mockImplementation((entries) => Promise.resolve(accepted(entries)))
})

describe('the record on this device', () => {
  it('stands as soon as the states are there, and follows the feed from where they end', async () => {
    await useRecord().open()
    expect([useRecord().ready, grams(), feed.follow?.after]).toEqual([true, [60], 7])
  })

  it('shows what was said at once, and counts it as waiting until the server has it', async () => {
    const record = useRecord()
    await record.open()
    record.keep([weighing], 'Tamsin weighed')
    expect([grams(), record.waitingCount, record.lastAct?.says]).toEqual([[60, 61], 1, 'Tamsin weighed'])
    await vi.waitFor(() => expect(record.waitingCount).toBe(0))
    expect(server.append.mock.lastCall?.[0]).toMatchObject([
      { residentId: 'tamsin', author: 'lotte', occurredAt: new Date(NOON).toISOString() },
    ])
  })

  it('keeps what is said before it can write, with the moment it was said', async () => {
    const record = useRecord()
    const opened = record.open()
    record.keep([weighing], 'Tamsin weighed')
    vi.setSystemTime(NOON + 60_000)
    await opened
    await vi.waitFor(() => expect(grams()).toEqual([60, 61]))
    await vi.waitFor(() => expect(server.append).toHaveBeenCalled())
    expect(server.append.mock.lastCall?.[0][0]?.occurredAt).toBe(new Date(NOON).toISOString())
  })

  it('says nothing for nobody', async () => {
    const record = useRecord()
    await record.open()
    usePeople().me = null
    record.keep([weighing], 'Tamsin weighed')
    expect([grams(), record.lastAct]).toEqual([[60], null])
  })

  it('takes the last thing back by saying so', async () => {
    const record = useRecord()
    await record.open()
    record.keep([weighing], 'Tamsin weighed')
    record.takeBack()
    expect([grams(), record.lastAct]).toEqual([[60], null])
    await vi.waitFor(() => expect(record.waitingCount).toBe(0))
    expect(server.append.mock.calls.flatMap(([entries]) => entries.map(({ kind }) => kind))).toEqual([
      'weighed',
      'retracted',
    ])
  })

  it('shows what the server would not keep, with its reason, until somebody has seen it', async () => {
    server.append.mockImplementation((entries) =>
      Promise.resolve({
        receipts: entries.map(({ uid }) => ({
          uid,
          status: 'refused',
          code: 'in_future',
          message: 'That lies in the future.',
        })),
      }),
    )
    const record = useRecord()
    await record.open()
    record.keep([weighing], 'Tamsin weighed')
    await vi.waitFor(() => expect(record.refused).toHaveLength(1))
    const [{ entry, why } = { entry: { uid: '' }, why: '' }] = record.refused
    expect([why, grams(), record.waitingCount]).toEqual(['That lies in the future.', [60], 0])
    await record.forgetRefused(entry.uid)
    expect([record.refused, await (await openShelf()).all()]).toEqual([[], []])
  })

  it('asks for a new sign-in when the old one has run out, and keeps what waits', async () => {
    server.append.mockRejectedValue(new ApiProblem(401, { code: 'not_signed_in', message: 'Sign in.' }))
    const record = useRecord()
    await record.open()
    record.keep([weighing], 'Tamsin weighed')
    await vi.waitFor(() => expect(record.needsSignIn).toBe(true))
    expect([record.waitingCount, await (await openShelf()).all()]).toMatchObject([1, [{ entry: weighing }]])
  })

  it('takes up again what an earlier page left unsent', async () => {
    server.append.mockRejectedValue(new Unreachable('cut'))
    await useRecord().open()
    useRecord().keep([weighing], 'Tamsin weighed')
    await vi.waitFor(async () => expect(await (await openShelf()).all()).toHaveLength(1))
    useRecord().close()
    setActivePinia(createPinia())
    usePeople().me = ME
    await useRecord().open()
    expect([grams(), useRecord().waitingCount]).toEqual([[60, 61], 1])
  })

  it('hears others, and asks the server when only it can tell what that comes to', async () => {
    const record = useRecord()
    await record.open()
    const theirs = (grams_: number, day: number, seq: number): KeptEntry => {
      const entry = entryOn(day, { kind: 'weighed', payload: { grams: grams_ } }, { author: 'priya' })
      return { ...entry, seq, recordedAt: entry.occurredAt }
    }
    feed.follow?.onEntry(theirs(62, TODAY, 8))
    expect(grams()).toEqual([60, 62])
    const corrected = { ...state, weights: [{ day: TODAY - 30, grams: 55, uid: 'x' }] }
    server.states.mockResolvedValue({ head: 9, states: { tamsin: { seq: 9, state: corrected } } })
    feed.follow?.onEntry(theirs(55, TODAY - 30, 9))
    await vi.waitFor(() => expect(grams()).toEqual([55]))
    expect(server.states).toHaveBeenLastCalledWith(['tamsin'])
  })

  it('does not look ready where nothing can be kept', async () => {
    const open = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new Error('Nothing can be kept in a private window.')
    })
    await expect(useRecord().open()).rejects.toThrow('private window')
    expect(useRecord().ready).toBe(false)
    open.mockRestore()
    await useRecord().open()
    expect(useRecord().ready).toBe(true)
  })
})
