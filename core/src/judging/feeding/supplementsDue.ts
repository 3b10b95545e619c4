import type { SupplementRule } from '../../plans/plan/duty.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { own } from '../../facts/subjects/own.ts'
import type { Day } from '../../basics/time/day.ts'
import type { FeedingState } from '../../facts/feeding/feedingState.ts'
import { mealsKept } from '../../facts/feeding/feedLine.ts'
import { sumOf } from '../../facts/feeding/offerSum.ts'

/** When a supplement was last eaten, and how many meals there were since, over all feeding duties; null where it
 * never was. What was dusted and not eaten was not given. */
function lastGiven({ lines }: FeedingState, name: string): { day: Day; mealsSince: number } | null {
  const given = Object.values(lines)
    .flatMap((line) => {
      const last = own(sumOf(line).supplements, name)
      return last ? [{ line, ...last }] : []
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1))[0]
  if (!given) return null
  const elsewhere = Object.values(lines).filter((line) => line !== given.line)
  const since = elsewhere.reduce(
    (sum, line) => sum + mealsKept(line).filter(({ at }) => at > given.at).length,
    sumOf(given.line).meals - given.meals,
  )
  return { day: given.day, mealsSince: since }
}

function isDue(rule: SupplementRule, state: ResidentState, day: Day): boolean {
  const given = lastGiven(state.feeding, rule.name)
  if (!given) return true
  const byMeals = rule.everyMeals !== undefined && given.mealsSince + 1 >= rule.everyMeals
  const byDays = rule.everyDays !== undefined && day - given.day >= rule.everyDays
  return byMeals || byDays
}

/** The supplements that belong to the next meal, by count of meals or by days since the last time; what one of them
 * stands in for is left out. */
export function supplementsDue(
  rules: readonly SupplementRule[],
  state: ResidentState,
  day: Day,
): SupplementRule[] {
  const due = rules.filter((rule) => isDue(rule, state, day))
  const replaced = new Set(due.map(({ insteadOf }) => insteadOf))
  return due.filter(({ name }) => !replaced.has(name))
}
