import { Barrier } from '@kobrin/core'
import * as z from 'zod/mini'
import { Mm } from './keepEnclosure.ts'

const name = z.string().check(z.trim(), z.minLength(1, 'A name is needed.'), z.maxLength(80))

/** A room as it is written down; rooms are walked in their order. */
export const KeepRoom = z.strictObject({
  name,
  barrier: Barrier,
  /** Its air through the year, coolest and warmest, °C. */
  celsius: z.nullable(
    z
      .tuple([
        z.number().check(z.minimum(-30), z.maximum(60)),
        z.number().check(z.minimum(-30), z.maximum(60)),
      ])
      .check(
        z.refine(([coolest, warmest]) => coolest <= warmest, 'The coolest is not warmer than the warmest.'),
      ),
  ),
})
export type KeepRoom = z.infer<typeof KeepRoom>

/** Where in its row something goes, counted from 0. */
export const PutAt = z.strictObject({ at: z.int().check(z.minimum(0), z.maximum(10_000)) })

export const NewBay = z.strictObject({ name })
export type NewBay = z.infer<typeof NewBay>

const standing = {
  name,
  barrier: z.nullable(Barrier),
  widthMm: z.nullable(Mm),
  shelves: z
    .array(
      z
        .array(z.strictObject({ id: z.uuid(), widthMm: Mm, depthMm: Mm, heightMm: Mm }))
        .check(z.maxLength(200)),
    )
    .check(z.maxLength(60)),
}

/** A bay as it shall stand: shelves from the top, boxes from the left. Anyone who sends it says which version it was
 * made from: nobody's work is written over unseen. */
export const KeepBay = z.strictObject({ ...standing, version: z.int() })
export type KeepBay = z.infer<typeof KeepBay>

/** A bay as it stood once, until somebody refurnished it. */
export const PastBay = z.strictObject({
  version: z.int(),
  until: z.string(),
  by: z.nullable(z.uuid()),
  layout: z.strictObject(standing),
})
export type PastBay = z.infer<typeof PastBay>
