import { z } from 'zod'

/** One thing that can be said in codes: which it is, and what it is about. */
export function coded<Code extends string, Shape extends z.ZodRawShape>(code: Code, shape: Shape) {
  return z.strictObject({ code: z.literal(code), ...shape })
}
