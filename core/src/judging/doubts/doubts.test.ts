import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { doubtAbout } from './doubts.ts'
import type { Draft } from '../../facts/entries/entry.ts'

const weights = [1601, 1612, 1608].map((grams, index) => entryOn(index * 28, 'weighed', { grams }))
const state = told([...weights, entryOn(1, 'measured', { part: 'length', mm: 1200 })])
const about = (draft: Pick<Draft, 'kind' | 'payload'>) =>
  doubtAbout({ subject: 'x', ...draft } as Draft, { day: FIRST_DAY + 60, state, plan: planOf() })
const weighed = (grams: number) => about({ kind: 'weighed', payload: { grams } })

describe('a doubt about a weight', () => {
  it.each([
    [161.2, 1612],
    [16_120, 1612],
    [16.1, 1610],
    [1.612, 1612],
  ])('%d g: perhaps the decimal slipped, and %d was meant', (grams, instead) => {
    expect(weighed(grams)).toMatchObject({ code: 'slippedDecimal', instead })
  })

  it('asks about what is far off without being a slip', () => {
    expect(weighed(900)).toMatchObject({ code: 'farFromUsual' })
  })

  it('has none about what a meal, a month or the scale can make of it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.8, max: 1.25, noNaN: true }), (ratio) => {
        expect(weighed(1608 * ratio)).toBeNull()
      }),
    )
  })

  it('has none about a first weight: there is nothing to hold it against', () => {
    const draft: Draft = { subject: 'x', kind: 'weighed', payload: { grams: 5 } }
    expect(doubtAbout(draft, { day: FIRST_DAY, state: told([]), plan: planOf() })).toBeNull()
  })
})

describe('a doubt about something else', () => {
  it('asks about a length that shrank or grew tenfold', () => {
    expect(about({ kind: 'measured', payload: { part: 'length', mm: 1000 } })).toMatchObject({
      code: 'shrunk',
    })
    expect(about({ kind: 'measured', payload: { part: 'length', mm: 12_000 } })).toMatchObject({
      code: 'slippedDecimal',
      instead: 1200,
    })
    expect(about({ kind: 'measured', payload: { part: 'girth', mm: 5 } })).toBeNull()
  })

  it('asks about litres and pieces far beyond the usual', () => {
    expect(about({ kind: 'watered', payload: { litres: 5 } })).toMatchObject({
      code: 'hugeAmount',
      unit: 'l',
    })
    expect(about({ kind: 'watered', payload: { litres: 1 } })).toBeNull()
    expect(about({ kind: 'tended', payload: { duty: 'water', does: 'water', litres: 5 } })).toMatchObject({
      code: 'hugeAmount',
      value: 5,
    })
  })

  it('never has any about words', () => {
    expect(about({ kind: 'noted', payload: { text: 'x'.repeat(4000) } })).toBeNull()
  })
})
