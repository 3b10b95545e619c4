import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, KEEPERS, told, uidOf } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../../judging/walk/residentDay.ts'
import { NO_FEEDS, lastMealDay, lastMealIn, mealsIn, mealsKept } from './feedLine.ts'
import type { FeedLine } from './feedingState.ts'
import { rowOn, sumOf } from './offerSum.ts'
import { supplementsDue } from '../../judging/feeding/supplementsDue.ts'

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
const rowOf = ({ lines }: ReturnType<typeof feedingOf>, day: number) =>
  rowOn(lines['feed'] ?? NO_FEEDS, FIRST_DAY + day)

describe('meals', () => {
  it('a refusal is an offer, not a meal', () => {
    const feeding = feedingOf([meal(0, 'taken'), meal(3, 'refused'), meal(5, 'refused')])
    expect(rowOf(feeding, 9)).toMatchObject({ refusals: 2, from: FIRST_DAY + 3 })
    expect([mealsIn(feeding), lastMealDay(feeding)]).toEqual([1, FIRST_DAY])
  })

  it('one left to find and found uneaten becomes a refusal', () => {
    const feeding = feedingOf([meal(0, 'taken'), meal(4, 'left'), entryOn(5, 'bowl', { found: 'full' })])
    expect(rowOf(feeding, 5)).toMatchObject({ refusals: 1, from: FIRST_DAY + 4 })
    expect(lastMealIn(feeding.lines['feed'])?.day).toBe(FIRST_DAY)
  })

  it('not offering changes neither meals nor refusals', () => {
    const feeding = feedingOf([meal(0, 'taken'), meal(2, 'notOffered')])
    expect([rowOf(feeding, 2), mealsIn(feeding), lastMealDay(feeding)]).toEqual([null, 1, FIRST_DAY])
  })

  it('a whole shelf fed by two people names both', () => {
    const by = (author: string, minute: number) =>
      entryOn(0, 'fed', { item: 'crickets', outcome: 'taken' }, { author, minute })
    const { lines } = feedingOf([by(KEEPERS[0], 480), by(KEEPERS[1], 490)])
    const meals = lines['feed'] ? mealsKept(lines['feed']) : []
    expect(meals.map(({ by: who }) => who)).toEqual([KEEPERS[0], KEEPERS[1]])
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

describe('what was left to find', () => {
  const more = fc.record({
    day: fc.integer({ min: 1, max: 30 }),
    outcome: fc.constantFrom('taken', 'refused', 'left', 'part', 'notOffered'),
    item: fc.constantFrom('crickets', 'roaches'),
    grams: fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined }),
    supplements: fc.option(fc.constant(['calcium']), { nil: undefined }),
  })
  const offer = (day: number, outcome: 'refused' | 'left', seed: object, uid: string) =>
    entryOn(day, 'fed', { item: 'crickets', ...seed, outcome }, { uid })

  it('and found untouched is a refusal of its day, in everything but the marks', () => {
    fc.assert(
      fc.property(fc.array(more, { maxLength: 12 }), more, (others, { grams, supplements, item }) => {
        const history = others
          .sort((a, b) => a.day - b.day)
          .map(({ day, ...payload }, index) =>
            entryOn(day, 'fed', payload as never, { minute: 400 + index, uid: uidOf(5000 + index) }),
          )
        const said = { item, ...(grams !== undefined && { grams }), ...(supplements && { supplements }) }
        const full = entryOn(41, 'bowl', { duty: 'feed', found: 'full' }, { minute: 600, uid: uidOf(6001) })
        const left = told([...history, offer(40, 'left', said, uidOf(6000)), full])
        const refused = told([...history, offer(40, 'refused', said, uidOf(6000))])
        const day = FIRST_DAY + 42
        const lines = [left, refused].map(({ feeding }) => feeding.lines['feed'] ?? NO_FEEDS) as [
          FeedLine,
          FeedLine,
        ]
        expect(sumOf(lines[0])).toEqual(sumOf(lines[1]))
        expect(rowOn(lines[0], day)).toEqual(rowOn(lines[1], day))
        expect(left.looking).toEqual(refused.looking)
        expect(supplementsDue([{ name: 'calcium', everyMeals: 2 }], left, day)).toEqual(
          supplementsDue([{ name: 'calcium', everyMeals: 2 }], refused, day),
        )
      }),
    )
  })

  it('says the same however many offers of before were added up', () => {
    fc.assert(
      fc.property(fc.array(more, { maxLength: 80 }), (offers) => {
        const line = told(
          offers
            .sort((a, b) => a.day - b.day)
            .map(({ day, ...payload }, index) => entryOn(day, 'fed', payload as never, { minute: index })),
        ).feeding.lines['feed']
        const meals = offers.filter(({ outcome }) => outcome !== 'refused' && outcome !== 'notOffered')
        expect(line ? sumOf(line).meals : 0).toBe(meals.length)
        expect(line?.offers.length ?? 0).toBeLessThanOrEqual(40)
      }),
    )
  })
})
