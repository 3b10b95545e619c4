import type * as z from 'zod/mini'
import { sayIssue } from '../words/issues.ts'

export type Errors = Record<string, { message: string }[]>

/** What a schema finds wrong with something, by where it is found: "build.layers.0.mm". */
export function checkAgainst(schema: z.ZodMiniType, value: unknown): Errors {
  const { success, error } = schema.safeParse(value, { error: sayIssue })
  const errors: Errors = {}
  if (success) return errors
  for (const { path, message } of error.issues) {
    const where = path.join('.')
    errors[where] = [...(errors[where] ?? []), { message }]
  }
  return errors
}
