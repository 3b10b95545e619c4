import { describe, expect, it } from 'vitest'
import { dayFromIso } from './day.ts'
import { isInSeason, Season } from './season.ts'

const within = (season: Season, iso: string) => isInSeason(season, dayFromIso(iso))

describe('a part of the year', () => {
  it('begins on its first day and ends with its last', () => {
    const spring = { from: '05-15', until: '06-05' }
    expect(
      ['2026-05-14', '2026-05-15', '2027-06-05', '2026-06-06'].map((day) => within(spring, day)),
    ).toEqual([false, true, true, false])
  })

  it('may go over the new year', () => {
    const winter = { from: '11-20', until: '02-10' }
    expect(within(winter, '2026-12-31') && within(winter, '2027-01-01')).toBe(true)
    expect(within(winter, '2026-11-19') || within(winter, '2027-02-11')).toBe(false)
  })

  it('is written as month and day', () => {
    expect(Season.safeParse({ from: '13-01', until: '02-10' }).success).toBe(false)
    expect(Season.safeParse({ from: '2-1', until: '02-10' }).success).toBe(false)
  })
})
