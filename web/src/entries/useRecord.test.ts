import 'fake-indexeddb/auto'
import type { KeptEntry, Receipt } from '@kobrin/contract'
import { ROUTES, sayBookmark } from '@kobrin/contract'
import type { Draft, PostedEntry, ResidentState } from '@kobrin/core'
import { asRevision3, FOLD_REVISION } from '@kobrin/core'
import fc from 'fast-check'
import type { Pinia } from 'pinia'
import { createPinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { kept } from '../kept/keptStore.ts'
import { newVersion } from '../kept/newVersion.ts'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { entryOn, registerOf, stateOf, TODAY } from '../testing/residents.ts'
import { ME, NOON, smallBook, smallHouse } from '../testing/smallHouse.ts'
import { ApiProblem, Unreachable } from '../api/call.ts'
import type { FeedOptions } from './feed.ts'
import { useRecord } from './useRecord.ts'
import { createWaitingStore } from './waitingStore.ts'

const server = vi.hoisted(() => ({
  append: vi.fn<(entries: PostedEntry[], proofs?: object) => Promise<{ receipts: Receipt[] }>>(),
  states: vi.fn<(of: string | undefined) => { head: string; states: Record<string, object> }>(),
  me: vi.fn<() => object | null>(),
}))
vi.mock('../api/call.ts', async (original) => ({
  ...(await original<object>()),
  call: async (
    route: { url: string; method: string },
    asked: { body?: { entries: PostedEntry[]; proofs?: object }; querystring?: { of?: string } } = {},
  ) => {
    switch (`${route.method} ${route.url}`) {
      case `GET ${ROUTES.site.url}`:
        return smallHouse({ tamsin: '0001' })
      case `GET ${ROUTES.planBook.url}`:
        return smallBook()
      case `GET ${ROUTES.states.url}`:
        return { now: Date.now(), ...server.states(asked.querystring?.of) }
      case `GET ${ROUTES.presence.url}`:
        return { me: server.me(), people: [] }
      default:
        return server.append(asked.body?.entries ?? [], asked.body?.proofs)
    }
  },
}))
const feed = vi.hoisted(() => ({ follow: null as FeedOptions | null }))
vi.mock('./feed.ts', () => ({
  followFeed: (options: FeedOptions) => {
    feed.follow = options
    return () => (feed.follow = null)
  },
}))

let page: Pinia

/** A page that somebody has just opened. Its stores are asked for by name: what an earlier page was still waiting
 * for makes that one the active one again. */
function newPage(): void {
  page = createPinia()
  usePeople(page).me = ME
}

const state = stateOf(
  entryOn(TODAY - 10, { kind: 'registered', payload: registerOf('Tamsin') }),
  entryOn(TODAY - 9, { kind: 'weighed', payload: { grams: 60 } }),
)
const weighing: Draft = { subject: 'tamsin', kind: 'weighed', payload: { grams: 61 } }

/** Waits for what comes by itself; how long that takes is the machine's affair. */
function soon(holds: () => void | Promise<void>): Promise<void> {
  return vi.waitFor(holds, { timeout: 20_000 })
}

function theirs(weighed: number, day: number, seq: number): KeptEntry {
  const entry = entryOn(day, { kind: 'weighed', payload: { grams: weighed } }, { author: 'priya' })
  return { ...entry, stream: 1, seq, recordedAt: entry.occurredAt }
}

function accepted(entries: readonly PostedEntry[], seq = 8): { receipts: Receipt[] } {
  return {
    receipts: entries.map(({ uid }, index) => ({ uid, status: 'accepted', stream: 1, seq: seq + index })),
  }
}

function told(seq: number, of: ResidentState) {
  return { head: `1:${seq}`, states: { tamsin: { family: 'resident', upTo: `1:${seq}`, state: of } } }
}

function grams(): number[] {
  return useRecord(page)
    .stateOf('tamsin')
    .growth.weights.map((weight) => weight.grams)
}

const stored = () => createWaitingStore().all()

beforeEach(async () => {
  globalThis.localStorage.clear()
  vi.clearAllMocks()
  vi.useFakeTimers({ toFake: ['Date'], now: NOON })
  await kept.clear()
  const store = createWaitingStore()
  for (const { entry } of await store.all()) await store.remove(entry.uid)
  newPage()
  server.states.mockReturnValue(told(7, state))
  server.append.mockImplementation((entries) => Promise.resolve(accepted(entries)))
  server.me.mockReturnValue(ME)
})

// Other tabs hear what one tells: none of an earlier test may be left open.
afterEach(() => useRecord(page).close())

async function opened() {
  const record = useRecord(page)
  await record.open()
  await soon(() => expect(feed.follow).not.toBeNull())
  vi.setSystemTime(NOON)
  return record
}

describe('the record on this device', () => {
  it('stands as soon as the states are there, and follows the feed from where they end', async () => {
    await opened()
    expect([useRecord(page).ready, grams(), sayBookmark(feed.follow?.after() ?? {})]).toEqual([
      true,
      [60],
      '1:7',
    ])
  })

  it('knows from the entries who lives here, and by the server’s clock what time it is', async () => {
    await opened()
    expect([...useSite(page).residents.values()]).toMatchObject([
      { id: 'tamsin', name: 'Tamsin', accession: '0001', lives: 'individual' },
    ])
    expect(useSite(page).clockBehind).toBe(0)
  })

  it('shows what was said at once, and counts it as waiting until the server has it', async () => {
    const record = await opened()
    record.keep([weighing], 'Tamsin weighed')
    expect([grams(), record.waitingCount, record.lastAct?.says]).toEqual([[60, 61], 1, 'Tamsin weighed'])
    await soon(() => expect(record.waitingCount).toBe(0))
    expect(server.append.mock.lastCall?.[0]).toMatchObject([
      { subject: 'tamsin', author: 'lotte', occurredAt: new Date(NOON).toISOString() },
    ])
  })

  it('stamps what was said with the shift it was said in, whoever takes the tablet over', async () => {
    const record = await opened()
    record.keep([weighing], 'Tamsin weighed')
    usePeople(page).me = { ...ME, shift: { id: 'the next', key: 'another key' } }
    await soon(() => expect(record.waitingCount).toBe(0))
    const [[entry] = [], proofs] = server.append.mock.lastCall ?? []
    expect(proofs).toMatchObject({ [entry?.uid ?? '']: { shift: 'shift' } })
  })

  it('keeps what is said before it can write, with the moment it was said', async () => {
    const record = useRecord(page)
    const opening = record.open()
    record.keep([weighing], 'Tamsin weighed')
    vi.setSystemTime(NOON + 60_000)
    await opening
    await soon(() => expect(grams()).toEqual([60, 61]))
    await soon(() => expect(server.append).toHaveBeenCalled())
    expect(server.append.mock.lastCall?.[0][0]?.occurredAt).toBe(new Date(NOON).toISOString())
  })

  it('says nothing for nobody', async () => {
    const record = await opened()
    usePeople(page).me = null
    record.keep([weighing], 'Tamsin weighed')
    expect([grams(), record.lastAct]).toEqual([[60], null])
  })

  it('takes the last thing back by saying so, all of one doing together', async () => {
    const record = await opened()
    const noted: Draft = { subject: 'tamsin', kind: 'noted', payload: { text: 'On the scale' } }
    record.keep([weighing, noted], 'Tamsin weighed', { together: true })
    record.takeBack()
    expect([grams(), record.lastAct]).toEqual([[60], null])
    await soon(() => expect(record.waitingCount).toBe(0))
    const sent = server.append.mock.calls.flatMap(([entries]) => entries)
    expect(sent.map(({ kind }) => kind)).toEqual(['weighed', 'noted', 'retracted', 'retracted'])
    const [first, second] = [
      new Set(sent.slice(0, 2).map(({ act }) => act)),
      sent.slice(2).map(({ act }) => act),
    ]
    expect([first.size, new Set(second).size, first.has(second[0])]).toEqual([1, 1, false])
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
    const record = await opened()
    record.keep([weighing], 'Tamsin weighed')
    await soon(() => expect(record.refused).toHaveLength(1))
    const [{ entry, why } = { entry: { uid: '' }, why: '' }] = record.refused
    expect([why, grams(), record.waitingCount]).toEqual(['That lies in the future.', [60], 0])
    await record.forgetRefused(entry.uid)
    expect([record.refused, await stored()]).toEqual([[], []])
  })

  it('says why the server keeps nothing just now, until it does', async () => {
    const full = { code: 'disk_full', message: 'The disk of the server is full.' }
    server.append.mockRejectedValue(new ApiProblem(503, full))
    const record = await opened()
    record.keep([weighing], 'Tamsin weighed')
    await soon(() => expect(record.held).toBe('The disk of the server is full.'))
    expect([record.waitingCount, grams()]).toEqual([1, [60, 61]])
    server.append.mockImplementation((entries) => Promise.resolve(accepted(entries)))
    await soon(() => expect([record.held, record.waitingCount]).toEqual(['', 0]))
  })

  it('says why the server can keep nothing from anybody, though nothing waits here', async () => {
    const record = await opened()
    feed.follow?.onStandstill({ code: 'disk_full', message: 'The disk of the server is full.' })
    expect([record.held, record.waitingCount]).toEqual(['The disk of the server is full.', 0])
    feed.follow?.onStandstill(null)
    expect(record.held).toBe('')
  })

  it('asks for a new sign-in when the old one has run out, and keeps what waits', async () => {
    server.append.mockRejectedValue(new ApiProblem(401, { code: 'not_signed_in', message: 'Sign in.' }))
    const record = await opened()
    record.keep([weighing], 'Tamsin weighed')
    await soon(() => expect(record.needsSignIn).toBe(true))
    expect([record.waitingCount, await stored()]).toMatchObject([1, [{ entry: weighing }]])
  })

  it('asks for a new sign-in when the server closes the line because nobody is signed in', async () => {
    const record = await opened()
    feed.follow?.onClosed()
    await new Promise((resolve) => setTimeout(resolve))
    expect(record.needsSignIn).toBe(false)
    server.me.mockReturnValue(null)
    feed.follow?.onClosed()
    await soon(() => expect(record.needsSignIn).toBe(true))
  })

  it('takes up again what an earlier page left unsent', async () => {
    server.append.mockRejectedValue(new Unreachable('cut'))
    await opened()
    useRecord(page).keep([weighing], 'Tamsin weighed')
    await soon(async () => expect(await stored()).toHaveLength(1))
    await useRecord(page).close()
    newPage()
    await opened()
    expect([grams(), useRecord(page).waitingCount]).toEqual([[60, 61], 1])
  })

  it('hears others, and asks the server once when only it can tell what that comes to', async () => {
    await opened()
    feed.follow?.onEntry(theirs(62, TODAY, 8))
    expect(grams()).toEqual([60, 62])
    server.states.mockClear()
    const weights = [{ day: TODAY - 30, grams: 55, uid: 'x' }]
    server.states.mockReturnValue(told(60, { ...state, growth: { ...state.growth, weights } }))
    for (let seq = 9; seq < 60; seq += 1) feed.follow?.onEntry(theirs(55, TODAY - 30, seq))
    await soon(() => expect(grams()).toEqual([55]))
    expect(server.states.mock.calls).toEqual([['tamsin']])
  })

  it('stands without a link on what lies here, and goes on from there', async () => {
    const before = await opened()
    usePeople(page).team = [ME.person]
    feed.follow?.onEntry(theirs(62, TODAY, 8))
    await soon(async () => expect(await kept.thing('head')).toEqual({ 1: 8 }))
    await before.close()
    newPage()
    server.states.mockImplementation(() => {
      throw new Unreachable('cut')
    })
    const record = await opened()
    expect([record.ready, grams(), sayBookmark(feed.follow?.after() ?? {})]).toEqual([true, [60, 62], '1:8'])
    expect(useSite(page).residents.get('tamsin')?.accession).toBe('0001')
  })

  it('goes on where nothing can be stored: says so, and sends from memory', async () => {
    const open = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('Nothing can be kept in a private window.', 'SecurityError')
    })
    server.append.mockRejectedValue(new Unreachable('cut'))
    const record = await opened()
    record.keep([weighing], 'Tamsin weighed')
    await soon(() => expect(record.unstored).toBe(1))
    expect(grams()).toEqual([60, 61])
    server.append.mockImplementation((entries) => Promise.resolve(accepted(entries)))
    feed.follow?.onLink(true)
    await soon(() => expect([record.unstored, record.waitingCount]).toEqual([0, 0]))
    open.mockRestore()
  })
})

