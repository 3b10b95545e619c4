import * as z from 'zod/mini'
import { GrowthModel } from '../judging/growthCurve/curves.ts'
import type { GrowthFit } from '../judging/growthCurve/growthFit.ts'
import { bandOn, bestGrowthFit, growthFit, reachedBy } from '../judging/growthCurve/growthFit.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal, writable } from './computation.ts'

const Input = z.strictObject({
  model: z.union([GrowthModel, z.literal('best')]),
  points: z.array(z.strictObject({ day: z.number(), value: z.number() })),
  target: z.optional(z.number()).check(z.describe('A value whose day is wanted.')),
  ask: z._default(z.array(z.number()), []).check(z.describe('Days on which the curve is wanted.')),
})

const Fit = {
  A: z.number(),
  k: z.number(),
  t0: z.number(),
  se: z.strictObject({ A: z.number(), k: z.number(), t0: z.number() }),
  rss: z.number(),
  aicc: z.nullable(z.number()),
}

const Output = z.union([
  z.strictObject({
    model: GrowthModel,
    ...Fit,
    /** Every accepted model and how much worse its AICc is, where the best was asked for. */
    accepted: z.optional(z.array(z.strictObject({ model: GrowthModel, ...Fit, delta: z.number() }))),
    undecided: z.optional(z.boolean()),
    curve: z.array(z.strictObject({ day: z.number(), value: z.number(), lo: z.number(), hi: z.number() })),
    reached: z.nullable(z.strictObject({ day: z.number(), lo: z.number(), hi: z.number() })),
  }),
  Refusal,
])

function sayFit({ model, A, k, t0, se, rss, aicc }: GrowthFit) {
  return { model, A, k, t0, se, rss, aicc }
}

function run({ model, points, target, ask }: z.output<typeof Input>): z.input<typeof Output> {
  const about = (fit: GrowthFit) => ({
    ...sayFit(fit),
    curve: ask.map((day) => bandOn(fit, day)),
    reached: target === undefined ? null : reachedBy(fit, target),
  })
  if (model === 'best') {
    const answer = bestGrowthFit(points)
    if ('refused' in answer) return refusal(answer.refused)
    const accepted = answer.accepted.map(({ fit, delta }) => ({ ...sayFit(fit), delta }))
    return writable({ ...about(answer.best), accepted, undecided: answer.undecided })
  }
  const answer = growthFit(model, points)
  return 'refused' in answer ? refusal(answer.refused) : writable(about(answer.fit))
}

export const growthFitComputation: Computation<typeof Input, typeof Output> = {
  name: 'growth-fit',
  about: 'A growth curve through sizes or weights by least squares, with its errors, or why there is none.',
  input: Input,
  output: Output,
  run,
}
