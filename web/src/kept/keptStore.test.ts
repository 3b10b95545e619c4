import 'fake-indexeddb/auto'
import { emptyResident } from '@kobrin/core'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import { createFoldKeeper } from './foldKeeper.ts'
import type { KeptStore } from './keptStore.ts'
import { createKeptStore } from './keptStore.ts'

const foldOf = (subject: string, seq: number) => ({
  subject,
  family: 'resident' as const,
  state: emptyResident(),
  upTo: { 1: seq },
})

const sentAt = (seq: number) => ({
  ...entryOn(TODAY, { kind: 'noted', payload: { text: 'Said' } }),
  stream: 1,
  seq,
  recordedAt: '2026-06-16T08:00:00.000Z',
})

let store: KeptStore
let count = 0

beforeEach(() => {
  count += 1
  store = createKeptStore(`kept ${count}`)
})

describe('what lies on this device', () => {
  it('is folds and how far they reach, and all others go when everything came anew', async () => {
    await store.keepFolds([foldOf('ada', 7), foldOf('ben', 7)], { 1: 7 })
    await store.keepFolds([foldOf('ada', 9)], { 1: 9 })
    expect((await store.folds()).map(({ subject, upTo }) => [subject, upTo[1]])).toEqual([
      ['ada', 9],
      ['ben', 7],
    ])
    await store.keepFolds([foldOf('cas', 3)], { 1: 3 }, { anew: true })
    expect([(await store.folds()).map(({ subject }) => subject), await store.thing('head')]).toEqual([
      ['cas'],
      { 1: 3 },
    ])
  })

  it('knows what was sent from here until a fold holds it', async () => {
    const [early, late] = [sentAt(8), sentAt(12)]
    await store.keepSent(early)
    await store.keepSent(late)
    await store.keepFolds([foldOf('ada', 9)], { 1: 9 })
    expect((await store.sent()).map(({ seq }) => seq)).toEqual([12])
  })

  it('is nothing where the device can keep nothing, and nobody is kept waiting for that', async () => {
    const shut = createKeptStore('shut', () => Promise.reject(new Error('No room.')))
    await shut.keepThing('handedOver', true)
    expect([await shut.keepFolds([], {}), await shut.folds(), await shut.thing('handedOver')]).toEqual([
      false,
      [],
      undefined,
    ])
  })
})

describe('keeping folds as they change', () => {
  function keeping(mayKeep = true) {
    const keepFolds = vi.fn(() => Promise.resolve(true))
    const lately = { hear: vi.fn(), flush: vi.fn(() => Promise.resolve()), begin: vi.fn(), stop: vi.fn() }
    const keeper = createFoldKeeper({
      ledger: { keptFold: (subject) => (subject === 'nobody' ? null : foldOf(subject, 5)) },
      head: () => ({ 1: 5 }),
      mayKeep: () => mayKeep,
      store: { keepFolds },
      lately,
      gatherMs: 5,
    })
    return { keeper, keepFolds, lately }
  }
  const soon = () => new Promise((resolve) => setTimeout(resolve, 20))

  it('writes many changes together, each subject once', async () => {
    const { keeper, keepFolds } = keeping()
    for (const subject of ['ada', 'ben', 'ada', 'nobody']) keeper.touched(subject)
    await soon()
    expect(keepFolds.mock.calls).toEqual([[[foldOf('ada', 5), foldOf('ben', 5)], { 1: 5 }, { anew: false }]])
  })

  it('writes what was said before the place in the feed that it reaches to', async () => {
    const { keeper, keepFolds, lately } = keeping()
    const said = sentAt(5)
    keeper.heard(said)
    await soon()
    expect(lately.hear).toHaveBeenCalledWith(said)
    expect(lately.flush.mock.invocationCallOrder[0]).toBeLessThan(keepFolds.mock.invocationCallOrder[0] ?? 0)
  })

  it('is left to the tab that holds the line', async () => {
    const { keeper, keepFolds } = keeping(false)
    keeper.touched('ada')
    await soon()
    expect(keepFolds).not.toHaveBeenCalled()
  })
})
