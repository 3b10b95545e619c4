import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { duty } from '../subjects/values.ts'

/** Somebody looked for it. */
export const looked = residentKind({
  payload: z.strictObject({ duty, seen: z.boolean() }),
  recordedBy: WRITERS,
  fold(state, fact) {
    const after = withDone(state, fact.payload.duty ?? 'look', fact)
    const { looking } = state
    if (fact.payload.seen || (looking.seenOn !== null && fact.day < looking.seenOn)) return after
    return { ...after, looking: { ...looking, searches: looking.searches + 1 } }
  },
})
