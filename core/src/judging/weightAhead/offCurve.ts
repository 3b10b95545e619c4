import type { WeightReading } from '../../facts/growth/growthState.ts'
import { bandOn, bestGrowthFit } from '../growthCurve/growthFit.ts'
import type { Range } from '../../basics/range.ts'
import { Day } from '../../basics/time/day.ts'
import type { WeightPath } from '../weightTrend/fall.ts'
import { TWO_SIDED_95, weightPath } from '../weightTrend/fall.ts'
import type { Weighing } from '../../plans/growth/weighing.ts'
import { weightCourse } from '../weightTrend/weightLevel.ts'
import * as z from 'zod/mini'

/** The last weight against the curve that the earlier weighings followed. */
export const OffCurve = z.strictObject({
  /** The day of that weight. */
  on: Day,
  /** The last day that the curve knows. */
  until: Day,
  grams: z.number(),
  /** Between these the curve would have it. */
  low: z.number(),
  high: z.number(),
})
export type OffCurve = z.infer<typeof OffCurve>

/** What is needed to say whether somebody keeps to its own curve. */
export interface WeightHistory {
  /** In any order. */
  readings: readonly WeightReading[]
  weighing: Weighing
  /** What one of its stage can weigh. */
  bounds?: Range | undefined
  /** Days from which weights begin anew, ascending. */
  starts?: readonly Day[] | undefined
}

/** What the last weeks show is held against the curve of all that came before. */
export const LATELY_DAYS = 45
/** So far beyond its last weighing a curve says something of a day. */
const FURTHEST_DAYS = 120

/** Whether the smoothed weight of the last day lies off the curve that the weighings before the last weeks followed:
 * where the 95 % limits of the one and of the other do not meet. */
export function offCurveOf(path: WeightPath, counted: readonly WeightReading[]): OffCurve | null {
  const last = path.days.at(-1)
  if (!last) return null
  const earlier = counted.filter(({ day }) => day <= last.day - LATELY_DAYS)
  const until = earlier.at(-1)?.day
  if (until === undefined || last.day - until > FURTHEST_DAYS) return null
  const found = bestGrowthFit(earlier.map((one) => ({ day: one.day, value: one.grams })))
  if ('refused' in found || found.undecided) return null
  const { lo: low, hi: high } = bandOn(found.best, last.day)
  const width = TWO_SIDED_95 * Math.sqrt(last.levelVar)
  const meets = Math.exp(last.level + width) >= low && Math.exp(last.level - width) <= high
  if (meets) return null
  return { on: last.day, until, grams: Math.exp(last.level), low: Math.max(0, low), high }
}

/** The same of somebody's whole record of weights; null where it keeps to its curve, or had none before. */
export function offItsOwnCurve({ readings, weighing, bounds, starts }: WeightHistory): OffCurve | null {
  const course = weightCourse(readings, weighing, { bounds, starts })
  return offCurveOf(weightPath(course, weighing), course.runs.flat())
}
