import type { LnInterval } from './nextInterval.ts'
import { lnLongerThan } from './nextInterval.ts'
import type { RenewalForecast } from './renewalForecast.ts'
import { exceeded } from './renewalForecast.ts'

/** A sign that makes it `ratio` times as likely that the interval ends within `until` days of its beginning. */
export interface Sign {
  until: number
  ratio: number
}

export type ShiftedForecast = Omit<RenewalForecast, 'surprise'>

/** The forecast of an interval once a sign was seen: its density is weighed by the likelihood ratio of the sign up
 * to `until` days, by one beyond, and made to sum to one again (Bayes' rule). Given that it is longer than `elapsed`
 * days already. */
export function withSign(
  next: LnInterval,
  elapsed: number,
  { until, ratio }: Sign,
  horizon: number,
): ShiftedForecast {
  const now = lnLongerThan(elapsed, next)
  /** Chance of more than so many days, given what has elapsed. */
  const longer = (days: number) => Math.exp(lnLongerThan(days, next) - now)
  const end = Math.max(elapsed, until)
  const beyond = longer(end)
  const within = ratio * (1 - beyond)
  const total = within + beyond
  const daysAt = (share: number) => {
    const mass = share * total
    const left = mass < within ? 1 - mass / ratio : total - mass
    return exceeded(left, elapsed, next)
  }
  const ahead = elapsed + horizon
  const reached = ahead <= end ? ratio * (1 - longer(ahead)) : within + beyond - longer(ahead)
  return {
    lo80: daysAt(0.1),
    medianDays: daysAt(0.5),
    hi80: daysAt(0.9),
    pWithinHorizon: reached / total,
  }
}
