import * as z from 'zod/mini'
import { BodyPart } from '../facts/growth/growthState.ts'
import { AmountRule, FoodSize } from '../plans/plan/duty.ts'
import { TooLarge } from '../judging/feeding/mealAmount.ts'
import { MOST_OF_ITSELF, preySize, tooMuchOfItself } from '../judging/preySize/preySize.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const Input = z.strictObject({
  amount: AmountRule,
  sizes: z.array(FoodSize).check(z.minLength(1)),
  grams: z.optional(z.number().check(z.positive())).check(z.describe('Of the animal.')),
  animals: z.optional(z.int().check(z.positive())).check(z.describe('In the group.')),
  measured: z
    ._default(z.partialRecord(BodyPart, z.number().check(z.positive())), {})
    .check(z.describe('mm by part.')),
})

const pair = z.tuple([z.number(), z.number()])
const Output = z.union([
  z.strictObject({
    /** Null also where even the smallest is too large. */
    size: z.nullable(z.string()),
    count: z.nullable(pair),
    grams: z.nullable(pair),
    /** Widest prey the rule allows, mm. */
    widestMm: z.nullable(z.number()),
    tooLarge: z.nullable(TooLarge),
  }),
  Refusal,
])

function run({ amount, sizes, grams, animals, measured }: z.output<typeof Input>): z.input<typeof Output> {
  const part = amount.by === 'width' ? amount.part : null
  if (part && measured[part] === undefined) return refusal({ code: 'unmeasured', part })
  if (amount.by === 'massShare' && grams === undefined) return refusal({ code: 'unweighed' })
  const share = tooMuchOfItself(amount)
  if (share !== null) return refusal({ code: 'noSuchShare', share, most: MOST_OF_ITSELF })
  const meal = preySize(amount, sizes, { grams, mm: measured, animals })
  return {
    size: meal.size ?? null,
    count: meal.count ? [...meal.count] : null,
    grams: meal.grams ? [...meal.grams] : null,
    widestMm: amount.by === 'width' ? amount.factor * (measured[amount.part] ?? 0) : null,
    tooLarge: meal.tooLarge ?? null,
  }
}

export const preySizeComputation: Computation<typeof Input, typeof Output> = {
  name: 'prey-size',
  about: 'Which size of prey and how many, by the widest part or by share of body weight.',
  input: Input,
  output: Output,
  run,
}