describe('beside a newer server', () => {
  it('goes on keeping and sending what is said about somebody of whom it heard something it does not know', async () => {
    const record = await opened()
    const names = [
      'sung',
      'constructor',
      '__proto__',
      'toString',
      '',
      'weighed ',
      'Ünbekannt',
      'a'.repeat(300),
    ]
    for (const [index, kind] of [...names, ...fc.sample(fc.string(), 20)].entries()) {
      const odd = {
        ...theirs(60, TODAY, 100 + index),
        kind,
        payload: { verse: index },
      } as unknown as KeptEntry
      server.states.mockClear()
      server.append.mockClear()
      feed.follow?.onEntry(odd)
      record.keep([weighing], 'Tamsin weighed')
      await soon(() => expect(server.append.mock.lastCall?.[0]).toMatchObject([{ kind: 'weighed' }]))
      await soon(() => expect(record.waitingCount).toBe(0))
      // What it comes to, only the server can tell.
      await soon(() => expect(server.states.mock.calls).toContainEqual(['tamsin']))
      expect(grams().at(-1)).toBeDefined()
    }
    expect(await stored()).toEqual([])
  })

  it('keeps what is said on this device also where nothing can be believed of it', async () => {
    server.append.mockRejectedValue(new Unreachable('cut'))
    server.states.mockReturnValue(told(7, { ...state, growth: null } as never))
    const record = await opened()
    const complain = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    record.keep([weighing], 'Tamsin weighed')
    await soon(async () => expect(await stored()).toMatchObject([{ entry: weighing }]))
    complain.mockRestore()
  })

  it('shows what the server believes, asks it again after each thing heard, and offers the newer page', async () => {
    server.states.mockImplementation(() => ({ ...told(7, state), revision: 99 }))
    const record = await opened()
    expect(newVersion.waits.value).toBe(true)
    server.states.mockClear()
    feed.follow?.onEntry(theirs(62, TODAY, 8))
    await soon(() => expect(server.states.mock.calls).toEqual([['tamsin']]))
    record.keep([weighing], 'Tamsin weighed')
    await soon(() => expect(record.waitingCount).toBe(0))
  })
})

