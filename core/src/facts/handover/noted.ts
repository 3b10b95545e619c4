import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'
import { shortened } from './notes.ts'

/** A note for the next shift. */
export const noted = residentKind({
  payload: z.strictObject({ text }),
  recordedBy: WRITERS,
  fold: (state, fact) => ({
    ...state,
    notes: shortened([...state.notes, { ...markOf(fact), text: fact.payload.text, answered: null }]),
  }),
})
