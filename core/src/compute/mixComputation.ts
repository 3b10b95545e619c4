import { z } from 'zod'
import { withUsual } from '../calculators/mix/materials.ts'
import type { MixPart } from '../calculators/mix/mix.ts'
import { mix } from '../calculators/mix/mix.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const size = z.number().positive()

const Input = z.strictObject({
  lengthMm: size,
  widthMm: size,
  depthMm: z.number().nonnegative(),
  deepMm: z.number().nonnegative().optional().describe('Depth at the deep end of a slope.'),
  settling: z.number().min(0).lt(1).default(0),
  parts: z
    .array(
      z.strictObject({
        material: z.string(),
        parts: size,
        kgPerLitre: z.number().nonnegative().optional(),
        waterPerLitre: z.number().nonnegative().optional(),
        swelling: size.optional(),
        packLitres: size.optional(),
      }),
    )
    .min(1),
  otherKg: z.number().nonnegative().default(0),
  shelfLimitKg: size.optional(),
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
        packs: z.number().nullable(),
        dryKg: z.number(),
        waterLitres: z.number(),
      }),
    ),
    waterLitres: z.number(),
    dryKg: z.number(),
    wetKg: z.number(),
    shelf: z.strictObject({ loadKg: z.number(), limitKg: z.number(), holds: z.boolean() }).nullable(),
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
