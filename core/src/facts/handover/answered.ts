import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'
import { text, Uid } from '../subjects/values.ts'
import { shortened } from './notes.ts'

/** A note for the next shift was answered: it is not shown any more. */
export const answered = residentKind({
  payload: z.strictObject({
    note: Uid.check(z.describe('The entry by which it was noted.')),
    text: z.optional(text),
  }),
  recordedBy: WRITERS,
  since: 4,
  fold: (state, fact) => ({
    ...state,
    notes: shortened(
      state.notes.map((note) =>
        note.uid === fact.payload.note && note.answered === null ? { ...note, answered: markOf(fact) } : note,
      ),
    ),
  }),
})
