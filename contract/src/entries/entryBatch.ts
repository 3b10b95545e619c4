import { PostedEntry } from '@kobrin/core'
import * as z from 'zod/mini'
import { BATCH_LIMIT, proofs, Unreadable } from './posting.ts'

/** What may be posted, with all that an entry may say: for the server, and for anyone who reads about the interface. */
export const EntryBatch = z.strictObject({
  entries: z.array(z.union([PostedEntry, Unreadable])).check(z.minLength(1), z.maxLength(BATCH_LIMIT)),
  proofs,
})
