import * as z from 'zod/mini'
import { portionOf } from '../../facts/feeding/feedLine.ts'
import type { FeedLine } from '../../facts/feeding/feedingState.ts'
import type { GrowthState } from '../../facts/growth/growthState.ts'
import { weightFact } from '../weightTrend/weightFact.ts'
import type { WeightLevel } from '../weightTrend/weightLevel.ts'
import type { AmountRule, FoodSize } from '../../plans/plan/duty.ts'
import type { Reason } from '../reasons/reason.ts'

/** Above this share left after a day the portion was too large. */
const TOO_MUCH_LEFT = 0.1
const SHRINK = 0.75
const GROW = 1.25
const CLEARED_TO_GROW = 2

/** The smallest prey there is, and that it is larger than this animal may be given. */
export const TooLarge = z.strictObject({
  size: z.string(),
  unit: z.enum(['g', 'mm']),
  /** Of the smallest, and at most. */
  has: z.number(),
  most: z.number(),
})
export type TooLarge = z.infer<typeof TooLarge>

export interface MealAmount {
  size?: string
  /** Items to offer, [low, high]. */
  count?: readonly [number, number]
  /** Grams of the whole meal, [low, high]. */
  grams?: readonly [number, number]
  /** Nothing of this food may be given: what to give instead is for a person to say. */
  tooLarge?: TooLarge
  because: Reason[]
}

/** Who is fed: what was measured of it, what it was given before, its present smoothed weight (suspect readings
 * are not in it), and how many they are where they were counted. */
export interface Eater {
  sizes: GrowthState['sizes']
  line?: FeedLine | undefined
  weight: WeightLevel | null
  animals?: number | null | undefined
}

type Measure = 'grams' | 'widthMm'

/** The largest that is not above the limit, or that there is none. Undefined where no size says its measure. */
function largestWithin(
  sizes: readonly FoodSize[],
  measure: Measure,
  most: number,
): { size: string } | { tooLarge: TooLarge } | undefined {
  let smallest: { size: string; has: number } | undefined
  let within: { size: string; has: number } | undefined
  for (const food of sizes) {
    const has = food[measure]
    if (has === undefined) continue
    const { size } = food
    if (!smallest || has < smallest.has) smallest = { size, has }
    if (has <= most && (!within || has >= within.has)) within = { size, has }
  }
  if (!smallest) return undefined
  if (within) return { size: within.size }
  return { tooLarge: { ...smallest, unit: measure === 'grams' ? 'g' : 'mm', most } }
}

/** The smallest there is, for those nobody has weighed or measured. */
function smallestOf(sizes: readonly FoodSize[], measure: Measure): { size?: string } {
  const [first] = [...sizes].sort((a, b) => (a[measure] ?? Infinity) - (b[measure] ?? Infinity))
  return first ? { size: first.size } : {}
}

/** How many times the amount of the rule a group is given. */
function timesFor(per: number | undefined, { animals }: Eater): { times: number; because: Reason[] } {
  if (per === undefined || animals === undefined) return { times: 1, because: [] }
  return { times: animals === null ? 1 : animals / per, because: [{ fact: 'headCount', animals, per }] }
}

function pieces([low, high]: readonly [number, number], times: number): readonly [number, number] {
  return [Math.max(1, Math.round(low * times)), Math.max(1, Math.round(high * times))]
}

/** Grams of the next portion: less when more than a tenth was left after a day, more when two in a
 * row were cleared, within the plan's bounds for so many animals. */
export function nextPortion(
  rule: Extract<AmountRule, { by: 'portion' }>,
  line: FeedLine | undefined,
  times = 1,
): { grams: number; because: Reason[] } {
  const clamp = (grams: number) => Math.min(rule.max * times, Math.max(rule.min * times, grams))
  const portion = line && portionOf(line)
  if (!rule.followsLeftovers || !portion) return { grams: clamp(rule.grams * times), because: [] }
  const { grams, cleared, leftFraction } = portion
  if (leftFraction !== null && leftFraction > TOO_MUCH_LEFT) {
    return { grams: clamp(grams * SHRINK), because: [{ fact: 'leftovers', fraction: leftFraction, grams }] }
  }
  if (cleared >= CLEARED_TO_GROW) {
    return { grams: clamp(grams * GROW), because: [{ fact: 'cleared', inRow: cleared, grams }] }
  }
  return { grams: clamp(grams), because: [] }
}

function byMass(
  rule: Extract<AmountRule, { by: 'massShare' }>,
  sizes: readonly FoodSize[],
  { weight }: Eater,
): MealAmount {
  const count = [rule.count, rule.count] as const
  if (!weight) return { ...smallestOf(sizes, 'grams'), count, because: [{ fact: 'noWeight' }] }
  const grams = [rule.share[0] * weight.grams, rule.share[1] * weight.grams] as const
  const because = [weightFact(weight)]
  const chosen = largestWithin(sizes, 'grams', grams[1] / rule.count)
  return chosen && 'tooLarge' in chosen ? { ...chosen, grams, because } : { ...chosen, count, grams, because }
}

function byWidth(
  rule: Extract<AmountRule, { by: 'width' }>,
  sizes: readonly FoodSize[],
  eater: Eater,
): MealAmount {
  const { times, because } = timesFor(rule.per, eater)
  const count = pieces(rule.count, times)
  const { part, factor } = rule
  const measured = eater.sizes[part]
  if (!measured)
    return { ...smallestOf(sizes, 'widthMm'), count, because: [...because, { fact: 'noSize', part }] }
  const chosen = largestWithin(sizes, 'widthMm', measured.mm * factor)
  const facts: Reason[] = [...because, { fact: 'size', part, mm: measured.mm, day: measured.day }]
  return chosen && 'tooLarge' in chosen ? { ...chosen, because: facts } : { ...chosen, count, because: facts }
}

/** Whether a rule chooses by size, and may find that there is none. */
export function canBeTooLarge({ by }: AmountRule): boolean {
  return by === 'massShare' || by === 'width'
}

function amountBy(rule: AmountRule, sizes: readonly FoodSize[], eater: Eater): MealAmount {
  switch (rule.by) {
    case 'count': {
      const { times, because } = timesFor(rule.per, eater)
      const size = sizes[0]?.size
      return { ...(size !== undefined && { size }), count: pieces(rule.count, times), because }
    }
    case 'massShare':
      return byMass(rule, sizes, eater)
    case 'width':
      return byWidth(rule, sizes, eater)
    case 'portion': {
      const { times, because } = timesFor(rule.per, eater)
      const { grams, because: follows } = nextPortion(rule, eater.line, times)
      return { grams: [grams, grams], because: [...because, ...follows] }
    }
  }
}

/** How much of a food, in which size, under an amount rule. Where even the smallest is above what the animal
 * may be given, it says so and names no size. */
export function mealAmount(rule: AmountRule, sizes: readonly FoodSize[], eater: Eater): MealAmount {
  const amount = amountBy(rule, sizes, eater)
  return { ...amount, because: [...amount.because, { rule: 'amount', amount: rule }] }
}
