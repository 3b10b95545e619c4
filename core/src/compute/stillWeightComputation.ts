import * as z from 'zod/mini'
import { stillWeight } from '../balance/stillWeight.ts'
import type { Computation } from './computation.ts'
import { Refusal, writable } from './computation.ts'

const Input = z.strictObject({
  readings: z.array(z.strictObject({ ms: z.number(), grams: z.number(), unstable: z.optional(z.boolean()) })),
  graduation: z.number().check(z.positive(), z.describe('The smallest step the balance shows, grams.')),
  tare: z._default(z.number(), 0).check(z.describe('Weight of a container that was not tared, grams.')),
  windowMs: z._default(z.number().check(z.positive()), 1500),
  holdMs: z._default(z.number().check(z.positive()), 1200),
})

const Output = z.union([
  z.strictObject({
    weight: z.nullable(
      z.strictObject({
        grams: z.number(),
        sd: z.number(),
        from: z.number(),
        to: z.number(),
        readings: z.number(),
      }),
    ),
    notYet: z.nullable(
      z.discriminatedUnion('code', [
        z.strictObject({ code: z.literal('nothing') }),
        z.strictObject({ code: z.literal('moving'), spread: z.number(), allowed: z.number() }),
        z.strictObject({ code: z.literal('settling'), ms: z.number(), needs: z.number() }),
      ]),
    ),
    now: z.nullable(z.number()),
    sureness: z.number(),
  }),
  Refusal,
])

function run({ readings, ...options }: z.output<typeof Input>): z.input<typeof Output> {
  return writable(stillWeight(readings, options))
}

export const stillWeightComputation: Computation<typeof Input, typeof Output> = {
  name: 'still-weight',
  about:
    'One weight with its uncertainty out of the readings of a balance on which an animal moves, or not yet.',
  input: Input,
  output: Output,
  run,
}
