import { z } from 'zod'

/** A computation that answers JSON with JSON. */
export interface Computation<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> {
  name: string
  about: string
  input: I
  output: O
  run: (input: z.output<I>) => z.input<O>
}

/** An answer instead of a result, where the question has none. */
export const Refusal = z.strictObject({ refused: z.literal(true), reason: z.string() })
export type Refused = z.infer<typeof Refusal>
