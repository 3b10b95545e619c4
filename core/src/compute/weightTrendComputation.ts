import * as z from 'zod/mini'
import { weightTrend } from '../judging/weightTrend/weightTrend.ts'
import { Weighing } from '../plans/growth/weighing.ts'
import type { Computation } from './computation.ts'
import { Refusal, writable } from './computation.ts'

const Input = z.strictObject({
  readings: z.array(z.strictObject({ day: z.number(), grams: z.number() })),
  ...Weighing.shape,
})

const orNull = z.nullable(z.number())
const Output = z.union([
  z.strictObject({
    level: orNull,
    slope: orNull,
    levelVar: orNull,
    slopeVar: orNull,
    smoothed: z.array(z.strictObject({ day: z.number(), level: z.number(), levelVar: z.number() })),
    logLik: orNull,
  }),
  Refusal,
])

function run({ readings, r, q }: z.output<typeof Input>): z.input<typeof Output> {
  const logged = readings
    .filter(({ grams }) => grams > 0)
    .map(({ day, grams }) => ({ day, y: Math.log(grams) }))
    .sort((a, b) => a.day - b.day)
  const { days, ...trend } = weightTrend(logged, { r, q })
  const onDay = new Map(days.map((one) => [one.day, one]))
  return writable({ ...trend, smoothed: logged.flatMap(({ day }) => onDay.get(day) ?? []) })
}

export const weightTrendComputation: Computation<typeof Input, typeof Output> = {
  name: 'weight-trend',
  about: 'Level and slope of ln weight by a local linear trend, filtered and smoothed.',
  input: Input,
  output: Output,
  run,
}
