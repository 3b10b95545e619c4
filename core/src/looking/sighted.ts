import { z } from 'zod'
import { WRITERS } from '../people/role.ts'
import { residentKind, seenBy, withDone } from '../residents/residentKind.ts'
import { duty } from '../subjects/values.ts'

/** Somebody looked for it. */
export const sighted = residentKind({
  payload: z.strictObject({ duty, seen: z.boolean() }),
  recordedBy: WRITERS,
  fold(state, fact) {
    const looked = withDone(state, fact.payload.duty ?? 'look', fact)
    if (fact.payload.seen) return seenBy(looked, fact)
    return { ...looked, sight: { ...looked.sight, searches: looked.sight.searches + 1 } }
  },
})
