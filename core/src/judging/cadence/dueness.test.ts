import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Cadence } from '../../plans/plan/cadence.ts'
import { weekdayOf } from '../../basics/time/day.ts'
import { dueness, fallsInWeek } from './dueness.ts'

const every = (days: number, tolerance = 0): Cadence => ({ type: 'every', days, tolerance })
const since = 100

describe('every n days', () => {
  it.each([
    [111, 'notYet', 0, 0],
    [112, 'open', 0, 0],
    [113, 'open', 0, 0],
    [114, 'due', 0, 0],
    [116, 'due', 0, 0],
    [117, 'late', 3, 3 / 14],
    [128, 'late', 14, 1],
  ])('last done on 100, every 14 ± 2: on day %i it is %s', (day, status, daysOver, lateness) => {
    expect(dueness(every(14, 2), { day, lastDone: 100, since })).toEqual({
      status,
      dueOn: 114,
      daysOver,
      lateness,
    })
  })

  it('floats: doing it late moves the next one with it', () => {
    expect(dueness(every(7), { day: 130, lastDone: 125, since }).dueOn).toBe(132)
  })

  it('never done falls due on the day the resident came', () => {
    expect(dueness(every(7), { day: 100, lastDone: null, since })).toMatchObject({
      status: 'due',
      dueOn: 100,
    })
  })

  it('is not offered again before its day after a refusal', () => {
    const facts = { lastDone: 100, since, notBefore: 120 }
    expect(dueness(every(7, 2), { ...facts, day: 119 })).toMatchObject({ status: 'notYet', dueOn: 120 })
    expect(dueness(every(7, 2), { ...facts, day: 120 })).toMatchObject({ status: 'due', dueOn: 120 })
  })

  it('never goes back from late to less as days pass, and lateness only grows', () => {
    const rank = { notYet: 0, open: 1, due: 2, late: 3 }
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 20 }),
        fc.nat(200),
        (days, tolerance, day) => {
          const on = (at: number) => dueness(every(days, tolerance), { day: at, lastDone: since, since })
          const today = on(since + day)
          const tomorrow = on(since + day + 1)
          expect(rank[tomorrow.status]).toBeGreaterThanOrEqual(rank[today.status])
          expect(tomorrow.lateness).toBeGreaterThanOrEqual(today.lateness)
        },
      ),
    )
  })
})

describe('n times a week', () => {
  it('falls exactly n times in any 7 days in a row, for every phase', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 7 }),
        fc.integer({ min: 0, max: 6 }),
        fc.nat(40_000),
        (times, phase, first) => {
          const days = Array.from({ length: 7 }, (_, index) => first + index)
          expect(days.filter((day) => fallsInWeek(day, times, phase))).toHaveLength(times)
        },
      ),
    )
  })

  it('spreads evenly: gaps differ by at most one day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 6 }), (times, phase) => {
        const days = Array.from({ length: 70 }, (_, day) => day).filter((day) =>
          fallsInWeek(day, times, phase),
        )
        const gaps = days.slice(1).map((day, index) => day - (days[index] ?? 0))
        expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1)
      }),
    )
  })

  it('a missed one is late until the next takes its place', () => {
    const twice: Cadence = { type: 'perWeek', times: 2, phase: 0, tolerance: 0 }
    const falls = Array.from({ length: 14 }, (_, index) => 1000 + index).filter((day) =>
      fallsInWeek(day, 2, 0),
    )
    const [first = 0, second = 0] = falls
    const on = (day: number) => dueness(twice, { day, lastDone: first - 1, since: 0 }).status
    expect(on(first)).toBe('due')
    expect(on(first + 1)).toBe('late')
    expect(on(second)).toBe('due')
    expect(dueness(twice, { day: first + 1, lastDone: first, since: 0 }).dueOn).toBe(second)
  })
})

