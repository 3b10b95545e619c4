import { studentAtLnSurvival } from '../../basics/statistics/studentQuantile.ts'
import type { IntervalPrior, LnInterval, RenewalChances } from './nextInterval.ts'
import { lnLongerThan, nextInterval, renewalChances } from './nextInterval.ts'

export interface RenewalInput {
  /** Days between one event and the next. */
  intervals: readonly number[]
  /** Days since the last event. */
  elapsed: number
  prior: IntervalPrior
  /** Days ahead. */
  horizon: number
}

export interface RenewalForecast extends RenewalChances {
  /** Days from the last event: the middle of what is expected, given that it has not happened yet, and the limits
   * between which eight of ten lie. Null where a number of days cannot be written any more. */
  medianDays: number | null
  lo80: number | null
  hi80: number | null
}

/** The days of T that are exceeded with a chance of `p`, given that it is longer than `elapsed` already. */
export function exceeded(p: number, elapsed: number, next: LnInterval): number | null {
  const { nu, mu, scale } = next
  const lnP = lnLongerThan(elapsed, next) + Math.log(p)
  const days = Math.exp(mu + scale * studentAtLnSurvival(lnP, nu))
  return Number.isFinite(days) ? Math.max(days, elapsed) : null
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
