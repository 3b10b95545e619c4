import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Food } from '../../plans/plan/duty.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Day } from '../../basics/time/day.ts'
import type { ItemHistory } from '../../facts/feeding/feedingState.ts'
import { historyOf, offersOf } from '../../facts/feeding/accepted.ts'

/** After so many refusals in a row another food is tried first … */
const GIVE_UP_AFTER = 3
/** … and for so long. */
const TRY_AGAIN_AFTER_DAYS = 60

export interface FoodChoice {
  food: Food
  because: Reason[]
}

function barred(
  food: Food,
  history: ItemHistory,
  { state, day }: { state: ResidentState; day: Day },
): Reason | null {
  if (food.weeklyCap !== undefined) {
    const offers = offersOf(state.feeding, food.item, { from: day - 6, before: day })
    if (offers >= food.weeklyCap) return { rule: 'weeklyCap', item: food.item, cap: food.weeklyCap, offers }
  }
  const { lastDay } = history
  if (food.minGapDays !== undefined && day - lastDay < food.minGapDays) {
    return { rule: 'minGap', item: food.item, days: food.minGapDays, lastDay }
  }
  const lately = day - lastDay < TRY_AGAIN_AFTER_DAYS
  if (lately && history.refusedInRow >= GIVE_UP_AFTER) {
    return { fact: 'itemRefused', item: food.item, inRow: history.refusedInRow }
  }
  return null
}

/** The food to offer on a day: not over its weekly cap, not too soon after itself, not one this
 * resident keeps refusing; of those the one it went longest without, in the plan's order where
 * equal. When caps and gaps leave only refused foods, those come back. Null when nothing may be given. */
export function nextFood(foods: readonly Food[], state: ResidentState, day: Day): FoodChoice | null {
  const because: Reason[] = []
  let best: Food | null = null
  let bestDay = Infinity
  let refusedBest: Food | null = null
  for (const food of foods) {
    const history = historyOf(state.feeding, food.item)
    const bar = history && barred(food, history, { state, day })
    if (bar) {
      because.push(bar)
      if ('fact' in bar) refusedBest ??= food
      continue
    }
    const lastDay = history?.lastDay ?? -Infinity
    if (best === null || lastDay < bestDay) {
      best = food
      bestDay = lastDay
    }
  }
  const food = best ?? refusedBest
  if (!food) return null
  if (best && foods.length > 1 && bestDay > -Infinity) {
    because.push({ fact: 'sameItem', item: food.item, lastDay: bestDay })
  }
  return { food, because }
}
