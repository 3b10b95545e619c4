import { describe, expect, it } from 'vitest'
import { conditionAdvice } from '../condition/conditionAdvice.ts'
import { plannedDays } from '../preview/preview.ts'
import { entryOn, FIRST_DAY, NEWCOMER, told, uidOf } from '../../testing/histories.ts'
import { dutyOf, planOf } from '../../testing/plans.ts'
import { proposalsOn } from '../verdicts/proposals.ts'
import type { Entry } from '../../facts/entries/entry.ts'
import type { Register } from '../../facts/residents/register.ts'
import type { About } from './stageReached.ts'

const arrived = entryOn(0, 'arrived', { enclosure: uidOf(1) })

/** What was known when it was put on record, and of its box. */
type Known = Partial<Pick<Register, 'hatchedOn' | 'count'>> & About

function proposed(until: object, entries: readonly Entry[], { litres, ...known }: Known = {}) {
  const registered = entryOn(0, 'registered', { ...NEWCOMER, ...known }, { minute: 1 })
  const plan = planOf({ next: { stage: 'adult', name: 'Adult', until } })
  const state = told([registered, ...entries])
  const proposals = proposalsOn({ day: FIRST_DAY + 30, plan, state, about: { litres: litres ?? null } })
  return proposals.find(({ what }) => what.code === 'stageReached')
}

describe('the next stage is proposed when the facts reach its trigger', () => {
  const weighed = [arrived, entryOn(5, 'weighed', { grams: 310 })]

  it('by the smoothed weight, with the reason', () => {
    const verdict = proposed({ grams: 300 }, weighed)
    expect(verdict?.what).toEqual({ code: 'stageReached', stage: 'adult', name: 'Adult' })
    expect(verdict?.because[0]).toMatchObject({ fact: 'reached', trigger: 'grams', needs: 300 })
    expect(proposed({ grams: 320 }, weighed)).toBeUndefined()
  })

  it.each([
    [{ ageDays: 365 }, { hatchedOn: FIRST_DAY - 335 }, true],
    [{ ageDays: 366 }, { hatchedOn: FIRST_DAY - 335 }, false],
    [{ ageDays: 1 }, {}, false],
    [{ workers: 50 }, { count: 50 }, true],
    [{ perLitre: 10 }, { count: 50, litres: 5 }, true],
    [{ perLitre: 10 }, { count: 49, litres: 5 }, false],
  ])('%j with %j: %s', (until, about, expected) => {
    expect(proposed(until, [arrived], about) !== undefined).toBe(expected)
  })

  it('by a measured length, by molts since it hatched, by a later count', () => {
    expect(
      proposed({ lengthMm: 200 }, [arrived, entryOn(2, 'measured', { part: 'length', mm: 210 })]),
    ).toBeDefined()
    const molts = [1, 9, 17].map((day) => entryOn(day, 'ecdysis', { stage: 'molted', how: 'whole' }))
    expect(proposed({ instar: 4 }, [arrived, ...molts], { hatchedOn: FIRST_DAY })).toBeDefined()
    expect(
      proposed({ workers: 50 }, [arrived, entryOn(2, 'counted', { count: 60 })], { count: 8 }),
    ).toBeDefined()
  })
})

describe('body condition', () => {
  const plan = planOf()

  it('proposes longer intervals for the fat and shorter ones for the thin', () => {
    expect(conditionAdvice(4.5, plan)).toEqual([
      { id: 'feed', cadence: { type: 'every', days: 9, tolerance: 1 } },
    ])
    expect(conditionAdvice(2, plan)).toEqual([
      { id: 'feed', cadence: { type: 'every', days: 6, tolerance: 1 } },
    ])
    expect(conditionAdvice(3, plan)).toEqual([])
  })

  it('proposes another portion where food is daily', () => {
    const daily = planOf({
      duties: [
        dutyOf({
          id: 'greens',
          does: 'feed',
          amount: { by: 'portion', grams: 100, min: 50, max: 200, followsLeftovers: true },
        }),
      ],
    })
    expect(conditionAdvice(4, daily)).toEqual([
      { id: 'greens', amount: { by: 'portion', grams: 80, min: 40, max: 160, followsLeftovers: true } },
    ])
  })

  it('waits for a senior, and is silent once the feeding was changed', () => {
    const state = told([arrived, entryOn(3, 'condition', { score: 4.5 })])
    const says = (of = plan) =>
      proposalsOn({ day: FIRST_DAY + 4, plan: of, state }).map(({ what }) => what.code)
    expect(says()).toContain('condition')
    const changed = plan.duties.map((duty) => ({
      ...duty,
      source: { from: 'resident' as const, by: uidOf(9), on: FIRST_DAY + 3, reason: 'Fat.' },
    }))
    expect(says(planOf({ duties: changed }))).not.toContain('condition')
  })
})

describe('the days ahead', () => {
  it('feeds on the day it falls due and not again before the next', () => {
    const days = plannedDays(told([arrived]), planOf(), FIRST_DAY, 15)
    const fed = days.filter(({ tasks }) => tasks.some(({ does }) => does === 'feed'))
    expect(fed.map(({ day }) => day - FIRST_DAY)).toEqual([0, 7, 14])
  })

  it('shows what a longer interval would change', () => {
    const longer = planOf({
      duties: [
        dutyOf({
          id: 'feed',
          does: 'feed',
          cadence: { type: 'every', days: 10, tolerance: 1 },
          foods: [{ item: 'mouse', sizes: [] }],
        }),
      ],
    })
    const fed = plannedDays(told([arrived]), longer, FIRST_DAY, 14).filter(({ tasks }) => tasks.length > 0)
    expect(fed.map(({ day }) => day - FIRST_DAY)).toEqual([0, 10])
  })
})
