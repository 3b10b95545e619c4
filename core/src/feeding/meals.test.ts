import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, KEEPERS, told } from '../testing/histories.ts'
import { planOf } from '../testing/plans.ts'
import { residentDay } from '../walk/residentDay.ts'
import { mealsIn } from './feedingState.ts'

type Outcome = 'taken' | 'refused' | 'left' | 'notOffered'

const meal = (
  day: number,
  outcome: Outcome,
  more: { grams?: number; duty?: string; minute?: number } = {},
) => {
  const { minute = 480, ...payload } = more
  return entryOn(day, 'fed', { item: 'crickets', outcome, ...payload }, { minute })
}
type Entries = Parameters<typeof told>[0]
const on = (day: number, entries: Entries) =>
  residentDay({ day: FIRST_DAY + day, plan: planOf(), state: told(entries) })
const feedingOf = (entries: Entries) => told(entries).feeding

describe('meals', () => {
  it('a refusal is an offer, not a meal', () => {
    const { lines } = feedingOf([meal(0, 'taken'), meal(3, 'refused'), meal(5, 'refused')])
    expect(lines['feed']).toMatchObject({ refusals: 2, meals: 1, lately: [{ day: FIRST_DAY }] })
  })

  it('one left to find and found uneaten becomes a refusal', () => {
    const { lines } = feedingOf([meal(0, 'taken'), meal(4, 'left'), entryOn(5, 'bowl', { found: 'full' })])
    expect(lines['feed']).toMatchObject({
      refusals: 1,
      lately: [{ day: FIRST_DAY }],
      lastOffer: { outcome: 'refused' },
    })
  })

  it('not offering changes neither meals nor refusals', () => {
    const feeding = feedingOf([meal(0, 'taken'), meal(2, 'notOffered')])
    expect(feeding.lines['feed']).toMatchObject({ refusals: 0, lately: [{ day: FIRST_DAY }] })
    expect(mealsIn(feeding)).toBe(1)
  })

  it('a whole shelf fed by two people names both', () => {
    const by = (author: string, minute: number) =>
      entryOn(0, 'fed', { item: 'crickets', outcome: 'taken' }, { author, minute })
    const { today } = feedingOf([by(KEEPERS[0], 480), by(KEEPERS[1], 490)])
    expect(today.map(({ by: who }) => who)).toEqual([KEEPERS[0], KEEPERS[1]])
  })

  it('refused in the morning and taken in the evening is not fed twice', () => {
    const codes = (entries: Entries) => on(0, entries).verdicts.map(({ what }) => what.code)
    expect(codes([meal(0, 'refused'), meal(0, 'taken', { minute: 1100 })])).not.toContain('fedTwice')
    expect(codes([meal(0, 'taken'), meal(0, 'taken', { minute: 1100 })])).toContain('fedTwice')
  })

  it('taken in view is being seen, left in place is not', () => {
    expect(told([meal(3, 'taken')]).looking.seenOn).toBe(FIRST_DAY + 3)
    expect(told([meal(3, 'left')]).looking.seenOn).toBeNull()
  })
})

describe('digesting', () => {
  const weight = entryOn(0, 'weighed', { grams: 1000 })
  const large = { grams: 100 }
  const isDigesting = (day: number, entries: Entries) =>
    on(day, [weight, ...entries]).holds.some(({ hold }) => hold === 'digesting')

  it('goes on after a second offer was refused: the grams belong to the meal', () => {
    expect(isDigesting(2, [meal(1, 'taken', large)])).toBe(true)
    expect(isDigesting(2, [meal(1, 'taken', large), meal(2, 'refused', large)])).toBe(true)
    expect(isDigesting(2, [meal(1, 'refused', large)])).toBe(false)
  })

  it('goes on after a small meal, of the same duty or another', () => {
    const snack = { grams: 5, minute: 900 }
    expect(isDigesting(2, [meal(1, 'taken', large), meal(1, 'taken', snack)])).toBe(true)
    expect(isDigesting(2, [meal(1, 'taken', large), meal(1, 'taken', { ...snack, duty: 'greens' })])).toBe(
      true,
    )
    expect(isDigesting(2, [meal(1, 'taken', snack)])).toBe(false)
  })
})
