import * as z from 'zod/mini'
import { lnStudentSurvival, studentCdf } from '../../basics/statistics/student.ts'

/** What is expected of ln interval before any was seen: its mean, worth so many intervals, and the shape and
 * rate of the gamma distribution of its precision. */
export const IntervalPrior = z.strictObject({
  mu0: z.number(),
  kappa0: z.number(),
  alpha0: z.number(),
  beta0: z.number(),
})
export type IntervalPrior = z.infer<typeof IntervalPrior>

/** The distribution of ln T: Student's t. */
export interface LnInterval {
  nu: number
  mu: number
  scale: number
}

/** What is expected of the next interval after those that were seen, by the normal-gamma model: A. Gelman et al.,
 * Bayesian Data Analysis, 3rd ed., 2013, section 3.3. Intervals that are not positive are left out. Null where the
 * prior and the intervals together make no distribution. */
export function nextInterval(
  intervals: readonly number[],
  { mu0, kappa0, alpha0, beta0 }: IntervalPrior,
): LnInterval | null {
  const xs = intervals.filter((days) => days > 0).map(Math.log)
  const n = xs.length
  const mean = n === 0 ? 0 : xs.reduce((sum, x) => sum + x, 0) / n
  const kappa = kappa0 + n
  const alpha = alpha0 + n / 2
  const spread = xs.reduce((sum, x) => sum + (x - mean) ** 2, 0) / 2
  const beta = beta0 + spread + (n === 0 ? 0 : (kappa0 * n * (mean - mu0) ** 2) / (2 * kappa))
  const mu = (kappa0 * mu0 + n * mean) / kappa
  const scale = Math.sqrt((beta * (kappa + 1)) / (alpha * kappa))
  const exists = kappa0 >= 0 && kappa > 0 && alpha > 0 && scale > 0
  return exists && [mu, scale, alpha].every(Number.isFinite) ? { nu: 2 * alpha, mu, scale } : null
}

/** ln P(T > days). */
export function lnLongerThan(days: number, { nu, mu, scale }: LnInterval): number {
  return days > 0 ? lnStudentSurvival((Math.log(days) - mu) / scale, nu) : 0
}

export interface RenewalChances {
  /** Chance that it happens within the days ahead. */
  pWithinHorizon: number
  /** Share of such intervals that are no longer than this one is already. */
  surprise: number
}

/** The chances of a forecast, given what has elapsed. */
export function renewalChances(next: LnInterval, elapsed: number, horizon: number): RenewalChances {
  const { nu, mu, scale } = next
  const now = lnLongerThan(elapsed, next)
  return {
    pWithinHorizon: -Math.expm1(lnLongerThan(elapsed + horizon, next) - now),
    surprise: elapsed > 0 ? studentCdf((Math.log(elapsed) - mu) / scale, nu) : 0,
  }
}