describe('fixed weekdays', () => {
  const tuesdayAndFriday: Cadence = { type: 'weekdays', on: [2, 5], tolerance: 1 }
  const tuesday =
    Array.from({ length: 7 }, (_, index) => 20_000 + index).find((day) => weekdayOf(day) === 2) ?? 0

  it.each([
    [0, 'due'],
    [1, 'due'],
    [2, 'late'],
    [3, 'due'],
  ])('%i days after a Tuesday with nothing done it is %s', (after, status) => {
    expect(dueness(tuesdayAndFriday, { day: tuesday + after, lastDone: null, since: 0 }).status).toBe(status)
  })

  it('done on its day waits for the next', () => {
    const { status, dueOn } = dueness(tuesdayAndFriday, { day: tuesday + 1, lastDone: tuesday, since: 0 })
    expect({ status, dueOn }).toEqual({ status: 'notYet', dueOn: tuesday + 3 })
  })

  it('one that fell before the resident came is not held against it', () => {
    expect(dueness(tuesdayAndFriday, { day: tuesday + 1, lastDone: null, since: tuesday + 1 }).status).toBe(
      'notYet',
    )
  })
})

describe('the other cadences', () => {
  it('an empty bowl is due at once, a look at its interval', () => {
    const bowl: Cadence = { type: 'whenEmpty', lookEvery: 3, tolerance: 0 }
    expect(dueness(bowl, { day: 101, lastDone: 100, since }).status).toBe('notYet')
    expect(dueness(bowl, { day: 101, lastDone: 100, since, emptySince: 100 })).toMatchObject({
      status: 'late',
      dueOn: 100,
    })
    expect(dueness(bowl, { day: 103, lastDone: 100, since }).status).toBe('due')
  })

  it('once is once', () => {
    expect(dueness({ type: 'once', day: 110 }, { day: 112, lastDone: null, since })).toMatchObject({
      status: 'late',
      daysOver: 2,
    })
    expect(dueness({ type: 'once', day: 110 }, { day: 112, lastDone: 111, since }).status).toBe('notYet')
  })

  it('n days after an event counts from the latest one, and is settled until the next', () => {
    const after: Cadence = { type: 'after', event: 'shed', days: 5, tolerance: 1 }
    expect(dueness(after, { day: 120, lastDone: null, since, eventDay: null }).status).toBe('notYet')
    expect(dueness(after, { day: 125, lastDone: null, since, eventDay: 120 }).status).toBe('due')
    expect(dueness(after, { day: 130, lastDone: 126, since, eventDay: 120 }).status).toBe('notYet')
    expect(dueness(after, { day: 140, lastDone: 126, since, eventDay: 134 })).toMatchObject({
      status: 'due',
      dueOn: 139,
    })
  })
})

describe('fixed days with a tolerance', () => {
  const tuesdayAndFriday: Cadence = { type: 'weekdays', on: [2, 5], tolerance: 1 }
  const tuesday = Array.from({ length: 7 }, (_, at) => 20_000 + at).find((day) => weekdayOf(day) === 2) ?? 0
  const on = (after: number, done: number | null) =>
    dueness(tuesdayAndFriday, {
      day: tuesday + after,
      lastDone: done === null ? null : tuesday + done,
      since: 0,
    })

  it('may be done the day before, and are done then', () => {
    expect(on(-1, -4).status).toBe('open')
    expect(on(-1, -1)).toMatchObject({ status: 'notYet', dueOn: tuesday + 3 })
    expect(on(0, -1)).toMatchObject({ status: 'notYet', dueOn: tuesday + 3 })
    expect(on(3, -1).status).toBe('due')
  })

  it('are not done by what was done two days before, nor by what was done for the one before', () => {
    expect(on(0, -2).status).toBe('due')
    const daily: Cadence = { type: 'weekdays', on: [1, 2], tolerance: 1 }
    expect(dueness(daily, { day: tuesday, lastDone: tuesday - 1, since: 0 }).status).toBe('due')
  })
})
