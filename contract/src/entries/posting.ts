import type { Entry } from '@kobrin/core'
import { Amendment, Fact } from '@kobrin/core'
import { z } from 'zod'

/** The server derives the civil day from the moment and the site's zone. */
const facts = Fact.options.map((option) => option.omit({ day: true }))
const amendments = Amendment.options.map((option) => option.omit({ day: true }))

/** One entry as a browser posts it. */
export const PostedEntry = z.discriminatedUnion('kind', [
  ...facts,
  ...amendments,
] as unknown as typeof Fact.options) as unknown as z.ZodType<PostedEntry>
export type PostedEntry = Entry extends infer E ? (E extends Entry ? Omit<E, 'day'> : never) : never

const Unreadable = z.looseObject({ uid: z.string() }).describe('Answered with a refusal of its own.')
export type Unreadable = z.infer<typeof Unreadable>

/** At most this many entries in one post. */
export const BATCH_LIMIT = 200

export const EntryBatch = z.strictObject({
  entries: z
    .array(z.union([PostedEntry, Unreadable]))
    .min(1)
    .max(BATCH_LIMIT),
})

/** What has to be right for a batch to be looked at; each entry in it is then judged for itself. */
export const EntryEnvelope = z.strictObject({ entries: z.array(Unreadable).min(1).max(BATCH_LIMIT) })

export const Receipt = z.discriminatedUnion('status', [
  z.strictObject({ uid: z.string(), status: z.literal('accepted'), seq: z.int() }),
  z.strictObject({ uid: z.string(), status: z.literal('refused'), code: z.string(), message: z.string() }),
])
export type Receipt = z.infer<typeof Receipt>

export const BatchAnswer = z.strictObject({ receipts: z.array(Receipt) })
export type BatchAnswer = z.infer<typeof BatchAnswer>

/** An entry as it was kept: its place in the feed, and when the server heard of it. */
export const kept = { seq: z.int(), recordedAt: z.iso.datetime({ precision: 3 }) }
export type KeptEntry = Entry & { seq: number; recordedAt: string }

export const KeptEntries = z.strictObject({
  entries: z.array(z.looseObject({ ...kept, uid: z.uuid() })),
})
