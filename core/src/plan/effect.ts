import { z } from 'zod'

/** What a duty does to the animal, besides what its kind says. */
export const Effect = z.enum(['handling', 'bathing', 'opening', 'feeding'])
export type Effect = z.infer<typeof Effect>
