import { z } from 'zod'
import { Build } from '../enclosure/build.ts'
import { BodyPart } from '../growth/growthState.ts'
import { HoldKind } from '../holds/holdKind.ts'
import { Severity } from '../health/severity.ts'
import { fit, isFit } from '../fit/fit.ts'
import { Source } from '../plan/source.ts'
import { ZoneTarget } from '../sheet/climate.ts'
import { Housing, Light } from '../sheet/housing.ts'
import { anyRange } from '../sheet/range.ts'
import type { Computation } from './computation.ts'

const mm = z.number().positive()

const Input = z.strictObject({
  box: z.strictObject({ widthMm: mm, depthMm: mm, heightMm: mm }),
  build: Build.prefault({}),
  tenant: z
    .strictObject({ sizes: z.partialRecord(BodyPart, mm).default({}), count: z.int().positive().default(1) })
    .prefault({}),
  housing: Housing.optional(),
  light: Light.optional(),
  targets: z.array(ZoneTarget).default([]),
  coolLoving: z.boolean().default(false),
  holds: z.array(HoldKind).default([]),
  roomCelsius: anyRange.optional(),
  day: z.number(),
})

const Output = z.strictObject({
  fits: z.boolean(),
  findings: z.array(
    z.strictObject({
      code: z.string(),
      severity: Severity,
      needs: z.number().optional(),
      has: z.number().nullable().optional(),
      part: BodyPart.optional(),
      times: z.number().optional(),
      until: z.number().optional(),
      what: z.string().optional(),
      source: Source.optional(),
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
