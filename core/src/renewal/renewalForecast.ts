import * as z from 'zod/mini'
import { lnStudentSurvival, studentAtLnSurvival, studentCdf } from '../statistics/student.ts'

/** What is expected of ln interval before any was seen: its mean, worth so many intervals, and the shape and
 * rate of the gamma distribution of its precision. */
export const IntervalPrior = z.strictObject({
  mu0: z.number(),
  kappa0: z.number(),
  alpha0: z.number(),
  beta0: z.number(),
})
export type IntervalPrior = z.infer<typeof IntervalPrior>

export interface RenewalInput {
  /** Days between one event and the next. */
  intervals: readonly number[]
  /** Days since the last event. */
  elapsed: number
  prior: IntervalPrior
  /** Days ahead. */
  horizon: number
}

export interface RenewalForecast {
  /** Days from the last event: the middle of what is expected, given that it has not happened yet, and the limits
   * between which eight of ten lie. Null where a number of days cannot be written any more. */
  medianDays: number | null
  lo80: number | null
  hi80: number | null
  /** Chance that it happens within the days ahead. */
  pWithinHorizon: number
  /** Share of such intervals that are no longer than this one is already. */
  surprise: number
}

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

function lnLongerThan(days: number, { nu, mu, scale }: LnInterval): number {
  return days > 0 ? lnStudentSurvival((Math.log(days) - mu) / scale, nu) : 0
}

/** The days of T that are exceeded with a chance of `p`, given that it is longer than `elapsed` already. */
function exceeded(p: number, elapsed: number, { nu, mu, scale }: LnInterval): number | null {
  const lnP = lnLongerThan(elapsed, { nu, mu, scale }) + Math.log(p)
  const days = Math.exp(mu + scale * studentAtLnSurvival(lnP, nu))
  return Number.isFinite(days) ? Math.max(days, elapsed) : null
}

export type RenewalChances = Pick<RenewalForecast, 'pWithinHorizon' | 'surprise'>

/** The chances of a forecast, without its quantiles. */
export function renewalChances(next: LnInterval, elapsed: number, horizon: number): RenewalChances {
  const { nu, mu, scale } = next
  const now = lnLongerThan(elapsed, next)
  return {
    pWithinHorizon: -Math.expm1(lnLongerThan(elapsed + horizon, next) - now),
    surprise: elapsed > 0 ? studentCdf((Math.log(elapsed) - mu) / scale, nu) : 0,
  }
}

/** The days within which eight of ten lie, and their middle, given what has elapsed. */
export function renewalDays(
  next: LnInterval,
  elapsed: number,
): Pick<RenewalForecast, 'medianDays' | 'lo80' | 'hi80'> {
  return {
    medianDays: exceeded(0.5, elapsed, next),
    lo80: exceeded(0.9, elapsed, next),
    hi80: exceeded(0.1, elapsed, next),
  }
}

/** When the next event is due, counted from the last one. Null where nothing can be expected. */
export function renewalForecast({
  intervals,
  elapsed,
  prior,
  horizon,
}: RenewalInput): RenewalForecast | null {
  const next = nextInterval(intervals, prior)
  if (!next) return null
  return { ...renewalDays(next, elapsed), ...renewalChances(next, elapsed, horizon) }
}
