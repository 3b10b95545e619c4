import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayLengthPlan, hoursOn, switching } from './dayLength.ts'

const winter = {
  startDay: 100,
  summerHours: 14,
  winterHours: 8,
  stepHours: 1.5,
  everyDays: 7,
  restDays: 60,
  fastDays: 14,
  feedAfterDays: 7,
}

describe('a winter rest', () => {
  const plan = dayLengthPlan(winter)

  it('fasts, shortens in steps, rests, and lengthens in reverse', () => {
    expect(plan?.steps.map(({ day, hours, phase }) => [day, hours, phase])).toEqual([
      [86, 14, 'fast'],
      [100, 12.5, 'shortening'],
      [107, 11, 'shortening'],
      [114, 9.5, 'shortening'],
      [121, 8, 'rest'],
      [181, 9.5, 'lengthening'],
      [188, 11, 'lengthening'],
      [195, 12.5, 'lengthening'],
      [202, 14, 'awake'],
    ])
    expect(plan).toMatchObject({ lastMealBefore: 86, coolFrom: 100, warmFrom: 181, feedFrom: 209 })
  })

  it('takes what is left as its last step', () => {
    const uneven = dayLengthPlan({ ...winter, stepHours: 4 })
    expect(uneven?.steps.map(({ hours }) => hours)).toEqual([14, 10, 8, 12, 14])
  })

  it('refuses a winter that is no shorter', () => {
    expect(dayLengthPlan({ ...winter, winterHours: 14 })).toBeNull()
    expect(dayLengthPlan({ ...winter, stepHours: 0 })).toBeNull()
  })

  it('tells the hours of any day', () => {
    if (!plan) throw new Error('No plan.')
    expect([50, 99, 100, 113, 150, 500].map((day) => hoursOn(plan, day, 14))).toEqual([
      14, 14, 12.5, 11, 8, 14,
    ])
  })

  it('switches around the middle of the light', () => {
    expect(switching(12, 780)).toEqual({ on: 420, off: 1140 })
    expect(switching(24, 780)).toEqual({ on: 0, off: 1440 })
  })

  it('goes over midnight where its middle lies near it, and burns no minute less', () => {
    expect(switching(12, 1380)).toEqual({ on: 1020, off: 300 })
    expect(switching(10, 60)).toEqual({ on: 1200, off: 360 })
    expect(switching(14, 1020)).toEqual({ on: 600, off: 1440 })
    for (const middle of [0, 60, 720, 1439])
      for (const hours of [1, 8, 13.5, 23]) {
        const { on, off } = switching(hours, middle)
        expect((off - on + 1440) % 1440).toBeCloseTo(hours * 60)
      }
  })
})

it('no step is longer than asked for, and the light comes back to summer', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 16, noNaN: true }),
      fc.double({ min: 4, max: 9, noNaN: true }),
      fc.double({ min: 0.25, max: 6, noNaN: true }),
      (summerHours, winterHours, stepHours) => {
        const made = dayLengthPlan({ ...winter, summerHours, winterHours, stepHours })
        const hours = made?.steps.map((step) => step.hours) ?? []
        expect(hours.at(-1)).toBeCloseTo(summerHours)
        expect(Math.min(...hours)).toBeCloseTo(winterHours)
        for (const [index, value] of hours.entries())
          expect(Math.abs(value - (hours[index - 1] ?? value))).toBeLessThanOrEqual(stepHours + 1e-9)
      },
    ),
  )
})
