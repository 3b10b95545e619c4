import * as z from 'zod/mini'

/** That the person who signed an entry was at work when it was made: which sign-in, and the entry stamped
 * with that sign-in's key. A colleague who takes the tablet over can send it, but not make another. */
export const Proof = z.strictObject({ shift: z.uuid(), mac: z.string().check(z.regex(/^[0-9a-f]{64}$/)) })
export type Proof = z.infer<typeof Proof>

/** What is stamped of a posted entry: every part of it that says anything. */
export function provenText(entry: {
  uid: string
  subject?: unknown
  kind?: unknown
  occurredAt?: unknown
  author?: unknown
  act?: unknown
  payload?: unknown
  writtenAt?: unknown
}): string {
  const { uid, subject, kind, occurredAt, author, act = null, payload, writtenAt } = entry
  const later = writtenAt === undefined ? [] : [writtenAt]
  return JSON.stringify([uid, subject, kind, occurredAt, author, act, payload, ...later])
}
