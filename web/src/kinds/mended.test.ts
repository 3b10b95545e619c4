import type { Draft, Fact } from '@kobrin/core'
import { Correction } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import { mended, toMend } from './mended.ts'

const fact = (said: Pick<Draft, 'kind' | 'payload'>) => entryOn(TODAY, said) as Fact
const isSaid = (one: Fact, to: unknown) =>
  Correction.safeParse({ target: one.uid, to, why: 'A slip.' }).success
const TARGET = '01900000-0000-7000-8000-000000000001'

describe('mending a fact', () => {
  it('begins with what it says, and changes only what was typed anew', () => {
    const meal = fact({
      kind: 'fed',
      payload: { item: 'roaches', count: 6, outcome: 'left', supplements: ['calcium'] },
    })
    expect(toMend(meal)).toEqual({ number: 6, text: '', outcome: 'left' })
    expect(mended(meal, { number: 4, text: '', outcome: 'taken' })).toEqual({
      kind: 'fed',
      payload: { item: 'roaches', count: 4, outcome: 'taken', supplements: ['calcium'] },
    })
  })

  it('leaves out a number that was emptied, which a weight cannot do without', () => {
    const [meal, weight] = [
      { ...fact({ kind: 'fed', payload: { item: 'roaches', count: 6, outcome: 'left' } }), uid: TARGET },
      { ...fact({ kind: 'weighed', payload: { grams: 60 } }), uid: TARGET },
    ]
    const none = { number: null, text: '', outcome: 'left' } as const
    expect(mended(meal, none)?.payload).toEqual({ item: 'roaches', outcome: 'left' })
    expect([isSaid(meal, mended(meal, none)), isSaid(weight, mended(weight, none))]).toEqual([true, false])
  })

  it('keeps what stands beside a text', () => {
    const seen = fact({ kind: 'observed', payload: { text: 'Dull', severity: 'watch' } })
    const typed = { ...toMend(seen), text: 'Dull eyes' }
    expect(mended(seen, typed)?.payload).toEqual({ text: 'Dull eyes', severity: 'watch' })
  })

  it('is not offered of what has no number and no text', () => {
    expect(
      mended(
        fact({ kind: 'looked', payload: { seen: true } }),
        toMend(fact({ kind: 'looked', payload: { seen: true } })),
      ),
    ).toBeNull()
  })
})
