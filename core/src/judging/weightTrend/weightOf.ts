import type { WeightReading } from '../../facts/growth/growthState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { freshStarts } from './freshStart.ts'
import type { WeightCourse } from './weightLevel.ts'
import { weightCourse } from './weightLevel.ts'

/** Weighings do not change once they are folded: what was judged of them under a plan and its holds is kept with
 * them. */
const judged = new WeakMap<
  readonly WeightReading[],
  { plan: Plan; holds: ResidentState['holds']; course: WeightCourse }
>()

/** The weighings of a resident, judged by what its plan says of scatter and of its stage, beginning anew where its
 * body did. */
export function weightOf(
  { growth: { weights }, holds }: Pick<ResidentState, 'growth' | 'holds'>,
  plan: Plan,
): WeightCourse {
  const known = judged.get(weights)
  if (known?.plan === plan && known.holds === holds) return known.course
  const starts = freshStarts({ holds })
  const course = weightCourse(weights, plan.weighing, { bounds: plan.bounds?.grams?.range, starts })
  judged.set(weights, { plan, holds, course })
  return course
}
