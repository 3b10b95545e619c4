import type { WeightReading } from '../../facts/growth/growthState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { WeightCourse } from './weightLevel.ts'
import { weightCourse } from './weightLevel.ts'

/** Weighings do not change once they are folded: what was judged of them under a plan is kept with them. */
const judged = new WeakMap<readonly WeightReading[], { plan: Plan; course: WeightCourse }>()

/** The weighings of a resident, judged by what its plan says of scatter and of its stage. */
export function weightOf({ growth: { weights } }: Pick<ResidentState, 'growth'>, plan: Plan): WeightCourse {
  const known = judged.get(weights)
  if (known?.plan === plan) return known.course
  const course = weightCourse(weights, plan.weighing, plan.bounds?.grams?.range)
  judged.set(weights, { plan, course })
  return course
}
