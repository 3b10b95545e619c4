import { countOf } from '../../facts/count/howMany.ts'
import type { WeightLevel } from '../weightTrend/weightLevel.ts'
import type { Duty, Food } from '../../plans/plan/duty.ts'
import type { Reason } from '../reasons/reason.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { own } from '../../facts/subjects/own.ts'
import type { Day } from '../../basics/time/day.ts'
import type { MealAmount } from './mealAmount.ts'
import { canBeTooLarge, mealAmount } from './mealAmount.ts'
import { nextFood } from './nextFood.ts'
import { supplementsDue } from './supplementsDue.ts'

/** What to put into an enclosure. */
export interface Offering extends MealAmount {
  item: string
  supplements: string[]
}

/** What to offer on a day under a feeding duty: of the foods of which there is something small enough, if of
 * any. Null when caps and gaps leave nothing. */
export function offeringOn(
  duty: Duty,
  day: Day,
  { state, weight }: { state: ResidentState; weight: WeightLevel | null },
): Offering | null {
  const { amount: rule, foods = [] } = duty
  const line = own(state.feeding.lines, duty.id)
  const eater = { sizes: state.growth.sizes, line, weight, animals: countOf(state) }
  const amountOf = (food: Food) => (rule ? mealAmount(rule, food.sizes, eater) : { because: [] })
  const small = rule && canBeTooLarge(rule) ? foods.filter((food) => !amountOf(food).tooLarge) : foods
  const choice = nextFood(small.length > 0 ? small : foods, state, day)
  if (!choice) return null
  const { food, because } = choice
  const amount = amountOf(food)
  const due = supplementsDue(duty.supplements ?? [], state, day)
  return {
    ...amount,
    item: food.item,
    supplements: due.map(({ name }) => name),
    because: [
      ...because,
      ...amount.because,
      ...due.map((supplement): Reason => ({ rule: 'supplement', supplement })),
    ],
  }
}

/** What a sheet proposes where nothing is small enough. */
export function insteadOf({ amount }: Duty): string[] {
  return (amount && 'instead' in amount && amount.instead) || []
}
