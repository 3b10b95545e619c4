import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { WeightReading } from '../../facts/growth/growthState.ts'
import { weightAhead } from './weightAhead.ts'

const WEIGHING = { r: 0.02, q: 1e-8 }

/** Gompertz's curve: 5 g at the beginning, 60 g grown. */
function grownOn(day: number): number {
  return 60 * Math.exp(Math.log(5 / 60) * Math.exp(-0.012 * day))
}

const readings: WeightReading[] = Array.from({ length: 30 }, (_, at) => ({
  day: at * 7,
  grams: grownOn(at * 7) * (1 + (at % 2 === 0 ? 0.01 : -0.01)),
  uid: `r${at}`,
}))
const input = { readings, weighing: WEIGHING, day: 205, until: 300 }

describe('the weightAhead of a growing animal', () => {
  it('has the curve it grew by, and the day on which it reaches a weight between its limits', () => {
    const { curve, target } = weightAhead(input, { target: 55 })
    if ('refused' in curve) throw new Error('There is a curve.')
    expect(Math.abs(curve.grown - 60)).toBeLessThan(5)
    const truth = Math.log(Math.log(55 / 60) / Math.log(5 / 60)) / -0.012
    expect(target?.on?.low).toBeLessThan(truth)
    expect(target?.on?.high).toBeGreaterThan(truth)
    expect(target).toMatchObject({ grams: 55, passed: false })
  })

  it('draws its band around the curve, on every day', () => {
    const { curve } = weightAhead(input)
    if ('refused' in curve) throw new Error('There is a curve.')
    for (const { low, grams, high } of curve.points) {
      expect(low).toBeLessThanOrEqual(grams)
      expect(grams).toBeLessThanOrEqual(high)
    }
    expect(curve.points.at(-1)?.day).toBe(300)
  })

  it('is drawn as far as the weight it reaches, where that is near', () => {
    const near = weightAhead({ ...input, until: 235 }, { target: 55 })
    expect(near.until).toBeGreaterThan(near.target?.on?.day ?? Infinity)
    const { curve } = near
    expect('refused' in curve ? null : curve.points.at(-1)?.day).toBe(near.until)
    for (const target of [20, 59.9, 200])
      expect(weightAhead({ ...input, until: 235 }, { target }).until).toBe(235)
  })

  it('takes the next stage for the weight to reach, where nobody asks for another', () => {
    const known = { ...input, nextStage: 20 }
    expect(weightAhead(known).target).toMatchObject({ grams: 20, passed: true })
    expect(weightAhead(known, { target: 58 }).target?.grams).toBe(58)
    expect(weightAhead(input).target).toBeNull()
  })

  it('lies within what the sheet expects, from the first weighing on', () => {
    const growth = {
      from: 5,
      grown: [50, 70] as [number, number],
      days: [200, 500] as [number, number],
      last: false,
    }
    const { expected } = weightAhead({ ...input, growth })
    expect(expected[0]).toMatchObject({ day: 0, low: readings[0]?.grams, high: readings[0]?.grams })
    for (const { low, high } of expected) expect(low).toBeLessThanOrEqual(high)
  })
})

describe('a weight off its own curve', () => {
  const more = (share: number) =>
    [1, 2, 3, 4].map((week) => ({
      day: 203 + week * 14,
      grams: grownOn(203 + week * 14) * share ** week,
      uid: `later ${week}`,
    }))

  it('is told with where the curve would have it', () => {
    const { offCurve } = weightAhead({ ...input, readings: [...readings, ...more(0.93)], day: 260 })
    expect(offCurve).toMatchObject({ until: expect.any(Number) as number })
    expect(offCurve?.grams).toBeLessThan(offCurve?.low ?? 0)
  })

  it('is none where it grows on as it did, and none where it had no curve', () => {
    expect(weightAhead({ ...input, readings: [...readings, ...more(1)], day: 260 }).offCurve).toBeNull()
    expect(weightAhead({ ...input, readings: readings.slice(0, 5) }).offCurve).toBeNull()
  })
})

describe('what if', () => {
  it('a reading is left out: it is as if it had never been', () => {
    const slip = { day: 206, grams: 30, uid: 'slip', confirmed: true }
    const withSlip = { ...input, readings: [...readings, slip] }
    expect(weightAhead(withSlip, { without: ['slip'] })).toEqual(weightAhead(input))
    expect(weightAhead(withSlip).perWeek).not.toEqual(weightAhead(input).perWeek)
  })

  it('it is weighed more often: a loss is never noticed later', () => {
    const days = [3, 7, 14, 28].map((every) => weightAhead(input, { every }).noticed?.days ?? Infinity)
    expect([...days].sort((a, b) => a - b)).toEqual(days)
    expect(days[0]).toBeLessThan(60)
  })

  it('the order of the readings does not matter', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(readings, { minLength: 30, maxLength: 30 }), (mixed) => {
        expect(weightAhead({ ...input, readings: mixed })).toEqual(weightAhead(input))
      }),
      { numRuns: 5 },
    )
  })

  it('nothing was weighed: there is nothing to say', () => {
    const nothing = weightAhead({ ...input, readings: [] }, { every: 7, target: 50 })
    expect(nothing).toMatchObject({ band: [], best: null, perWeek: null, noticed: { days: null } })
    expect(nothing.curve).toHaveProperty('refused')
    expect(nothing.target).toMatchObject({ on: null, passed: false })
  })
})
