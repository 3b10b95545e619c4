import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Plan } from '../../plans/plan/plan.ts'
import { entryOn, FIRST_DAY, NEWCOMER, told } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { proposalsOn } from './proposals.ts'
import type { Verdict } from './verdict.ts'

type History = Parameters<typeof told>[0]

const box = { widthMm: 600, depthMm: 300, heightMm: 300 }
const GROWTH = {
  from: 5,
  grown: [40, 60] as [number, number],
  days: [300, 600] as [number, number],
  last: false,
}
const ECDYSIS = { what: 'molt', days: [20, 60], signs: {} } as unknown as Plan['ecdysis']

function said(code: Verdict['what']['code'], plan: Plan, day: number, history: History): Verdict | undefined {
  const state = told([
    entryOn(0, 'registered', NEWCOMER),
    entryOn(0, 'arrived', { enclosure: 'box' }),
    ...history,
  ])
  const proposals = proposalsOn({ day: FIRST_DAY + day, plan, state, about: { box } })
  return proposals.find(({ what }) => what.code === code)
}

describe('other prey', () => {
  const sizes = [
    { size: 'S', grams: 0.2 },
    { size: 'M', grams: 0.5 },
    { size: 'L', grams: 1.2 },
  ]
  const duty = {
    id: 'feed',
    does: 'feed',
    cadence: { type: 'every', days: 7 },
    amount: { by: 'massShare', share: [0.05, 0.05], count: 1 },
    foods: [{ item: 'crickets', sizes }],
  }
  const plan = planOf({ duties: [duty as never], growth: GROWTH })
  const weekly = (from: number, perWeek: number) =>
    [0, 1, 2, 3, 4].map((week) => entryOn(week * 7, 'weighed', { grams: from * perWeek ** week }))

  it('is said ahead of an animal that grows into it, and from when on', () => {
    const told = said('otherPrey', plan, 28, weekly(7.6, 1.05))
    expect(told?.what).toMatchObject({ item: 'crickets', from: 'S', to: 'M' })
    expect(told?.what).toHaveProperty('on', expect.any(Number))
    if (told?.what.code === 'otherPrey') expect(told.what.on).toBeGreaterThan(FIRST_DAY + 28)
  })

  it('is said of one that was offered another size than is due today', () => {
    const offered = entryOn(27, 'fed', { duty: 'feed', item: 'crickets', size: 'S', outcome: 'taken' })
    expect(said('otherPrey', plan, 28, [...weekly(12, 1), offered])?.what).toEqual({
      code: 'otherPrey',
      item: 'crickets',
      from: 'S',
      to: 'M',
      on: FIRST_DAY + 28,
    })
  })

  it('is nothing for one that stays as it is', () => {
    expect(said('otherPrey', plan, 28, weekly(14, 1))).toBeUndefined()
  })
})

describe('a box that is outgrown', () => {
  const housing = { times: { part: 'length', length: 2 } } as unknown as Plan['housing']
  const plan = planOf({ housing, growth: GROWTH })
  const young = [entryOn(10, 'weighed', { grams: 10 }), entryOn(10, 'measured', { part: 'length', mm: 200 })]

  it('is said with a day and the limits of what is usual', () => {
    const { what, severity } = said('outgrows', plan, 10, young) ?? {}
    if (what?.code !== 'outgrows' || what.on === null || what.to === null)
      throw new Error('It is said with both limits.')
    expect(what.from).toBeLessThanOrEqual(what.on)
    expect(what.on).toBeLessThanOrEqual(what.to)
    expect(severity).toBe('info')
  })

  it('comes the later, the larger the box', () => {
    const from = (mm: number) => {
      const told = said('outgrows', plan, 10, [
        entryOn(10, 'weighed', { grams: 10 }),
        entryOn(10, 'measured', { part: 'length', mm }),
      ])
      return told?.what.code === 'outgrows' ? told.what.from : Infinity
    }
    const days = [295, 280, 260, 230, 200].map(from)
    expect([...days].sort((a, b) => a - b)).toEqual(days)
  })

  it('is not said of one that was never measured, nor where it fits for good', () => {
    expect(said('outgrows', plan, 10, young.slice(0, 1))).toBeUndefined()
    expect(
      said('outgrows', plan, 10, [
        entryOn(10, 'weighed', { grams: 50 }),
        entryOn(10, 'measured', { part: 'length', mm: 200 }),
      ]),
    ).toBeUndefined()
  })
})

