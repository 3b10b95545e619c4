import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lnStudentSurvival, studentCdf } from '../../basics/statistics/student.ts'
import { studentQuantile } from '../../basics/statistics/studentQuantile.ts'
import { nextInterval } from './nextInterval.ts'
import { renewalForecast } from './renewalForecast.ts'
import { withSign } from './signShift.ts'

describe("Student's t", () => {
  // Abramowitz and Stegun, Handbook of Mathematical Functions, table 26.10.
  it.each([
    [1, 0.95, 6.314],
    [2, 0.995, 9.925],
    [5, 0.975, 2.571],
    [10, 0.9, 1.372],
    [30, 0.9995, 3.646],
    [120, 0.975, 1.98],
  ])('with %d degrees of freedom has its %d quantile at %d', (nu, p, x) => {
    expect(studentQuantile(p, nu)).toBeCloseTo(x, 3)
    expect(studentQuantile(1 - p, nu)).toBeCloseTo(-x, 3)
    expect(studentCdf(studentQuantile(p, nu), nu)).toBeCloseTo(p, 12)
  })

  it('is Cauchy’s distribution with one', () => {
    for (const x of [-30, -1, 0.2, 5]) expect(studentCdf(x, 1)).toBeCloseTo(0.5 + Math.atan(x) / Math.PI, 12)
  })

  it('holds where the chance itself cannot be written any more', () => {
    // For large x the tail is c·x^−nu.
    const decade = lnStudentSurvival(1e50, 40) - lnStudentSurvival(1e49, 40)
    expect(decade).toBeCloseTo(-40 * Math.LN10, 8)
    expect(lnStudentSurvival(-1e50, 40)).toBeCloseTo(0, 12)
  })
})

const prior = { mu0: Math.log(40), kappa0: 1, alpha0: 2.5, beta0: 0.06 }
const some = fc.record({
  intervals: fc.array(fc.double({ min: 5, max: 400, noNaN: true }), { maxLength: 12 }),
  elapsed: fc.double({ min: 0, max: 5000, noNaN: true }),
  horizon: fc.double({ min: 0, max: 400, noNaN: true }),
})

describe('an open sign', () => {
  const next = nextInterval([40, 42, 38, 41], prior)
  if (!next) throw new Error('There is no distribution.')

  it('changes nothing where it says nothing, and draws the forecast in where it speaks', () => {
    const plain = renewalForecast({ intervals: [40, 42, 38, 41], elapsed: 20, prior, horizon: 9 })
    const said = (ratio: number) => withSign(next, 20, { until: 29, ratio }, 9)
    expect(said(1).medianDays).toBeCloseTo(plain?.medianDays ?? NaN, 9)
    expect(said(1).pWithinHorizon).toBeCloseTo(plain?.pWithinHorizon ?? NaN, 9)
    const chances = [1, 4, 30, 300].map((ratio) => said(ratio).pWithinHorizon)
    expect(chances).toEqual([...chances].sort((a, b) => a - b))
    expect(said(300).medianDays).toBeLessThan(29)
  })

  it('weighs the odds by its ratio', () => {
    const { pWithinHorizon: before } = withSign(next, 20, { until: 29, ratio: 1 }, 9)
    const { pWithinHorizon: after } = withSign(next, 20, { until: 29, ratio: 30 }, 9)
    expect(after / (1 - after)).toBeCloseTo((30 * before) / (1 - before), 9)
  })

  it('keeps its quantiles in order and beyond what has elapsed, also when it speaks of what is over', () => {
    const days = fc.double({ min: 0, max: 200, noNaN: true })
    fc.assert(
      fc.property(days, days, fc.double({ min: 1, max: 1000, noNaN: true }), (elapsed, until, ratio) => {
        const { lo80, medianDays, hi80 } = withSign(next, elapsed, { until, ratio }, 7)
        const told = [elapsed, lo80, medianDays, hi80] as number[]
        expect(told).toEqual([...told].sort((a, b) => a - b))
      }),
    )
  })
})

describe('a forecast', () => {
  it('comes from the prior alone before anything was seen', () => {
    const told = renewalForecast({ intervals: [], elapsed: 0, prior, horizon: 40 })
    expect(told?.medianDays).toBeCloseTo(40, 10)
    expect(told?.pWithinHorizon).toBeCloseTo(0.5, 10)
    expect(told?.surprise).toBe(0)
  })

  it('has its quantiles in order and beyond what has elapsed', () => {
    fc.assert(
      fc.property(some, (input) => {
        const { lo80, medianDays, hi80, pWithinHorizon } = renewalForecast({ ...input, prior }) ?? {}
        expect([input.elapsed, lo80, medianDays, hi80]).toEqual(
          [input.elapsed, lo80, medianDays, hi80].sort((a, b) => (a as number) - (b as number)),
        )
        expect(pWithinHorizon).toBeGreaterThanOrEqual(0)
        expect(pWithinHorizon).toBeLessThanOrEqual(1)
      }),
    )
  })

  it('says a chance of a tenth for the days up to its lower limit', () => {
    fc.assert(
      fc.property(some, ({ intervals, elapsed }) => {
        const { lo80 } = renewalForecast({ intervals, elapsed, prior, horizon: 0 }) ?? {}
        const again = renewalForecast({ intervals, elapsed, prior, horizon: (lo80 ?? NaN) - elapsed })
        expect(again?.pWithinHorizon).toBeCloseTo(0.1, 6)
      }),
    )
  })

  it('leans towards what this one does, whatever the order', () => {
    const told = (intervals: number[]) => renewalForecast({ intervals, elapsed: 0, prior, horizon: 0 })
    expect(told([60, 62, 58, 61])?.medianDays).toBeGreaterThan(50)
    expect(told([60, 0, 40, -3])).toEqual(told([60, 40]))
  })

  it('is none where the prior is no distribution', () => {
    expect(
      renewalForecast({ intervals: [], elapsed: 0, prior: { ...prior, alpha0: -1 }, horizon: 1 }),
    ).toBeNull()
    expect(
      renewalForecast({ intervals: [], elapsed: 0, prior: { ...prior, kappa0: 0 }, horizon: 1 }),
    ).toBeNull()
  })
})
