import * as z from 'zod/mini'
import { Build } from '../facts/enclosures/build.ts'
import { BodyPart } from '../facts/growth/growthState.ts'
import { HoldKind } from '../facts/holds/holdKind.ts'
import { Severity } from '../facts/health/severity.ts'
import { fit, isFit } from '../judging/boxFit/fit.ts'
import { Source } from '../plans/plan/source.ts'
import { ZoneTarget } from '../plans/sheet/climate.ts'
import { Housing, Light } from '../plans/sheet/housing.ts'
import { anyRange } from '../basics/range.ts'
import type { Computation } from './computation.ts'

const mm = z.number().check(z.positive())

const Input = z.strictObject({
  box: z.strictObject({ widthMm: mm, depthMm: mm, heightMm: mm }),
  build: z.prefault(Build, {}),
  tenant: z.prefault(
    z.strictObject({
      sizes: z._default(z.partialRecord(BodyPart, mm), {}),
      count: z._default(z.int().check(z.positive()), 1),
      range: z
        .optional(z.tuple([z.number(), z.number()]))
        .check(z.describe('Between how many they are, where they were estimated.')),
    }),
    {},
  ),
  housing: z.optional(Housing),
  light: z.optional(Light),
  targets: z._default(z.array(ZoneTarget), []),
  coolLoving: z._default(z.boolean(), false),
  holds: z._default(z.array(HoldKind), []),
  roomCelsius: z.optional(anyRange),
  day: z.number(),
})

const Output = z.strictObject({
  fits: z.boolean(),
  findings: z.array(
    z.strictObject({
      code: z.string(),
      severity: Severity,
      needs: z.optional(z.number()),
      has: z.optional(z.nullable(z.number())),
      part: z.optional(BodyPart),
      times: z.optional(z.number()),
      until: z.optional(z.number()),
      what: z.optional(z.string()),
      source: z.optional(Source),
    }),
  ),
})

export const fitComputation: Computation<typeof Input, typeof Output> = {
  name: 'fit',
  about: 'An enclosure held against what a plan asks for.',
  input: Input,
  output: Output,
  run: (input) => {
    const findings = fit(input)
    return { fits: isFit(findings), findings }
  },
}
