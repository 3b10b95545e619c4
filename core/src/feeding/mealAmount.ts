import type { FeedLine } from './feedingState.ts'
import type { GrowthState } from '../growth/growthState.ts'
import type { WeightLevel } from '../growth/weightLevel.ts'
import type { AmountRule, FoodSize } from '../plan/duty.ts'
import type { Reason } from '../reasons/reason.ts'

/** Above this share left after a day the portion was too large. */
const TOO_MUCH_LEFT = 0.1
const SHRINK = 0.75
const GROW = 1.25
const CLEARED_TO_GROW = 2

export interface MealAmount {
  size?: string
  /** Items to offer, [low, high]. */
  count?: readonly [number, number]
  /** Grams of the whole meal, [low, high]. */
  grams?: readonly [number, number]
  because: Reason[]
}

function heaviestWithin(sizes: readonly FoodSize[], target: number): FoodSize | undefined {
  const weighed = sizes.filter((size) => size.grams !== undefined)
  const fitting = weighed.filter((size) => (size.grams ?? 0) <= target)
  const byGrams = (a: FoodSize, b: FoodSize) => (a.grams ?? 0) - (b.grams ?? 0)
  return fitting.sort(byGrams).at(-1) ?? weighed.sort(byGrams)[0]
}

function widestWithin(sizes: readonly FoodSize[], target: number): FoodSize | undefined {
  const measured = sizes.filter((size) => size.widthMm !== undefined)
  const byWidth = (a: FoodSize, b: FoodSize) => (a.widthMm ?? 0) - (b.widthMm ?? 0)
  return (
    measured
      .filter((size) => (size.widthMm ?? 0) <= target)
      .sort(byWidth)
      .at(-1) ?? measured.sort(byWidth)[0]
  )
}

/** Grams of the next portion: less when more than a tenth was left after a day, more when two in a
 * row were cleared, within the plan's bounds. */
export function nextPortion(
  rule: Extract<AmountRule, { by: 'portion' }>,
  line: FeedLine | undefined,
): { grams: number; because: Reason[] } {
  const clamp = (grams: number) => Math.min(rule.max, Math.max(rule.min, grams))
  const portion = line?.portion
  if (!rule.followsLeftovers || !portion) return { grams: clamp(rule.grams), because: [] }
  const { grams, cleared, leftFraction } = portion
  if (leftFraction !== null && leftFraction > TOO_MUCH_LEFT) {
    return { grams: clamp(grams * SHRINK), because: [{ fact: 'leftovers', fraction: leftFraction, grams }] }
  }
  if (cleared >= CLEARED_TO_GROW) {
    return { grams: clamp(grams * GROW), because: [{ fact: 'cleared', inRow: cleared, grams }] }
  }
  return { grams: clamp(grams), because: [] }
}

/** How much of a food, in which size, under an amount rule.
 * `measuredSizes` are those of the animal; `weight` is the present smoothed weight; suspect readings are not in it. */
export function mealAmount(
  rule: AmountRule,
  sizes: readonly FoodSize[],
  { sizes: measuredSizes }: Pick<GrowthState, 'sizes'>,
  line: FeedLine | undefined,
  weight: WeightLevel | null,
): MealAmount {
  const stated: Reason = { rule: 'amount', amount: rule }
  switch (rule.by) {
    case 'count': {
      const size = sizes[0]?.size
      return { ...(size !== undefined && { size }), count: rule.count, because: [stated] }
    }
    case 'massShare': {
      if (!weight) {
        const size = sizes[0]?.size
        return {
          ...(size !== undefined && { size }),
          count: [rule.count, rule.count],
          because: [{ fact: 'noWeight' }, stated],
        }
      }
      const grams = [rule.share[0] * weight.grams, rule.share[1] * weight.grams] as const
      const size = heaviestWithin(sizes, grams[1] / rule.count)?.size
      const { day, readings, suspects } = weight
      return {
        ...(size !== undefined && { size }),
        count: [rule.count, rule.count],
        grams,
        because: [{ fact: 'weight', grams: weight.grams, day, readings, suspects: suspects.length }, stated],
      }
    }
    case 'width': {
      const measured = measuredSizes[rule.part]
      const chosen = measured ? widestWithin(sizes, measured.mm * rule.factor) : sizes[0]
      const fact: Reason = measured
        ? { fact: 'size', part: rule.part, mm: measured.mm, day: measured.day }
        : { fact: 'noSize', part: rule.part }
      return { ...(chosen && { size: chosen.size }), count: rule.count, because: [fact, stated] }
    }
    case 'portion': {
      const { grams, because } = nextPortion(rule, line)
      return { grams: [grams, grams], because: [...because, stated] }
    }
  }
}
