import type { Plan } from '../../plans/plan/plan.ts'
import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { studentCdf } from '../../basics/statistics/student.ts'
import { shedDays } from '../../facts/skin/skinState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Verdict } from '../verdicts/verdict.ts'

interface Known {
  day: Day
  plan: Plan
  state: ResidentState
}

/** What was grown at the last shed or molt is news for so long. */
const NEWS_DAYS = 30
/** Measures so long before it are of an earlier skin. */
const BEFORE_DAYS = 400

/** By how much a part was longer when it was first measured after the skin came off. */
export function grewAtMolt({ day, plan, state }: Known): Verdict[] {
  const sheds = shedDays(state.skin)
  const shed = sheds.at(-1)
  if (!plan.ecdysis || shed === undefined || day - shed > NEWS_DAYS) return []
  const earlier = sheds.at(-2) ?? -Infinity
  const grown = Object.entries(state.growth.sizes).flatMap(([part, { mm, day: after, before }]) => {
    // Measured twice between the same two skins, or long before, nothing is known of this one.
    if (!before || after < shed || before.day >= shed) return []
    if (before.day < earlier || before.day < shed - BEFORE_DAYS) return []
    return [{ part: part as BodyPart, share: mm / before.mm - 1, mm, after, before }]
  })
  return grown.slice(0, 1).map(({ part, share, mm, after, before }) => ({
    severity: 'info',
    since: shed,
    what: { code: 'grewAtMolt', part, share },
    because: [
      { fact: 'event', event: 'shed', day: shed },
      { fact: 'size', part, mm: before.mm, day: before.day },
      { fact: 'size', part, mm, day: after },
    ],
  }))
}

/** Fewer intervals tell no course. */
const LEAST_INTERVALS = 4
const MOST_INTERVALS = 8
const SURE = 0.95
const NOTABLE = Math.log(1.08)

/** Whether the intervals between sheds or molts grow longer beyond chance, as they do with size: by a line through
 * the logarithms of the last of them, one-sided at 95 %. */
export function longerIntervals({ plan, state }: Known): Verdict[] {
  const sheds = shedDays(state.skin)
  const days = sheds
    .slice(1)
    .map((shed, at) => shed - (sheds[at] ?? shed))
    .filter((interval) => interval > 0)
    .slice(-MOST_INTERVALS)
  const n = days.length
  if (!plan.ecdysis || n < LEAST_INTERVALS) return []
  const xs = days.map((interval) => Math.log(interval))
  const middle = (n - 1) / 2
  const mean = xs.reduce((sum, x) => sum + x, 0) / n
  const across = xs.reduce((sum, _, at) => sum + (at - middle) ** 2, 0)
  const slope = xs.reduce((sum, x, at) => sum + (at - middle) * (x - mean), 0) / across
  const rest = xs.reduce((sum, x, at) => sum + (x - mean - slope * (at - middle)) ** 2, 0)
  const error = Math.sqrt(rest / (n - 2) / across)
  const isSure = error === 0 ? slope > 0 : studentCdf(slope / error, n - 2) >= SURE
  if (slope < NOTABLE || !isSure) return []
  const { what } = plan.ecdysis
  return [
    {
      severity: 'info',
      what: { code: 'longerIntervals', what, share: Math.expm1(slope) },
      because: [{ fact: 'intervals', what, days }],
    },
  ]
}
