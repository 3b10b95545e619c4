import { Barrier } from '@kobrin/core'
import { z } from 'zod'
import { Mm } from './keepEnclosure.ts'

const name = z.string().trim().min(1, 'A name is needed.').max(80)

/** A room as it is written down; rooms are walked in their order. */
export const KeepRoom = z.strictObject({
  name,
  barrier: Barrier,
  /** Its air through the year, coolest and warmest, °C. */
  celsius: z
    .tuple([z.number().min(-30).max(60), z.number().min(-30).max(60)])
    .refine(([coolest, warmest]) => coolest <= warmest, 'The coolest is not warmer than the warmest.')
    .nullable(),
})
export type KeepRoom = z.infer<typeof KeepRoom>

/** Where in its row something goes, counted from 0. */
export const PutAt = z.strictObject({ at: z.int().min(0).max(10_000) })

export const NewBay = z.strictObject({ name })
export type NewBay = z.infer<typeof NewBay>

/** A bay as it shall stand: shelves from the top, boxes from the left. Whoever sends it says which version it was
 * made from: nobody's work is written over unseen. */
export const KeepBay = z.strictObject({
  name,
  barrier: Barrier.nullable(),
  widthMm: Mm.nullable(),
  shelves: z
    .array(z.array(z.strictObject({ id: z.uuid(), widthMm: Mm, depthMm: Mm, heightMm: Mm })).max(200))
    .max(60),
  version: z.int(),
})
export type KeepBay = z.infer<typeof KeepBay>
