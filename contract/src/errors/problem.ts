import * as z from 'zod/mini'

/** How every error is answered. */
export const Problem = z.strictObject({
  code: z.string(),
  message: z.string(),
  field: z.optional(z.string()),
})
export type Problem = z.infer<typeof Problem>
