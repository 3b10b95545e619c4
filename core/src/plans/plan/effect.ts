import * as z from 'zod/mini'

/** What a duty does to the animal. */
export const Effect = z.enum(['handling', 'bathing', 'opening', 'feeding', 'lighting'])
export type Effect = z.infer<typeof Effect>
