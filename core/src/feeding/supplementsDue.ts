import type { ResidentState } from '../residents/residentState.ts'
import { mealsIn } from './feedingState.ts'
import type { SupplementRule } from '../plan/duty.ts'
import type { Day } from '../time/day.ts'
import { own } from '../subjects/own.ts'

function isDue(rule: SupplementRule, state: ResidentState, day: Day): boolean {
  const given = own(state.feeding.supplements, rule.name)
  if (!given) return true
  const byMeals = rule.everyMeals !== undefined && mealsIn(state.feeding) + 1 - given.meals >= rule.everyMeals
  const byDays = rule.everyDays !== undefined && day - given.day >= rule.everyDays
  return byMeals || byDays
}

/** The supplements that belong to the next meal, by count of meals or by days since the last time. */
export function supplementsDue(
  rules: readonly SupplementRule[],
  state: ResidentState,
  day: Day,
): SupplementRule[] {
  return rules.filter((rule) => isDue(rule, state, day))
}
