import type { Bound } from '../../plans/plausible/plausible.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import { expectedReading, isTrend } from '../weightTrend/localTrend.ts'
import { mostGrowth } from '../weightTrend/weightLevel.ts'
import { weightOf } from '../weightTrend/weightOf.ts'

/** What the next weighing of a resident should show. */
export interface ExpectedWeight {
  /** Grams; null where only limits are known. */
  grams: number | null
  low: number
  high: number
  /** The last weighing that counts. */
  last: { day: Day; grams: number } | null
  /** What it is taken from: the trend, one day's weight, or what one of its stage or group can weigh. */
  by: 'trend' | 'last' | Bound['of']
}

/** Ninety-nine of a hundred weighings lie within: in a room of forty one is asked about every other round. */
const Z_99 = 2.576

function around(mean: number, below: number, above: number): Pick<ExpectedWeight, 'grams' | 'low' | 'high'> {
  return { grams: Math.exp(mean), low: Math.exp(mean - below), high: Math.exp(mean + above) }
}

/** Where the next weighing of a day lies ninety-nine times of a hundred, in grams: by the predictive distribution of
 * the trend where there is one, and never further from the last than an animal grows or wastes in that time. Null
 * for one that was never weighed and of whose stage nothing is known, and for a colony. */
export function expectedWeight({
  day,
  state,
  plan,
}: Pick<Evidence, 'day' | 'state' | 'plan'>): ExpectedWeight | null {
  if (plan.lives === 'colony') return null
  const { belief, runs } = weightOf(state, plan)
  const reading = runs.at(-1)?.at(-1)
  const bounds = plan.bounds?.grams
  if (!belief || !reading) {
    if (!bounds) return null
    const [low, high] = bounds.range
    return { grams: null, low, high, last: null, by: bounds.of }
  }
  const last = { day: reading.day, grams: reading.grams }
  const on = Math.max(day, belief.day)
  const most = mostGrowth(on - belief.day, plan.weighing.r)
  const expected = isTrend(belief) ? expectedReading(belief, { day: on }, plan.weighing) : null
  if (!expected) return { ...around(belief.level, most, most), last, by: 'last' }
  const half = Z_99 * Math.sqrt(expected.variance)
  const drift = Math.max(-most, Math.min(most, expected.mean - belief.level))
  const below = Math.min(half, most + drift)
  const above = Math.min(half, most - drift)
  return { ...around(belief.level + drift, below, above), last, by: 'trend' }
}
