import type { WeightReading } from '../../facts/growth/growthState.ts'
import { fallOn, weightPath } from '../weightTrend/fall.ts'
import type { Weighing } from '../../plans/growth/weighing.ts'
import type { WeightCourse } from '../weightTrend/weightLevel.ts'

/** A loss that asks somebody to act, as a share a week. */
const LOSS_A_WEEK = 0.03
/** Longer than that nobody should wait. */
const MOST_DAYS = 182

/** Days until a loss of three per cent a week, weighed every so many days, would be beyond chance, going on from the
 * last weighing; null where that takes longer than half a year, or nothing was weighed. The readings to come lie on
 * the line: chance can make it sooner or later. */
export function noticedAfter(
  course: WeightCourse,
  { weighing, grows = false }: { weighing: Weighing; grows?: boolean },
  every: number,
): number | null {
  const { level, runs } = course
  if (!level || every < 1) return null
  const rate = Math.log(1 - LOSS_A_WEEK) / 7
  const run: WeightReading[] = [...(runs.at(-1) ?? [])]
  for (let after = every; after <= MOST_DAYS; after += every) {
    const day = level.day + after
    run.push({ day, grams: level.grams * Math.exp(rate * after), uid: `after ${after}` })
    const falling = { ...course, runs: [...runs.slice(0, -1), run] }
    if (fallOn(weightPath(falling, weighing), day, { grows })) return after
  }
  return null
}
