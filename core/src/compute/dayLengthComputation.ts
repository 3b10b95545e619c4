import * as z from 'zod/mini'
import { dayLengthPlan, hoursOn, switching } from '../calculators/dayLength/dayLength.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const hours = z.number().check(z.minimum(0), z.maximum(24))

const Input = z.strictObject({
  startDay: z.number(),
  summerHours: hours,
  winterHours: hours,
  stepHours: z.number().check(z.positive()),
  everyDays: z.number().check(z.positive()),
  restDays: z._default(z.number().check(z.nonnegative()), 0),
  fastDays: z._default(z.number().check(z.nonnegative()), 14),
  feedAfterDays: z._default(z.number().check(z.nonnegative()), 7),
  middleMinute: z
    ._default(z.number().check(z.minimum(0), z.maximum(1440)), 780)
    .check(z.describe('Wall-clock middle of the light.')),
  ask: z
    ._default(z.array(z.number()), [])
    .check(z.describe('Days for which the switching times are wanted.')),
})

const Output = z.union([
  z.strictObject({
    steps: z.array(
      z.strictObject({
        day: z.number(),
        hours: z.number(),
        phase: z.enum(['fast', 'shortening', 'rest', 'lengthening', 'awake']),
      }),
    ),
    lastMealBefore: z.number(),
    coolFrom: z.number(),
    warmFrom: z.number(),
    feedFrom: z.number(),
    on: z.array(
      z.strictObject({ day: z.number(), hours: z.number(), onMinute: z.number(), offMinute: z.number() }),
    ),
  }),
  Refusal,
])

function run({ middleMinute, ask, ...input }: z.output<typeof Input>): z.input<typeof Output> {
  const plan = dayLengthPlan(input)
  if (!plan) return refusal({ code: 'winterNotShorter' })
  return {
    ...plan,
    on: ask.map((day) => {
      const burns = hoursOn(plan, day, input.summerHours)
      const { on, off } = switching(burns, middleMinute)
      return { day, hours: burns, onMinute: on, offMinute: off }
    }),
  }
}

export const dayLengthComputation: Computation<typeof Input, typeof Output> = {
  name: 'day-length',
  about:
    'Day length stepped down to a winter rest and up again, with the fast before and the first meal after.',
  input: Input,
  output: Output,
  run,
}
