import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'
import { shortened } from './notes.ts'

/** A note for the next shift, or one that only belongs on the record. */
export const noted = residentKind({
  payload: z.strictObject({
    text,
    forRecord: z
      .optional(z.literal(true))
      .check(z.describe('Nobody on the next shift has to read it: it was written down long ago.')),
  }),
  recordedBy: WRITERS,
  fold: (state, fact) =>
    fact.payload.forRecord
      ? state
      : {
          ...state,
          notes: shortened([...state.notes, { ...markOf(fact), text: fact.payload.text, answered: null }]),
        },
})
