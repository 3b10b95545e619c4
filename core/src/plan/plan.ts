import { z } from 'zod'
import { Duty } from './duty.ts'
import { HoldRule } from './holdRule.ts'

/** Targets of one zone, °C and % relative humidity. */
export const ZoneTarget = z.strictObject({
  zone: z.string(),
  celsius: z.tuple([z.number(), z.number()]).optional(),
  nightCelsius: z.tuple([z.number(), z.number()]).optional(),
  humidity: z.tuple([z.number(), z.number()]).optional(),
  ceilingCelsius: z.number().optional(),
})
export type ZoneTarget = z.infer<typeof ZoneTarget>

/** What a sheet, a stage, schools and overrides resolve to for one resident. */
export const Plan = z.strictObject({
  sheet: z.string(),
  stage: z.string(),
  duties: z.array(Duty),
  holds: z.array(HoldRule),
  targets: z.array(ZoneTarget).default([]),
  cautions: z.array(z.string()).default([]),
  /** Noise of a weighing as the standard deviation of ln grams (gut fill and scale), and the
   * wandering of its growth rate: `r` and `q` of the weight trend. */
  weighing: z.strictObject({ r: z.number().positive(), q: z.number().nonnegative() }),
  /** Refusals in a row that are a worry when nothing explains them. */
  refusalsToWorry: z.int().positive().default(3),
  /** Days without a sighting after which somebody should look; none for those that hide for months. */
  unseenToWorry: z.int().positive().optional(),
})
export type Plan = z.infer<typeof Plan>
