import { describe, expect, it } from 'vitest'
import { dutyOf } from '../testing/residents.ts'
import { changeOf, draftOf, isUntouched, wrongWith as wrongAt } from './planChange.ts'

const TODAY = 20_500
const wrongWith = (...asked: Parameters<typeof wrongAt>) => Object.values(wrongAt(...asked)).join()
const feed = {
  duty: dutyOf({
    id: 'greens',
    does: 'feed',
    cadence: { type: 'every', days: 3, tolerance: 1 },
    amount: { by: 'portion', grams: 40, min: 20, max: 80, followsLeftovers: true },
  }),
}
const warm = { zone: { zone: 'warm spot', celsius: [30, 32] as [number, number], ceilingCelsius: 35 } }

describe('a change to a plan', () => {
  it('opens on what is in force, and changes nothing as it stands', () => {
    expect(draftOf(feed)).toMatchObject({ days: 3, tolerance: 1, grams: 40, drop: false })
    expect(isUntouched(feed, draftOf(feed))).toBe(true)
    expect(isUntouched(feed, { ...draftOf(feed), until: 20_811 })).toBe(true)
    expect(isUntouched(feed, { ...draftOf(feed), days: 4 })).toBe(false)
  })

  it('takes the bounds of a portion along', () => {
    expect(changeOf(feed, { ...draftOf(feed), grams: 30 }).patch).toMatchObject({
      amount: { grams: 30, min: 15, max: 60 },
    })
    expect(changeOf(feed, { ...draftOf(feed), days: 4 }).patch).not.toHaveProperty('amount')
  })

  it('drops a duty, sets a climate, and knows its last day', () => {
    expect(changeOf(feed, { ...draftOf(feed), drop: true }).patch).toEqual({ id: 'greens', drop: true })
    expect(changeOf(warm, { ...draftOf(warm), high: 33, until: 20_811 })).toEqual({
      target: { zone: 'warm spot', celsius: [30, 33], ceilingCelsius: 35 },
      until: 20_811,
    })
  })

  it('changes one measure of the enclosure', () => {
    const hides = { measure: 'hides', value: 2 } as const
    expect(isUntouched(hides, draftOf(hides))).toBe(true)
    expect(changeOf(hides, { ...draftOf(hides), value: 3 })).toEqual({ housing: { hides: 3 } })
    expect(wrongWith(hides, { ...draftOf(hides), value: 2.5 }, TODAY)).toContain('whole number')
    expect(wrongWith({ measure: 'lengthMm', value: 900 }, { ...draftOf(hides), value: 0 }, TODAY)).toBe(
      'More than none.',
    )
  })

  it('changes the hours of light, within a day', () => {
    const light = { light: 'winterHours', hours: [10, 11] } as const
    expect(isUntouched(light, draftOf(light))).toBe(true)
    expect(changeOf(light, { ...draftOf(light), low: 9 })).toEqual({ light: { winterHours: [9, 11] } })
    expect(wrongWith(light, { ...draftOf(light), low: 12 }, TODAY)).toContain('above the second')
    expect(wrongWith(light, { ...draftOf(light), high: 25 }, TODAY)).toContain('0 to 24')
    expect(wrongWith(light, { ...draftOf(light), low: 9 }, TODAY)).toBe('')
  })

  it.each([
    [feed, { days: 0 }, 'Every how many days?'],
    [feed, { grams: 0 }, 'How much?'],
    [feed, { until: 18_262 }, 'cannot end before today'],
    [warm, { low: 34 }, 'above the second'],
    [warm, { high: 36 }, 'has to lie above the 36 °C'],
  ])('%# is answered before it is sent', (changed, slip, sentence) => {
    expect(wrongWith(changed, { ...draftOf(changed), ...slip }, TODAY)).toContain(sentence)
  })

  it('is let through when it can stand', () => {
    expect(wrongWith(feed, { ...draftOf(feed), days: 5 }, TODAY)).toBe('')
    expect(wrongWith(feed, { ...draftOf(feed), drop: true, days: 0 }, TODAY)).toBe('')
    expect(wrongWith(warm, { ...draftOf(warm), high: 33 }, TODAY)).toBe('')
    const mild = { zone: { ...warm.zone, neverBelowCelsius: 21 } }
    expect(wrongWith(mild, { ...draftOf(mild), low: 21 }, TODAY)).toContain('harms it')
    expect(wrongWith(mild, { ...draftOf(mild), low: 22 }, TODAY)).toBe('')
  })
})
