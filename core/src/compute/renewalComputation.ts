import * as z from 'zod/mini'
import { IntervalPrior } from '../judging/renewal/nextInterval.ts'
import { renewalForecast } from '../judging/renewal/renewalForecast.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal, writable } from './computation.ts'

const Input = z.strictObject({
  intervals: z.array(z.number()),
  elapsed: z.number().check(z.nonnegative()),
  prior: IntervalPrior,
  horizon: z.number().check(z.nonnegative()),
})

const days = z.nullable(z.number())
const Output = z.union([
  z.strictObject({
    medianDays: days,
    lo80: days,
    hi80: days,
    pWithinHorizon: z.number(),
    surprise: z.number(),
  }),
  Refusal,
])

function run(input: z.output<typeof Input>): z.input<typeof Output> {
  const forecast = renewalForecast(input)
  return forecast ? writable(forecast) : refusal({ code: 'noDistribution' })
}

export const renewalComputation: Computation<typeof Input, typeof Output> = {
  name: 'renewal-forecast',
  about: 'When the next shed or molt is due, from the intervals before and what is expected of its kind.',
  input: Input,
  output: Output,
  run,
}
