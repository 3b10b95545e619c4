import type { Day } from '../../basics/time/day.ts'
import type { WeightPath } from './fall.ts'
import { TWO_SIDED_95 } from './fall.ts'
import { ahead, isTrend } from './localTrend.ts'

/** The smoothed weight of a day, grams, with the limits between which it lies nineteen times of twenty. */
export interface WeightBand {
  day: Day
  grams: number
  low: number
  high: number
}

/** Ahead of the last weighing the band is drawn in such steps. */
const STEP_DAYS = 7

/** The weight with its band on each day that has a reading, and on from the last one until a day, where the band
 * widens. */
export function weightBand({ days, belief, weighing }: WeightPath, until: Day): WeightBand[] {
  const coming =
    belief && isTrend(belief)
      ? Array.from({ length: Math.max(0, Math.ceil((until - belief.day) / STEP_DAYS)) }, (_, step) => {
          const { day, level, ll } = ahead(
            belief,
            Math.min(until, belief.day + (step + 1) * STEP_DAYS),
            weighing.q,
          )
          return { day, level, levelVar: ll }
        })
      : []
  return [...days, ...coming].map(({ day, level, levelVar }) => {
    const width = TWO_SIDED_95 * Math.sqrt(levelVar)
    return { day, grams: Math.exp(level), low: Math.exp(level - width), high: Math.exp(level + width) }
  })
}
