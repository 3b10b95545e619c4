import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { own } from '../subjects/own.ts'
import { duty } from '../subjects/values.ts'

/** Somebody looked for it. */
export const looked = residentKind({
  payload: z.strictObject({ duty, seen: z.boolean() }),
  recordedBy: WRITERS,
  fold(state, fact) {
    const { duty = 'look', seen } = fact.payload
    const after = withDone(state, duty, fact)
    const { looking } = state
    if (seen || (looking.seenOn !== null && fact.day < looking.seenOn)) return after
    // Looked for twice on one day, it was looked for on one day.
    const lastLook = own(state.done, duty)?.day
    if (looking.searches > 0 && lastLook === fact.day) return after
    return { ...after, looking: { ...looking, searches: looking.searches + 1 } }
  },
})
