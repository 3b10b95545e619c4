import { describe, expect, it } from 'vitest'
import * as z from 'zod/mini'
import { reduce } from '../fold/reduce.ts'
import { WRITERS } from '../people/role.ts'
import { entryOn, uidOf } from '../../testing/histories.ts'
import type { Family } from './families.ts'
import { FACT_KINDS, FAMILIES, kindOf } from './families.ts'
import type { Folded } from './folded.ts'
import { folded, nothingFolded } from './folded.ts'
import { kindFor } from './kind.ts'
import { Instant, text, Uid } from './values.ts'

describe('the registry of kinds', () => {
  it('has every kind in one family only: its name alone says which fold it goes to', () => {
    expect(new Set(FACT_KINDS).size).toBe(
      Object.values(FAMILIES).reduce((sum, { kinds }) => sum + Object.keys(kinds).length, 0),
    )
  })

  it('names somebody who may record each kind', () => {
    for (const kind of FACT_KINDS) expect(kindOf(kind).recordedBy, kind).not.toEqual([])
  })

  it('touches only families there are', () => {
    const touched = entryOn(0, 'moved', { to: uidOf(1), from: uidOf(2) })
    const families = kindOf('moved')
      .touches?.(touched.payload)
      .map(({ family }) => family)
    expect(families).toEqual(['place', 'place'])
  })

  it('folds a family of another folder without being told of it: state, kind and family are all it takes', () => {
    interface BellState extends Folded {
      rung: number
    }
    const bellKind = kindFor<BellState>()
    const rung = bellKind({
      payload: z.strictObject({ times: z.int().check(z.positive()) }),
      recordedBy: WRITERS,
      fold: (state, { payload }) => ({ ...state, rung: state.rung + payload.times }),
    })
    const bellFamily: Family<BellState> = {
      kinds: { rung },
      state: z.strictObject({ ...folded, rung: z.number() }),
      empty: () => ({ ...nothingFolded(), rung: 0 }),
      readBy: WRITERS,
    }
    const happened = {
      uid: uidOf(1),
      subject: uidOf(2),
      occurredAt: '',
      day: 1,
      author: uidOf(3),
      payload: { times: 2 },
    }
    expect(rung.fold(bellFamily.empty(), happened)).toMatchObject({ rung: 2 })
    const registered = { ...FAMILIES, bell: bellFamily }
    expect(Object.keys(registered.bell.kinds)).toEqual(['rung'])
  })

  it('leaves what is believed as it is by a kind that only a newer version knows', () => {
    const odd = { ...entryOn(0, 'noted', { text: 'a' }), kind: 'sung' } as never
    expect(reduce({ ...nothingFolded(), bells: 3 }, odd)).toMatchObject({ bells: 3, facts: 1 })
  })
})

describe('values', () => {
  it('take an identity in lower case only: another spelling would be another identity', () => {
    expect(Uid.safeParse(uidOf(0xabc)).success).toBe(true)
    expect(Uid.safeParse(uidOf(0xabc).toUpperCase()).success).toBe(false)
  })

  it('take no half of a surrogate pair', () => {
    expect(text.safeParse('A frog \u{1f438}').success).toBe(true)
    expect(text.safeParse('A frog \ud83d').success).toBe(false)
  })

  it('take no moment before anybody kept a record', () => {
    expect(Instant.safeParse('0001-01-01T00:00:00.000Z').success).toBe(false)
    expect(Instant.safeParse('2026-06-16T09:30:00.000Z').success).toBe(true)
  })
})
