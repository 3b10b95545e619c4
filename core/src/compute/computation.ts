import type { z } from 'zod'

/** A computation that answers JSON with JSON. */
export interface Computation<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> {
  name: string
  about: string
  input: I
  output: O
  run: (input: z.output<I>) => z.input<O>
}

/** An answer instead of a result, where the question has none. */
export interface Refused {
  refused: true
  reason: string
}
