import type { Box } from '../../facts/enclosures/box.ts'
import { longSideMm } from '../../facts/enclosures/box.ts'
import type { Pace } from '../../plans/growth/expectedGrowth.ts'
import { growthOver } from '../../plans/growth/expectedGrowth.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { own } from '../../facts/subjects/own.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { weightOf } from '../weightTrend/weightOf.ts'

/** Nobody builds for later than that. */
const MOST_DAYS = 730
const STEP_DAYS = 7
/** A box that is outgrown so soon has to be thought of now. */
const SOON_DAYS = 30

interface Known {
  day: Day
  plan: Plan
  state: ResidentState
  box: Box
}

/** When its length will ask for a longer box than it has, if it grows on from today at a pace its sheet calls usual:
 * about, and between the fastest and the slowest. Nothing where the sheet does not measure the box by the animal,
 * where it was never measured or weighed, and where the box is too short already: that is said of the box. */
export function outgrows({ day, plan, state, box }: Known): Verdict[] {
  const { growth, housing } = plan
  const times = housing?.times?.length
  const part = housing?.times?.part
  const weight = weightOf(state, plan).level
  const size = part === undefined ? undefined : own(state.growth.sizes, part)
  if (!growth || !weight || !size || times === undefined || part === undefined) return []
  const has = longSideMm(box)
  const enoughAt = Math.log(has / (times * size.mm))
  if (enoughAt <= 0) return []
  const reached = (pace: Pace): Day | null => {
    for (let days = 0; days <= MOST_DAYS; days += STEP_DAYS)
      // Lengths grow as the cube root of the weight.
      if (growthOver(growth, weight.grams, day - size.day + days, pace) / 3 >= enoughAt) return day + days
    return null
  }
  const from = reached('fastest')
  if (from === null) return []
  const on = reached('middle')
  return [
    {
      severity: on !== null && on - day <= SOON_DAYS ? 'watch' : 'info',
      what: { code: 'outgrows', on, from, to: reached('slowest') },
      because: [
        { fact: 'size', part, mm: size.mm, day: size.day },
        { rule: 'boxLength', part, times, has },
        { rule: 'growth', ...growth },
        { source: fromSheet(plan) },
      ],
    },
  ]
}
