import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { confirmed, duty } from '../subjects/values.ts'

/** Fresh water in the bowl. */
export const watered = residentKind({
  payload: z.strictObject({
    duty,
    litres: z.optional(z.number().check(z.positive(), z.maximum(1000))),
    confirmed,
  }),
  recordedBy: HANDS,
  fold: (state, fact) => withDone(state, fact.payload.duty ?? 'water', fact),
})
