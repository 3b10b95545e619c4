import 'fake-indexeddb/auto'
import type { KeptEntry } from '@kobrin/contract'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { TODAY } from '../testing/residents.ts'
import type { KeptStore } from './keptStore.ts'
import { createKeptStore } from './keptStore.ts'
import { createLately } from './lately.ts'

const saidOn = (day: number, uid: string, subject = 'ada'): KeptEntry => ({
  uid,
  subject,
  day,
  kind: 'noted',
  payload: { text: uid },
  author: 'lotte',
  occurredAt: '2026-06-16T08:00:00.000Z',
  recordedAt: '2026-06-16T08:00:00.000Z',
  stream: 1,
  seq: 1,
})

let store: KeptStore
let count = 0
beforeEach(() => {
  count += 1
  store = createKeptStore(`lately ${count}`)
})

function bringing(options: Partial<Parameters<typeof createLately>[0]> = {}) {
  const ask = vi.fn((day: number) => Promise.resolve([saidOn(day, `said ${day}`)]))
  const lately = createLately({
    store,
    ask,
    today: () => TODAY,
    mayKeep: () => true,
    hasRoom: () => Promise.resolve(true),
    firstMs: 0,
    nextMs: 0,
    ...options,
  })
  return { ask, lately }
}

const daysHere = async () => (await store.thing('days')) ?? []
const allHere = () => vi.waitFor(async () => expect(await daysHere()).toHaveLength(60), { timeout: 10_000 })

describe('what was said of late', () => {
  it('comes onto the device a day at a time, the latest first, and each day once', async () => {
    const { ask, lately } = bringing()
    lately.begin()
    await allHere()
    expect(ask.mock.calls.slice(0, 3)).toEqual([[TODAY], [TODAY - 1], [TODAY - 2]])
    expect(await store.lately('ada')).toHaveLength(60)
    const again = bringing()
    again.lately.begin()
    await new Promise((resolve) => setTimeout(resolve, 50))
    expect(again.ask).not.toHaveBeenCalled()
  })

  it('brings only what is new the next day, and forgets what is older than that', async () => {
    const { lately } = bringing()
    lately.begin()
    await allHere()
    const next = bringing({ today: () => TODAY + 1 })
    next.lately.begin()
    await vi.waitFor(async () => expect(await daysHere()).toContain(TODAY + 1))
    expect(next.ask.mock.calls).toEqual([[TODAY + 1]])
    await vi.waitFor(async () => expect(await store.lately('ada')).toHaveLength(60))
    expect((await store.lately('ada')).some(({ day }) => day === TODAY - 59)).toBe(false)
  })

  it('has what is heard meanwhile, once, whatever day it is for', async () => {
    const { lately } = bringing()
    for (const entry of [saidOn(TODAY - 3, 'late'), saidOn(TODAY, 'now'), saidOn(TODAY - 70, 'long ago')])
      lately.hear(entry)
    await lately.flush()
    lately.hear(saidOn(TODAY, 'now'))
    await lately.flush()
    expect((await store.lately('ada')).map(({ uid }) => uid)).toEqual(['late', 'now'])
    expect(await store.lately('ben')).toEqual([])
  })

  it('is asked for again where the line was cut', async () => {
    const ask = vi.fn((day: number) =>
      ask.mock.calls.length === 3
        ? Promise.reject(new Error('cut'))
        : Promise.resolve([saidOn(day, `${day}`)]),
    )
    const { lately } = bringing({ ask })
    lately.begin()
    await vi.waitFor(() => expect(ask).toHaveBeenCalledTimes(3))
    lately.begin()
    await allHere()
  })

  it.each([
    ['is left to the tab that holds the line', { mayKeep: () => false }],
    ['leaves room for what waits to be sent', { hasRoom: () => Promise.resolve(false) }],
  ])('%s', async (_, options) => {
    const { ask, lately } = bringing(options)
    lately.begin()
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(ask).not.toHaveBeenCalled()
  })

  it('is gone when the record was put back to an earlier state', async () => {
    const { lately } = bringing()
    lately.begin()
    await allHere()
    await store.keepFolds([], {}, { anew: true })
    expect([await daysHere(), await store.lately('ada')]).toEqual([[], []])
  })
})
