import * as z from 'zod/mini'
import { DroppingsKind } from './healthState.ts'

/** A fact of the record that shows a sign of ill health, so that nobody has to notice it twice. */
export const ShownBy = z.discriminatedUnion('fact', [
  z.strictObject({ fact: z.literal('droppings'), kind: DroppingsKind }),
  z
    .strictObject({
      fact: z.literal('loss'),
      share: z.number().check(z.positive(), z.maximum(0.5)),
      days: z.int().check(z.positive()),
    })
    .check(z.describe('Of the highest weight of so many days.')),
  z
    .strictObject({
      fact: z.literal('deaths'),
      days: z.int().check(z.positive(), z.maximum(60)),
      least: z.int().check(z.positive()),
      /** Of those that lived, where they are counted. */
      share: z.number().check(z.positive(), z.maximum(1)),
    })
    .check(z.describe('So many of a colony dead within so many days.')),
])
export type ShownBy = z.infer<typeof ShownBy>
