import { PostedEntry } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { EntryBatch } from './entryBatch.ts'
import { BATCH_LIMIT } from './posting.ts'

const entry = {
  uid: '01900000-0000-7000-8000-000000000001',
  subject: '01900000-0000-7000-8000-000000000002',
  author: '01900000-0000-7000-8000-000000000003',
  occurredAt: '2026-06-01T08:00:00.000Z',
  kind: 'weighed',
  payload: { grams: 61.5 },
}

describe('a posted entry', () => {
  it('comes without its civil day: the server derives it', () => {
    expect(PostedEntry.safeParse(entry).success).toBe(true)
    expect(PostedEntry.safeParse({ ...entry, day: 20_000 }).success).toBe(false)
  })

  it.each([
    ['a weight of nothing', { payload: { grams: 0 } }],
    ['a weight that is not a number', { payload: { grams: 'heavy' } }],
    ['a moment without milliseconds', { occurredAt: '2026-06-01T08:00:00Z' }],
    ['a moment in another zone', { occurredAt: '2026-06-01T08:00:00.000+02:00' }],
    ['a kind nobody knows', { kind: 'serenaded' }],
    ['a field nobody knows', { mood: 'good' }],
    ['an identity that is none', { uid: '7' }],
    ['an identity in capitals', { uid: '01900000-0000-7000-8000-00000000000A' }],
    ['half a sign', { kind: 'noted', payload: { text: 'Odd \ud83d' } }],
    ['a moment of a year nobody lived in', { occurredAt: '0001-01-01T00:00:00.000Z' }],
  ])('is not %s', (_, change) => {
    expect(PostedEntry.safeParse({ ...entry, ...change }).success).toBe(false)
  })

  it('corrects with the same kind of payload', () => {
    const correction = (to: object) => ({
      ...entry,
      kind: 'corrected',
      payload: { target: entry.uid, to, why: 'Slip.' },
    })
    expect(PostedEntry.safeParse(correction({ kind: 'weighed', payload: { grams: 62 } })).success).toBe(true)
    expect(PostedEntry.safeParse(correction({ kind: 'weighed', payload: { text: 'x' } })).success).toBe(false)
  })
})

describe('a batch', () => {
  it('may hold an entry that cannot be read, so that it can be answered for itself', () => {
    expect(EntryBatch.safeParse({ entries: [entry, { uid: 'odd', nonsense: true }] }).success).toBe(true)
  })

  it('is neither empty nor endless', () => {
    const many = (count: number) => ({ entries: Array.from({ length: count }, () => entry) })
    expect(EntryBatch.safeParse(many(0)).success).toBe(false)
    expect(EntryBatch.safeParse(many(BATCH_LIMIT)).success).toBe(true)
    expect(EntryBatch.safeParse(many(BATCH_LIMIT + 1)).success).toBe(false)
  })
})
