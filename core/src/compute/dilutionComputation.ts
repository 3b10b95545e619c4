import * as z from 'zod/mini'
import { dilution } from '../calculators/dilution/dilution.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const percent = z.number().check(z.minimum(0), z.maximum(100))
const amount = z.number().check(z.positive())

const Input = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('parts'),
    parts: z.array(z.number().check(z.nonnegative())).check(z.minLength(1)),
    totalMl: amount,
  }),
  z.strictObject({
    by: z.literal('percent'),
    stockPercent: percent,
    targetPercent: percent,
    totalMl: amount,
  }),
  z.strictObject({
    by: z.literal('solution'),
    percent,
    per: z.enum(['weight', 'volume']),
    total: amount,
  }),
])

const Output = z.union([
  z.strictObject({ by: z.literal('parts'), ml: z.array(z.number()) }),
  z.strictObject({ by: z.literal('percent'), stockMl: z.number(), waterMl: z.number() }),
  z.strictObject({
    by: z.literal('solution'),
    soluteGrams: z.number(),
    water: z.number(),
    waterUnit: z.enum(['g', 'mlUpTo']),
  }),
  Refusal,
])

export const dilutionComputation: Computation<typeof Input, typeof Output> = {
  name: 'dilution',
  about: 'Parts to millilitres, a stock thinned to a percentage, or a solid dissolved to one.',
  input: Input,
  output: Output,
  run: (input) => dilution(input) ?? refusal({ code: 'noSuchDilution' }),
}
