import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { residentKind, seenBy, withDone } from '../residents/residentKind.ts'
import { duty } from '../subjects/values.ts'

/** Somebody looked for it. */
export const looked = residentKind({
  payload: z.strictObject({ duty, seen: z.boolean() }),
  recordedBy: WRITERS,
  fold(state, fact) {
    const after = withDone(state, fact.payload.duty ?? 'look', fact)
    if (fact.payload.seen) return seenBy(after, fact)
    return { ...after, looking: { ...after.looking, searches: after.looking.searches + 1 } }
  },
})
