import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { KEPT, keptOf } from './generations.ts'

const DAY_MS = 86_400_000
const START = Date.parse('2026-01-01T02:10:00.000Z')
const night = (day: number) => new Date(START + day * DAY_MS).toISOString()

/** What is left after so many nights, when each night what is in no generation goes. */
function after(nights: number): string[] {
  let there: string[] = []
  for (let day = 0; day < nights; day += 1) there = [...keptOf([...there, night(day)])]
  return there.sort()
}

describe('generations of backups', () => {
  it('are seven nights, five weeks and twelve months, the last of each, also after two years', () => {
    const left = after(730)
    expect(left.slice(-KEPT.days)).toEqual([723, 724, 725, 726, 727, 728, 729].map(night))
    expect(new Set(left.map((at) => at.slice(0, 7))).size).toBe(KEPT.months)
    expect(left.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months)
    // Mondays begin weeks: of five of them the Sunday's night is there.
    const sundays = left.filter((at) => new Date(at).getUTCDay() === 0)
    expect(sundays.length).toBeGreaterThanOrEqual(KEPT.weeks - 1)
  })

  it('keep all there is while it is young, and lose nothing by a pause', () => {
    expect(after(5)).toEqual([0, 1, 2, 3, 4].map(night))
    const pause = [...after(30), night(300)]
    expect(keptOf(pause).has(night(29))).toBe(true)
    expect(keptOf(pause).has(night(300))).toBe(true)
  })

  it('always hold the last one, and are the same whatever order they come in', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 3000 }), { minLength: 1 }), (days) => {
        const moments = days.map(night)
        const kept = keptOf(moments)
        expect(kept.has([...moments].sort().at(-1) ?? '')).toBe(true)
        expect(keptOf([...moments].reverse())).toEqual(kept)
        expect(keptOf([...kept])).toEqual(kept)
      }),
    )
  })
})
