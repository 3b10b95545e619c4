import { z } from 'zod'

/** How every error is answered. */
export const Problem = z.strictObject({
  code: z.string(),
  message: z.string(),
  field: z.string().optional(),
})
export type Problem = z.infer<typeof Problem>
