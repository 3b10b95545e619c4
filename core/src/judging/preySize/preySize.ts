import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { MealAmount } from '../feeding/mealAmount.ts'
import { mealAmount } from '../feeding/mealAmount.ts'
import type { AmountRule, FoodSize } from '../../plans/plan/duty.ts'

/** Weight in grams, millimetres by part and how many there are, as far as they are known. */
export interface Measured {
  grams?: number | undefined
  mm?: Readonly<Partial<Record<BodyPart, number>>>
  animals?: number | undefined
}

/** No animal eats more than that of its own weight in whole prey at a time, and none is to be given it. */
export const MOST_OF_ITSELF = 0.6

/** The share of its own weight that is asked for, where no animal eats that much; null where one may. */
export function tooMuchOfItself(rule: AmountRule): number | null {
  return rule.by === 'massShare' && rule.share[1] > MOST_OF_ITSELF ? rule.share[1] : null
}

/** The feeding rule of the walk, asked about one animal outside any record. */
export function preySize(
  rule: AmountRule,
  sizes: readonly FoodSize[],
  { grams, mm = {}, animals }: Measured,
): MealAmount {
  const day = 0
  const measured = Object.entries(mm).map(([part, size]) => [part, { day, mm: size }] as const)
  const weight = grams === undefined ? null : { grams, day, readings: 1, suspects: [] }
  return mealAmount(rule, sizes, { sizes: Object.fromEntries(measured), weight, animals })
}
