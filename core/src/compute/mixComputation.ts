import * as z from 'zod/mini'
import { withUsual } from '../calculators/mix/materials.ts'
import type { MixPart } from '../calculators/mix/mix.ts'
import { mix } from '../calculators/mix/mix.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const size = z.number().check(z.positive())

const Input = z.strictObject({
  lengthMm: size,
  widthMm: size,
  depthMm: z.number().check(z.nonnegative()),
  deepMm: z
    .optional(z.number().check(z.nonnegative()))
    .check(z.describe('Depth at the deep end of a slope.')),
  settling: z._default(z.number().check(z.minimum(0), z.lt(1)), 0),
  parts: z
    .array(
      z.strictObject({
        material: z.string(),
        parts: size,
        kgPerLitre: z.optional(z.number().check(z.nonnegative())),
        waterPerLitre: z.optional(z.number().check(z.nonnegative())),
        swelling: z.optional(size),
        packLitres: z.optional(size),
      }),
    )
    .check(z.minLength(1)),
  otherKg: z._default(z.number().check(z.nonnegative()), 0),
  shelfLimitKg: z.optional(size),
})

const Output = z.union([
  z.strictObject({
    finishedLitres: z.number(),
    looseLitres: z.number(),
    items: z.array(
      z.strictObject({
        material: z.string(),
        litres: z.number(),
        soldLitres: z.number(),
        packs: z.nullable(z.number()),
        dryKg: z.number(),
        waterLitres: z.number(),
      }),
    ),
    waterLitres: z.number(),
    dryKg: z.number(),
    wetKg: z.number(),
    shelf: z.nullable(z.strictObject({ loadKg: z.number(), limitKg: z.number(), holds: z.boolean() })),
  }),
  Refusal,
])

function run({ parts, ...input }: z.output<typeof Input>): z.input<typeof Output> {
  const known: MixPart[] = []
  for (const part of parts) {
    const whole = withUsual(part)
    if (!whole) {
      const needs = ['kgPerLitre', 'waterPerLitre']
      return refusal({ code: 'materialUnknown', material: part.material, needs })
    }
    known.push(whole)
  }
  const made = mix({ ...input, parts: known })
  return made ?? refusal({ code: 'noDepth' })
}

export const mixComputation: Computation<typeof Input, typeof Output> = {
  name: 'mix',
  about: 'Litres, packs, water and weight of a floor mixed by parts.',
  input: Input,
  output: Output,
  run,
}
