import * as z from 'zod/mini'

/** 0 founding and newborn, 1 general, 2 quarantine and sick, 3 outbreak. */
export const Barrier = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)])
export type Barrier = z.infer<typeof Barrier>

/** Where a resident stands, with the walking order of its room and bay. */
export const Place = z.strictObject({
  room: z.string(),
  roomOrder: z.number(),
  bay: z.string(),
  bayOrder: z.number(),
  row: z.number(),
  column: z.number(),
  barrier: Barrier,
})
export type Place = z.infer<typeof Place>
