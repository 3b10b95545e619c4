import { z } from 'zod'
import { SheetDuty } from '../plan/duty.ts'
import { Plausible } from '../plausible/plausible.ts'
import { ZoneTarget } from './climate.ts'
import { Housing } from './housing.ts'

/** What moves a resident on to the next stage; the first that holds. */
export const StageEnd = z.strictObject({
  ageDays: z.number().positive().optional(),
  grams: z.number().positive().optional(),
  lengthMm: z.number().positive().optional(),
  legSpanMm: z.number().positive().optional(),
  instar: z.int().positive().optional().describe('Molts counted since it hatched.'),
  workers: z.number().positive().optional().describe('Animals in a colony.'),
  perLitre: z.number().positive().optional().describe('Animals to a litre of enclosure.'),
})
export type StageEnd = z.infer<typeof StageEnd>

export const Stage = z.strictObject({
  id: z.string().min(1),
  name: z.string().min(1),
  until: StageEnd.optional(),
  /** What one animal of this stage can weigh and measure. */
  plausible: Plausible.optional(),
  duties: z.array(SheetDuty).min(1),
  /** Laid over the sheet's, zone by zone. */
  targets: z.array(ZoneTarget).default([]),
  /** Days from one test of the water to the next, where the young need it more often. */
  waterEvery: z.int().positive().optional(),
  /** Laid over the sheet's housing. */
  housing: Housing.partial().optional(),
})
export type Stage = z.infer<typeof Stage>
