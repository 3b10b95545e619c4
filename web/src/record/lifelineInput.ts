import type { Day, Explanation, Fact, WeightAheadInput, Plan, ResidentDay, ResidentState } from '@kobrin/core'
import { ecdysisWindow, explanationsOf, freshStarts, weightOf, weightReading } from '@kobrin/core'
import type { Hemisphere, Readings } from '@kobrin/core'

/** Days ahead of today that the lifeline shows. */
export const AHEAD_DAYS = 30

export interface Known {
  facts: readonly Fact[]
  plan: Plan
  state: ResidentState
  holds: ResidentDay['holds']
  readings: Readings
  hemisphere?: Hemisphere | undefined
  day: Day
}

/** What the course of the weight is worked out from. Of a colony, whose weights may be of any number of them, and of
 * one that is here no more, nothing. */
export function weightAheadInput({ facts, plan, state, day }: Known): WeightAheadInput | null {
  if (plan.lives === 'colony' || state.stay.ended) return null
  return {
    readings: facts.flatMap((fact) => (fact.kind === 'weighed' ? [weightReading(fact)] : [])),
    weighing: { ...plan.weighing },
    bounds: plan.bounds?.grams?.range,
    starts: freshStarts(state),
    growth: plan.growth,
    grows: plan.next !== undefined,
    nextStage: plan.next?.until.grams,
    day,
    until: day + AHEAD_DAYS,
  }
}

/** When the skin comes off next, eight times of ten; null where nobody can say. */
export function skinWindow({ plan, state, holds, day }: Known): { from: Day; to: Day } | null {
  if (plan.lives === 'colony' || state.stay.ended) return null
  return ecdysisWindow({ day, plan, state, holds })
}

/** Refusals so long ago are not judged any more: what explained them is not looked up. */
const JUDGED_DAYS = 365

/** What may explain refusals of the last year. */
export function explainedSpans({
  plan,
  state,
  holds,
  readings,
  hemisphere = 'north',
  day,
}: Known): Explanation[] {
  if (state.stay.ended) return []
  const course = weightOf(state, plan)
  const evidence = { day, plan, state, holds, readings, course, weight: course.level, floors: [], hemisphere }
  return explanationsOf(evidence).flatMap((one) => {
    const [since, until] = [Math.max(one.since, day - JUDGED_DAYS), Math.min(one.until, day)]
    return since <= until ? [{ ...one, since, until }] : []
  })
}

/** Whether a refusal of a day was explained; null where it is too long ago to say. */
export function isExplained(on: Day, spans: readonly Explanation[], today: Day): boolean | null {
  if (on < today - JUDGED_DAYS) return null
  return spans.some(({ since, until }) => on >= since && on <= until)
}
