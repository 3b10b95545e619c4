import type { KeptFloor } from '../lots/keptFloor.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { WeightCourse, WeightLevel } from '../weightTrend/weightLevel.ts'
import type { Hold } from '../holds/holdsOn.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Readings } from '../../facts/readings/readingsState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Hemisphere } from '../../basics/time/hemisphere.ts'

/** What a verdict of the day may look at. */
export interface Evidence {
  day: Day
  plan: Plan
  state: ResidentState
  holds: readonly Hold[]
  weight: WeightLevel | null
  /** All weighings, judged. */
  course: WeightCourse
  floors: readonly KeptFloor[]
  /** What was last read where it lives. */
  readings: Readings
  /** Where the seasons of the sheets fall half a year on. */
  hemisphere?: Hemisphere
}