describe('the course of the skin', () => {
  const plan = planOf({ ecdysis: ECDYSIS })
  const molt = (day: number) => entryOn(day, 'ecdysis', { stage: 'molted' })
  const carapace = (day: number, mm: number) => entryOn(day, 'measured', { part: 'carapaceLength', mm })

  it('tells by how much it grew, once it is measured on both sides of a molt', () => {
    const grown = [carapace(5, 20), molt(30), carapace(35, 23)]
    expect(said('grewAtMolt', plan, 40, grown)?.what).toMatchObject({ part: 'carapaceLength' })
    const told = said('grewAtMolt', plan, 40, grown)
    if (told?.what.code === 'grewAtMolt') expect(told.what.share).toBeCloseTo(0.15)
    expect(said('grewAtMolt', plan, 70, grown)).toBeUndefined()
    expect(said('grewAtMolt', plan, 40, [carapace(5, 20), molt(30)])).toBeUndefined()
    expect(said('grewAtMolt', plan, 40, [molt(30), carapace(32, 22), carapace(35, 23)])).toBeUndefined()
    expect(
      said('grewAtMolt', plan, 40, [carapace(5, 20), molt(10), molt(30), carapace(35, 23)]),
    ).toBeUndefined()
  })

  it('tells that its intervals grow longer, and not of those that go up and down', () => {
    const days = (intervals: readonly number[]) => {
      let day = 0
      return [molt(0), ...intervals.map((interval) => molt((day += interval)))]
    }
    expect(said('longerIntervals', plan, 200, days([20, 25, 30, 38, 46]))?.what).toMatchObject({
      what: 'molt',
    })
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 20, max: 60 }), { minLength: 0, maxLength: 3 }), (few) => {
        expect(said('longerIntervals', plan, 300, days(few))).toBeUndefined()
      }),
    )
    expect(said('longerIntervals', plan, 300, days([30, 42, 28, 44, 31, 40]))).toBeUndefined()
    expect(said('longerIntervals', plan, 300, days([46, 38, 30, 25, 20]))).toBeUndefined()
  })
})

describe('a first weight', () => {
  const weighed = (day: number) => entryOn(day, 'weighed', { grams: 61 })

  it('is news until the second, and for two weeks', () => {
    expect(said('firstWeight', planOf(), 5, [weighed(3)])?.what).toEqual({ code: 'firstWeight', grams: 61 })
    expect(said('firstWeight', planOf(), 5, [weighed(3), weighed(4)])).toBeUndefined()
    expect(said('firstWeight', planOf(), 30, [weighed(3)])).toBeUndefined()
    expect(said('firstWeight', planOf({ lives: 'colony' }), 5, [weighed(3)])).toBeUndefined()
  })
})

describe('a condition', () => {
  it('is said with the score before it, where that was another', () => {
    const scores = (...all: number[]) => all.map((score, at) => entryOn(at * 20, 'condition', { score }))
    const duty = {
      id: 'feed',
      does: 'feed',
      cadence: { type: 'every', days: 7, tolerance: 0 },
      source: { from: 'sheet', sheet: 'x', stage: 'adult' },
    } as never
    const plan = planOf({ duties: [duty] })
    expect(said('condition', plan, 41, scores(3, 3.5, 4))?.what).toMatchObject({ score: 4, before: 3.5 })
    expect(said('condition', plan, 21, scores(4, 4))?.what).toMatchObject({ before: null })
  })
})
