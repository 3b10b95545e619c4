import type { Day } from '../../basics/time/day.ts'
import type { Hemisphere } from '../../basics/time/hemisphere.ts'
import type { Readings } from '../../facts/readings/readingsState.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Hold } from '../holds/holdsOn.ts'
import { holdsOn } from '../holds/holdsOn.ts'
import type { KeptFloor } from '../lots/keptFloor.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { verdictsOn } from '../verdicts/verdictsOn.ts'
import type { WeightLevel } from '../weightTrend/weightLevel.ts'
import { weightOf } from '../weightTrend/weightOf.ts'

/** Before it comes only the place is made ready; afterwards that is behind it. */
export function isComing({ stay: { expected, arrivedOn } }: Pick<ResidentState, 'stay'>): boolean {
  return expected !== null && arrivedOn === null
}

interface Judgement {
  holds: Hold[]
  weight: WeightLevel | null
  verdicts: Verdict[]
}

/** All that a judgement of a day looks at. */
interface Asked {
  day: Day
  plan: Plan
  state: ResidentState
  floors: readonly KeptFloor[]
  readings: Readings
  hemisphere: Hemisphere | undefined
}

/** States do not change once they are folded: what was judged of one stands until the day, its plan or what was read
 * around it is another. */
const judged = new WeakMap<ResidentState, { asked: Asked; judgement: Judgement }>()

function isSame(one: Asked, other: Asked): boolean {
  return (
    one.day === other.day &&
    one.plan === other.plan &&
    one.floors === other.floors &&
    one.readings === other.readings &&
    one.hemisphere === other.hemisphere
  )
}

/** What is held, weighed and wrong with somebody who is here or comes. */
export function judgementOn(asked: Asked): Judgement {
  const { day, plan, state, floors, readings, hemisphere } = asked
  const known = judged.get(state)
  if (known && isSame(known.asked, asked)) return known.judgement
  const course = weightOf(state, plan)
  const weight = course.level
  const holds = isComing(state) ? [] : holdsOn(day, state, plan, weight?.grams ?? null)
  const about = { day, plan, state, weight, course, floors, readings, ...(hemisphere && { hemisphere }) }
  const judgement = { holds, weight, verdicts: verdictsOn({ ...about, holds }) }
  judged.set(state, { asked, judgement })
  return judgement
}
