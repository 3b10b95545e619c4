import { z } from 'zod'
import { Quantity } from './quantity.ts'

/** What is wanted of a quantity in water, and what harms. */
export const WaterLimit = z.strictObject({
  want: z.tuple([z.number().nonnegative(), z.number().nonnegative()]),
  harmAbove: z.number().nonnegative().optional(),
  harmBelow: z.number().nonnegative().optional(),
})
export type WaterLimit = z.infer<typeof WaterLimit>

const WaterQuantity = Quantity.extract(['ammonia', 'nitrite', 'nitrate', 'ph', 'chlorine'])
export const WATER_QUANTITIES = WaterQuantity.options

/** The water of whoever lives in it, mg/l and pH. */
export const Water = z.partialRecord(WaterQuantity, WaterLimit)
export type Water = z.infer<typeof Water>
