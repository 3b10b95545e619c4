import { Build } from '@kobrin/core'
import { z } from 'zod'

const mm = z.int().min(10).max(20_000)

/** Somebody new: expected, so that the place is made ready first, or here already. */
export const NewResident = z.strictObject({
  id: z.uuid(),
  name: z.string().trim().min(1).max(80),
  sheet: z.string().min(1).max(60),
  stage: z.string().min(1).max(40),
  count: z.int().positive().max(1_000_000).nullable(),
  sex: z.enum(['male', 'female', 'unknown']),
  hatchedOn: z.int().nullable(),
  enclosure: z.uuid(),
  comes: z.enum(['expected', 'arrived']),
  from: z.string().trim().max(400).optional(),
})
export type NewResident = z.infer<typeof NewResident>

/** How an enclosure is built and fitted out. */
export const KeepEnclosure = z.strictObject({
  widthMm: mm,
  depthMm: mm,
  heightMm: mm,
  build: Build,
})
export type KeepEnclosure = z.infer<typeof KeepEnclosure>