describe('on a device that holds folds of an earlier version', () => {
  async function heldBefore(revision?: number): Promise<void> {
    const before = await opened()
    usePeople(page).team = [ME.person]
    await soon(async () =>
      expect([await kept.thing('site'), await kept.thing('book')]).not.toContain(undefined),
    )
    await before.close()
    const fold = { subject: 'tamsin', family: 'resident', upTo: { 1: 7 } } as const
    await kept.keepFolds(
      [{ ...fold, state: asRevision3('resident', state) as never }],
      { 1: 7 },
      { anew: true },
    )
    await kept.keepThing('revision', revision as number)
    newPage()
    server.states.mockClear()
  }

  it('stands on what can be told of them, and asks for everything as soon as it can', async () => {
    await heldBefore(3)
    server.states.mockImplementation(() => {
      throw new Unreachable('cut')
    })
    await opened()
    expect(grams()).toEqual([60])
    const weights = [{ day: TODAY, grams: 64, uid: 'x' }]
    server.states.mockReturnValue(told(9, { ...state, growth: { ...state.growth, weights } }))
    feed.follow?.onLink(false)
    feed.follow?.onLink(true)
    await soon(() => expect(grams()).toEqual([64]))
    await soon(async () => expect(await kept.thing('revision')).toBe(FOLD_REVISION))
  })

  it('takes nothing from a newer version than its own, and asks', async () => {
    await heldBefore(99)
    await opened()
    expect(server.states).toHaveBeenCalled()
    expect(grams()).toEqual([60])
  })
})
