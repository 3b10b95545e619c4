import type { Entry } from '@kobrin/core'
import * as z from 'zod/mini'
import { Proof } from './proof.ts'

export const Unreadable = z
  .looseObject({ uid: z.string() })
  .check(z.describe('Answered with a refusal of its own.'))
export type Unreadable = z.infer<typeof Unreadable>

/** At most this many entries in one post. */
export const BATCH_LIMIT = 200

export const proofs = z
  .optional(
    z
      .record(z.string().check(z.maxLength(36)), Proof)
      .check(z.refine((record) => Object.keys(record).length <= BATCH_LIMIT, 'more proofs than entries')),
  )
  .check(z.describe('By the uid of an entry: that its author was at work, for what another person sends.'))

/** What has to be right for a batch to be looked at; each entry in it is then judged for itself. */
export const EntryEnvelope = z.strictObject({
  entries: z.array(Unreadable).check(z.minLength(1), z.maxLength(BATCH_LIMIT)),
  proofs,
})
export type EntryEnvelope = z.infer<typeof EntryEnvelope>

/** Where an entry was kept: a server's stream, and its place in it. */
const place = { stream: z.int(), seq: z.int() }

export const Receipt = z.discriminatedUnion('status', [
  z.strictObject({ uid: z.string(), status: z.literal('accepted'), ...place }),
  z.strictObject({ uid: z.string(), status: z.literal('refused'), code: z.string(), message: z.string() }),
])
export type Receipt = z.infer<typeof Receipt>

export const BatchAnswer = z.strictObject({ receipts: z.array(Receipt) })
export type BatchAnswer = z.infer<typeof BatchAnswer>

/** An entry as it was kept: its place in the feed, and when the server heard of it. */
export type KeptEntry = Entry & { stream: number; seq: number; recordedAt: string }

export const KeptEntry = z.looseObject({
  ...place,
  uid: z.string(),
  subject: z.string(),
  kind: z.string(),
  recordedAt: z.string(),
}) as unknown as z.ZodMiniType<KeptEntry>

export const KeptEntries = z.strictObject({ entries: z.array(KeptEntry) })
