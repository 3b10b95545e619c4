import type { Day, Fact, Plan, ResidentDay, ResidentState, WeightBand } from '@kobrin/core'
import { ecdysisWindow, weightBand, weightCourse, weightReading } from '@kobrin/core'

/** Days ahead of today that the lifeline shows. */
export const AHEAD_DAYS = 30

export interface LifelineAhead {
  /** The weight with its band, also ahead of today. */
  band: WeightBand[]
  /** Readings set aside, by the uid of their entry. */
  suspects: ReadonlySet<string>
  /** When the skin comes off next, eight times of ten. */
  skinWindow: { from: Day; to: Day } | null
}

export const NOTHING_AHEAD: LifelineAhead = { band: [], suspects: new Set(), skinWindow: null }

interface Known {
  facts: readonly Fact[]
  plan: Plan
  state: ResidentState
  holds: ResidentDay['holds']
  day: Day
}

/** What the whole record says of the course of the weight and of the next shed or molt. Of a colony, whose weights
 * may be of any number of them, nothing. */
export function lifelineAhead({ facts, plan, state, holds, day }: Known): LifelineAhead {
  if (plan.lives === 'colony' || state.stay.ended) return NOTHING_AHEAD
  const readings = facts.flatMap((fact) => (fact.kind === 'weighed' ? [weightReading(fact)] : []))
  const course = weightCourse(readings, plan.weighing, plan.bounds?.grams?.range)
  return {
    band: weightBand(course, plan.weighing, day + AHEAD_DAYS),
    suspects: new Set(course.suspects.map(({ uid }) => uid)),
    skinWindow: ecdysisWindow({ day, plan, state, holds }),
  }
}
