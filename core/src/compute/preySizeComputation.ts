import { z } from 'zod'
import { BodyPart } from '../growth/growthState.ts'
import { AmountRule, FoodSize } from '../plan/duty.ts'
import { TooLarge } from '../feeding/mealAmount.ts'
import { preySize } from '../preySize/preySize.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const Input = z.strictObject({
  amount: AmountRule,
  sizes: z.array(FoodSize).min(1),
  grams: z.number().positive().optional().describe('Of the animal.'),
  animals: z.int().positive().optional().describe('In the group.'),
  measured: z.partialRecord(BodyPart, z.number().positive()).default({}).describe('mm by part.'),
})

const pair = z.tuple([z.number(), z.number()])
const Output = z.union([
  z.strictObject({
    /** Null also where even the smallest is too large. */
    size: z.string().nullable(),
    count: pair.nullable(),
    grams: pair.nullable(),
    /** Widest prey the rule allows, mm. */
    widestMm: z.number().nullable(),
    tooLarge: TooLarge.nullable(),
  }),
  Refusal,
])

function run({ amount, sizes, grams, animals, measured }: z.output<typeof Input>): z.input<typeof Output> {
  const part = amount.by === 'width' ? amount.part : null
  if (part && measured[part] === undefined) return refusal({ code: 'unmeasured', part })
  if (amount.by === 'massShare' && grams === undefined) return refusal({ code: 'unweighed' })
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
