import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { valueOn } from './curves.ts'
import type { Point } from './leastSquares.ts'
import { bandOn, bestGrowthFit, growthFit, reachedBy } from './growthFit.ts'

function pointsOf(days: readonly number[], values: readonly number[]): Point[] {
  return days.map((day, at) => ({ day, value: values[at] ?? NaN }))
}

/** Pasture yield by growing time: NIST Statistical Reference Datasets, Rat42, logistic, certified to 11 digits. */
const RAT42 = pointsOf(
  [9, 14, 21, 28, 42, 57, 63, 70, 79],
  [8.93, 10.8, 18.59, 22.33, 39.35, 56.11, 61.73, 64.62, 67.08],
)

function fitted(...asked: Parameters<typeof growthFit>) {
  const answer = growthFit(...asked)
  if ('refused' in answer) throw new Error(answer.refused.code)
  return answer.fit
}

const grown = { model: 'gompertz', A: 420, k: 0.011, t0: 90 } as const
const days = Array.from({ length: 14 }, (_, at) => at * 25)
const scattered = days.map((day, at) => ({
  day,
  value: valueOn(grown, day) + ([3, -4, 1, 2, -2][at % 5] ?? 0),
}))

describe('a growth curve', () => {
  it('of thousands of points is where no step falls any further, whatever stood for them in the search', () => {
    const many = Array.from({ length: 2400 }, (_, at) => {
      const day = (at * 7919) % 900
      return { day, value: valueOn(grown, day) * (1 + (((at * 31) % 17) - 8) / 200) }
    })
    const fit = fitted('gompertz', many)
    const rssOf = (curve: Parameters<typeof valueOn>[0]) =>
      many.reduce((sum, { day, value }) => sum + (value - valueOn(curve, day)) ** 2, 0)
    expect(fit.rss).toBeCloseTo(rssOf(fit), 6)
    expect(Math.abs(fit.A - grown.A)).toBeLessThan(4 * fit.se.A)
    for (const [field, step] of [
      ['A', 1e-3],
      ['k', 1e-3],
      ['t0', 1e-3],
    ] as const)
      for (const sign of [1, -1])
        expect(rssOf({ ...fit, [field]: fit[field] * (1 + sign * step) })).toBeGreaterThan(fit.rss)
  })

  it('agrees with certified values', () => {
    const { A, k, t0, rss, se } = fitted('logistic', RAT42)
    expect(A).toBeCloseTo(72.462237576, 7)
    expect(k).toBeCloseTo(0.067359200066, 10)
    expect(t0 * k).toBeCloseTo(2.6180768402, 8)
    expect(rss).toBeCloseTo(8.0565229338, 8)
    expect(se.A).toBeCloseTo(1.7340283401, 7)
    expect(se.k).toBeCloseTo(0.0034465663377, 10)
  })

  it.each(['logistic', 'gompertz', 'vonBertalanffy'] as const)('finds the %s it came from', (model) => {
    const truth = { model, A: 63, k: 0.02, t0: model === 'vonBertalanffy' ? -12 : 80 }
    const fit = fitted(
      model,
      days.map((day) => ({ day, value: valueOn(truth, day) })),
    )
    expect(fit.A).toBeCloseTo(63, 6)
    expect(fit.k).toBeCloseTo(0.02, 8)
    expect(fit.t0).toBeCloseTo(truth.t0, 5)
  })

  it('does not depend on the order of the points, the unit or the day that is counted from', () => {
    const base = fitted('gompertz', scattered)
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...scattered], { minLength: 14 }),
        fc.constantFrom(1e-6, 1, 1e5),
        (points, unit) => {
          const fit = fitted(
            'gompertz',
            points.map(({ day, value }) => ({ day: day + 20_000, value: value * unit })),
          )
          expect(fit.A / unit / base.A).toBeCloseTo(1, 8)
          expect(fit.t0 - 20_000).toBeCloseTo(base.t0, 5)
          expect(fit.se.k / base.se.k).toBeCloseTo(1, 6)
        },
      ),
      { numRuns: 10 },
    )
  })

  it.each([
    ['five points', scattered.slice(0, 5), 'tooFewPoints'],
    ['three days', Array.from({ length: 9 }, (_, at) => ({ day: at % 3, value: at })), 'tooFewPoints'],
    ['one weight all along', days.map((day) => ({ day, value: 60 })), 'allAlike'],
    ['loss', days.map((day) => ({ day, value: 100 - day / 5 })), 'noOptimum'],
    ['growth without an end', days.map((day) => ({ day, value: Math.exp(day / 60) })), 'noOptimum'],
    [
      'hardly any growth in much scatter',
      days.map((day, at) => ({ day, value: 60 + day / 400 + (at % 2) * 9 })),
      null,
    ],
  ] as const)('is refused for %s', (_, points, code) => {
    const answer = growthFit('logistic', points)
    expect(answer).toMatchObject({ refused: code ? { code } : {} })
  })

  it('says which shape, how much worse the others are, and when that is undecided', () => {
    const best = bestGrowthFit(scattered)
    if ('refused' in best) throw new Error(best.refused.code)
    expect(best.best.model).toBe('gompertz')
    expect(best.accepted[0]?.delta).toBe(0)
    expect(best.accepted.map(({ delta }) => delta)).toEqual(
      [...best.accepted.map(({ delta }) => delta)].sort((a, b) => a - b),
    )
    expect(best.undecided).toBe(best.accepted.filter(({ delta }) => delta <= 2).length > 1)
  })
})

describe('what follows from a curve', () => {
  it('is a band that is narrowest where the points lie', () => {
    const fit = fitted('gompertz', scattered)
    const width = (day: number) => bandOn(fit, day).hi - bandOn(fit, day).lo
    expect(width(600)).toBeGreaterThan(width(200))
    expect(bandOn(fit, 200).lo).toBeLessThan(valueOn(grown, 200))
    expect(bandOn(fit, 200).hi).toBeGreaterThan(valueOn(grown, 200))
  })

  it('is the day a value is reached, with its interval, or that it never is', () => {
    const fit = fitted('gompertz', scattered)
    const reached = reachedBy(fit, 300)
    expect(valueOn(fit, reached?.day ?? NaN)).toBeCloseTo(300, 6)
    expect(reached?.lo).toBeLessThan(reached?.day ?? NaN)
    expect(reachedBy(fit, 5000)).toBeNull()
  })
})
