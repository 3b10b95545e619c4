import * as z from 'zod/mini'
import type { Happening } from './kind.ts'

/** Who did something, and when. */
export const Mark = z.strictObject({ day: z.number(), at: z.string(), by: z.string(), uid: z.string() })
export type Mark = z.infer<typeof Mark>

export function markOf({ day, occurredAt, author, uid }: Happening): Mark {
  return { day, at: occurredAt, by: author, uid }
}
