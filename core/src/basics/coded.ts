import * as z from 'zod/mini'

/** One thing that can be said in codes: which it is, and what it is about. */
export function coded<Code extends string, Shape extends z.core.$ZodShape>(code: Code, shape: Shape) {
  return z.strictObject({ code: z.literal(code), ...shape })
}
