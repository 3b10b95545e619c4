import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyState } from '../../facts/fold/replay.ts'
import { weightLevel } from '../weightTrend/weightLevel.ts'
import type { AmountRule, Food } from '../../plans/plan/duty.ts'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { CRICKETS, dutyOf, planOf } from '../../testing/plans.ts'
import { canBeAsPlanned } from '../walk/asPlanned.ts'
import { residentDay } from '../walk/residentDay.ts'
import { mealAmount, nextPortion } from './mealAmount.ts'
import { nextFood } from './nextFood.ts'
import { supplementsDue } from './supplementsDue.ts'

const food = (item: string, more: Partial<Food> = {}): Food => ({ item, sizes: [], ...more })
const fed = (day: number, item: string, outcome: 'taken' | 'refused' = 'taken') =>
  entryOn(day, 'fed', { item, outcome })

describe('rotation', () => {
  it('offers what it went longest without, in the plan’s order where equal', () => {
    const foods = [food('a'), food('b'), food('c')]
    expect(nextFood(foods, emptyState('resident'), FIRST_DAY)?.food.item).toBe('a')
    expect(nextFood(foods, told([fed(0, 'a'), fed(1, 'b')]), FIRST_DAY + 2)?.food.item).toBe('c')
    expect(nextFood(foods, told([fed(0, 'b'), fed(1, 'c'), fed(2, 'a')]), FIRST_DAY + 3)?.food.item).toBe('b')
  })

  it('never exceeds a weekly cap in any 7 days, however long it goes on', () => {
    const foods = [food('worms', { weeklyCap: 2 }), food('greens', { weeklyCap: 3 }), food('mix')]
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 3 }), { maxLength: 40 }), (gaps) => {
        const offers: { day: number; item: string }[] = []
        let state = emptyState('resident')
        let day = 0
        for (const gap of gaps) {
          day += gap
          const item = nextFood(foods, state, FIRST_DAY + day)?.food.item
          if (item === undefined) continue
          offers.push({ day, item })
          state = told(
            offers.map((offer, index) =>
              entryOn(offer.day, 'fed', { item: offer.item, outcome: 'taken' }, { minute: index }),
            ),
          )
        }
        for (const { day: at } of offers) {
          const week = offers.filter((offer) => offer.day > at - 7 && offer.day <= at)
          expect(week.filter(({ item }) => item === 'worms').length).toBeLessThanOrEqual(2)
          expect(week.filter(({ item }) => item === 'greens').length).toBeLessThanOrEqual(3)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('keeps the gap since the same item, and says so', () => {
    const choice = nextFood(
      [food('apple', { minGapDays: 5 }), food('leaf')],
      told([fed(0, 'leaf'), fed(1, 'apple')]),
      FIRST_DAY + 3,
    )
    expect(choice?.food.item).toBe('leaf')
    expect(choice?.because).toContainEqual({ rule: 'minGap', item: 'apple', days: 5, lastDay: FIRST_DAY + 1 })
  })

  it('gives way to another food after three refusals in a row, and comes back when nothing else is left', () => {
    const refused = told([fed(0, 'mice', 'refused'), fed(7, 'mice', 'refused'), fed(14, 'mice', 'refused')])
    expect(nextFood([food('mice'), food('chicks')], refused, FIRST_DAY + 20)?.food.item).toBe('chicks')
    expect(nextFood([food('mice')], refused, FIRST_DAY + 20)?.food.item).toBe('mice')
    expect(nextFood([food('mice'), food('chicks')], refused, FIRST_DAY + 100)?.food.item).toBe('chicks')
  })

  it('offers nothing when every food is at its cap', () => {
    expect(nextFood([food('worms', { weeklyCap: 1 })], told([fed(0, 'worms')]), FIRST_DAY + 1)).toBeNull()
  })
})

describe('portions', () => {
  const rule = { by: 'portion', grams: 40, min: 20, max: 90, followsLeftovers: true } as const
  const bowlAfter = (grams: number, ...found: ('empty' | number)[]) =>
    told([
      ...found.flatMap((left, index) => [
        entryOn(index * 2, 'fed', { item: 'greens', grams, outcome: 'taken' as const }),
        left === 'empty'
          ? entryOn(index * 2 + 1, 'bowl', { found: 'empty' })
          : entryOn(index * 2 + 1, 'bowl', { found: 'leftovers', leftFraction: left }),
      ]),
    ]).feeding.lines['feed']

  it('begin with what the plan says', () => {
    expect(nextPortion(rule, undefined).grams).toBe(40)
  })

  it('shrink by a quarter when more than a tenth is left, not at a tenth', () => {
    expect(nextPortion(rule, bowlAfter(40, 0.5)).grams).toBe(30)
    expect(nextPortion(rule, bowlAfter(40, 0.1)).grams).toBe(40)
  })

  it('grow by a quarter when two in a row were cleared, not one', () => {
    expect(nextPortion(rule, bowlAfter(40, 'empty')).grams).toBe(40)
    expect(nextPortion(rule, bowlAfter(40, 'empty', 'empty')).grams).toBe(50)
    expect(nextPortion(rule, bowlAfter(40, 'empty', 0.05)).grams).toBe(40)
  })

  it('stay within bounds', () => {
    expect(nextPortion(rule, bowlAfter(22, 0.9)).grams).toBe(20)
    expect(nextPortion(rule, bowlAfter(85, 'empty', 'empty')).grams).toBe(90)
  })
})

describe('amounts', () => {
  const rats = [
    { size: 'weaned', grams: 40 },
    { size: 'small', grams: 80 },
    { size: 'medium', grams: 140 },
  ]

  it('by share of body weight: the range, and the heaviest prey within it', () => {
    const weight = { grams: 1600, day: FIRST_DAY, readings: 5, suspects: [] }
    const amount = mealAmount({ by: 'massShare', share: [0.05, 0.07], count: 1 }, rats, { sizes: {}, weight })
    expect(amount.size).toBe('small')
    expect(amount.grams?.[0]).toBeCloseTo(80)
    expect(amount.grams?.[1]).toBeCloseTo(112)
  })

  it('without a weight: the smallest prey, and the reason', () => {
    const amount = mealAmount({ by: 'massShare', share: [0.05, 0.07], count: 1 }, rats, {
      sizes: {},
      weight: null,
    })
    expect(amount).toMatchObject({ size: 'weaned', because: [{ fact: 'noWeight' }, { rule: 'amount' }] })
  })

  it.each([
    [3, 'S'],
    [6, 'M'],
    [20, 'L'],
    [2.9, 'S'],
  ])('by a measured width of %i mm at 0.7: crickets %s', (mm, size) => {
    const { growth } = told([entryOn(0, 'measured', { part: 'headWidth', mm })])
    const rule = { by: 'width', part: 'headWidth', factor: 0.7, count: [1, 2] } as const
    expect(
      mealAmount({ ...rule, count: [1, 2] }, CRICKETS.sizes, { sizes: growth.sizes, weight: null }).size,
    ).toBe(size)
  })
})

describe('prey of which nothing is small enough', () => {
  const grams = (value: number) => ({ grams: value, day: FIRST_DAY, readings: 3, suspects: [] })
  const least: AmountRule = { by: 'massShare', share: [0.1, 0.15], count: 1 }
  const pinkie = [{ size: 'pinkie', grams: 1.5 }]

  it('is named with how large it is and how large it may be, and no size is offered', () => {
    const amount = mealAmount(least, pinkie, { sizes: {}, weight: grams(5) })
    expect(amount.size).toBeUndefined()
    expect(amount.count).toBeUndefined()
    expect(amount.tooLarge).toMatchObject({ size: 'pinkie', unit: 'g', has: 1.5 })
    expect(amount.tooLarge?.most).toBeCloseTo(0.75)
    expect(mealAmount(least, pinkie, { sizes: {}, weight: grams(10) })).toMatchObject({ size: 'pinkie' })
  })

  it('gives way to another food that is', () => {
    const duty = dutyOf({
      id: 'feed',
      does: 'feed',
      amount: { by: 'width', part: 'eyeGap', factor: 1, count: [2, 4], instead: ['a fly'] },
      foods: [{ item: 'locusts', sizes: [{ size: 'third', widthMm: 5 }] }, CRICKETS],
    })
    const of = (mm: number) => {
      const state = told([entryOn(0, 'measured', { part: 'eyeGap', mm })])
      return residentDay({ day: FIRST_DAY + 1, plan: planOf({ duties: [duty] }), state }).tasks[0]
    }
    expect(of(4)?.offering).toMatchObject({ item: 'crickets', size: 'M' })
    const small = of(1.5)
    expect(small).toMatchObject({
      nothingToOffer: true,
      tooLarge: { unit: 'mm', most: 1.5, instead: ['a fly'] },
    })
    expect(small?.offering).toBeUndefined()
    expect(small?.because).toContainEqual(expect.objectContaining({ fact: 'size', part: 'eyeGap' }))
    expect(small && canBeAsPlanned(small)).toBe(false)
  })
})

describe('a meal for a group', () => {
  const meal = (rule: AmountRule, animals: number | null) =>
    mealAmount(rule, [], { sizes: {}, weight: null, animals })

  it('follows how many they are', () => {
    const rule: AmountRule = { by: 'count', count: [3, 4], per: 2 }
    expect(meal(rule, 10)).toMatchObject({
      count: [15, 20],
      because: [{ fact: 'headCount', animals: 10, per: 2 }, {}],
    })
    expect(meal(rule, 1).count).toEqual([2, 2])
    expect(meal(rule, null)).toMatchObject({
      count: [3, 4],
      because: [{ fact: 'headCount', animals: null }, {}],
    })
  })

  it('by grams has bounds that follow them too', () => {
    const rule: AmountRule = { by: 'portion', grams: 10, min: 5, max: 20, followsLeftovers: true, per: 4 }
    expect(meal(rule, 8).grams).toEqual([20, 20])
    const line = told(
      [0, 2, 4].flatMap((day) => [
        entryOn(day, 'fed', { item: 'greens', grams: 40, outcome: 'taken' }),
        entryOn(day + 1, 'bowl', { found: 'empty' }),
      ]),
    ).feeding.lines['feed']
    expect(mealAmount(rule, [], { sizes: {}, weight: null, animals: 8, line }).grams).toEqual([40, 40])
    expect(mealAmount(rule, [], { sizes: {}, weight: null, animals: 4, line }).grams).toEqual([20, 20])
  })

  it('of one animal is what the plan says', () => {
    expect(meal({ by: 'count', count: [3, 4] }, 10).count).toEqual([3, 4])
  })
})

describe('supplements', () => {
  it('go by count of meals and by days since the last time', () => {
    const rules = [
      { name: 'calcium', everyMeals: 2 },
      { name: 'vitamins', everyDays: 14 },
    ]
    const names = (entries: Parameters<typeof told>[0], day: number) =>
      supplementsDue(rules, told(entries), FIRST_DAY + day).map(({ name }) => name)
    const both = entryOn(0, 'fed', {
      item: 'crickets',
      outcome: 'taken',
      supplements: ['calcium', 'vitamins'],
    })
    expect(names([], 0)).toEqual(['calcium', 'vitamins'])
    expect(names([both], 3)).toEqual([])
    expect(names([both, fed(3, 'crickets')], 6)).toEqual(['calcium'])
    expect(names([both], 14)).toEqual(['vitamins'])
  })

  it('on a refused meal were not given', () => {
    const refused = entryOn(0, 'fed', { item: 'crickets', outcome: 'refused', supplements: ['calcium'] })
    expect(supplementsDue([{ name: 'calcium', everyMeals: 9 }], told([refused]), FIRST_DAY)).toHaveLength(1)
  })
})

describe('the smoothed weight', () => {
  const weighing = { r: 0.03, q: 1e-7 }
  const readings = (...grams: number[]) =>
    grams.map((value, index) => ({ day: index * 14, grams: value, uid: String(index) }))

  it('is the mean of ln grams on a single day', () => {
    const sameDay = [100, 102, 98].map((grams, index) => ({ day: 5, grams, uid: String(index) }))
    expect(weightLevel(sameDay, weighing)?.grams).toBeCloseTo(Math.cbrt(100 * 102 * 98), 10)
  })

  it('sets a slipped decimal aside, names it, and never feeds by it', () => {
    const level = weightLevel(readings(1600, 1610, 1605, 1620, 162), weighing)
    expect(level?.suspects).toEqual(['4'])
    expect(level?.grams).toBeGreaterThan(1550)
  })

  it('believes a jump that the next weighing agrees with', () => {
    const level = weightLevel(readings(1600, 1610, 1605, 1620, 1100, 1110), weighing)
    expect(level?.suspects).toEqual([])
    expect(level?.grams).toBeLessThan(1400)
  })

  it('believes a jump the keeper looked at twice', () => {
    const jump = readings(1600, 1610, 1605, 1620, 1100).map((reading) => ({ ...reading, confirmed: true }))
    expect(weightLevel(jump, weighing)?.suspects).toEqual([])
  })

  it('lies within the readings it is made of, and follows their unit', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 95, max: 105, noNaN: true }), { minLength: 1, maxLength: 20 }),
        (grams) => {
          const level = weightLevel(readings(...grams), weighing)
          const inKilograms = weightLevel(readings(...grams.map((value) => value / 1000)), weighing)
          expect((inKilograms?.grams ?? 0) * 1000).toBeCloseTo(level?.grams ?? 0, 6)
          expect(level?.grams).toBeGreaterThan(80)
          expect(level?.grams).toBeLessThan(125)
        },
      ),
    )
  })

  it('agrees with generalised least squares worked out another way', () => {
    // Two days, three readings: level and slope are the straight line through day means at day 10.
    const level = weightLevel(
      [
        { day: 0, grams: Math.exp(4.6), uid: 'a' },
        { day: 10, grams: Math.exp(4.7), uid: 'b' },
        { day: 10, grams: Math.exp(4.8), uid: 'c' },
      ],
      weighing,
    )
    expect(Math.log(level?.grams ?? 0)).toBeCloseTo(4.75, 10)
  })
})
