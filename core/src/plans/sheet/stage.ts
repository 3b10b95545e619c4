import * as z from 'zod/mini'
import { SheetDuty } from '../plan/duty.ts'
import { Plausible } from '../plausible/plausible.ts'
import { ZoneTarget } from './climate.ts'
import { Housing } from './housing.ts'

/** What moves a resident on to the next stage; the first that holds. */
export const StageEnd = z.strictObject({
  ageDays: z.optional(z.number().check(z.positive())),
  grams: z.optional(z.number().check(z.positive())),
  lengthMm: z.optional(z.number().check(z.positive())),
  legSpanMm: z.optional(z.number().check(z.positive())),
  instar: z.optional(z.int().check(z.positive())).check(z.describe('Molts counted since it hatched.')),
  workers: z.optional(z.number().check(z.positive())).check(z.describe('Animals in a colony.')),
  perLitre: z.optional(z.number().check(z.positive())).check(z.describe('Animals to a litre of enclosure.')),
})
export type StageEnd = z.infer<typeof StageEnd>

export const Stage = z.strictObject({
  id: z.string().check(z.minLength(1)),
  name: z.string().check(z.minLength(1)),
  until: z.optional(StageEnd),
  /** Refusals in a row, and days without a sighting, that are a worry at this stage, where it differs. */
  refusalsToWorry: z.optional(z.int().check(z.positive())),
  unseenToWorry: z.optional(z.int().check(z.positive())),
  /** What one animal of this stage can weigh and measure. */
  plausible: z.optional(Plausible),
  duties: z.array(SheetDuty).check(z.minLength(1)),
  /** Laid over the sheet's, zone by zone. */
  targets: z._default(z.array(ZoneTarget), []),
  /** Days from one test of the water to the next, where the young need it more often. */
  waterEvery: z.optional(z.int().check(z.positive())),
  /** Laid over the sheet's housing. */
  housing: z.optional(z.partial(Housing)),
})
export type Stage = z.infer<typeof Stage>
