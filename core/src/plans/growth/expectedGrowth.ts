import * as z from 'zod/mini'
import type { Sheet } from '../sheet/sheet.ts'
import type { Stage } from '../sheet/stage.ts'
import { positiveRange } from '../../basics/range.ts'

/** What a sheet says of the growth of one animal. */
export const ExpectedGrowth = z.strictObject({
  /** Of a newborn and of the grown, grams. */
  from: z.number().check(z.positive()),
  grown: positiveRange,
  /** Days from hatching to nearly grown. */
  days: positiveRange,
  /** The stage is the last one. */
  last: z.boolean(),
})
export type ExpectedGrowth = z.infer<typeof ExpectedGrowth>

/** How far above the least that can be true of a newborn one usually is. */
const USUAL_NEWBORN = 1.5

/** Null where the sheet says no weight of the grown, or where many are on one record. */
export function expectedGrowth(
  { adult, growth, lives, stages }: Pick<Sheet, 'adult' | 'growth' | 'lives' | 'stages'>,
  stage: Stage,
): ExpectedGrowth | null {
  const least = stages[0]?.plausible?.grams?.[0]
  if (lives === 'colony' || !adult?.grams || !growth || least === undefined) return null
  const from = Math.min(least * USUAL_NEWBORN, adult.grams[0] / 2)
  return { from, grown: adult.grams, days: growth.adultDays, last: stages.at(-1) === stage }
}

/** Of the grown weight that counts as nearly grown. */
const NEARLY = Math.log(0.9)

function ratePerDay(from: number, grown: number, days: number): number {
  return Math.log(Math.log(from / grown) / NEARLY) / days
}

export type Pace = 'slowest' | 'middle' | 'fastest'

function paced([low, high]: readonly [number, number], pace: Pace): number {
  return pace === 'middle' ? Math.sqrt(low * high) : pace === 'slowest' ? low : high
}

const SAME_TURNED: Readonly<Record<Pace, Pace>> = { slowest: 'fastest', middle: 'middle', fastest: 'slowest' }

/** ln grams that an animal of a weight grows over so many days at the slowest, the middle or the fastest that the
 * sheet calls usual: Gompertz's curve from a newborn to nearly grown in the time the sheet gives. Never below 0. */
export function growthOver(
  { from, grown: weights, days: ages }: ExpectedGrowth,
  grams: number,
  days: number,
  pace: Pace,
): number {
  const grown = paced(weights, pace)
  // The fastest is the one that is grown soonest.
  const rate = ratePerDay(from, grown, paced(ages, SAME_TURNED[pace]))
  return Math.max(0, Math.log(grown / grams) * -Math.expm1(-rate * days))
}
