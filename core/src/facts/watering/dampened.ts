import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { confirmed, duty } from '../subjects/values.ts'

/** The floor, or one end of it, was wetted. */
export const dampened = residentKind({
  payload: z.strictObject({
    duty,
    litres: z.optional(z.number().check(z.positive(), z.maximum(1000))),
    end: z.optional(z.enum(['whole', 'dampEnd', 'dryEnd'])),
    confirmed,
  }),
  recordedBy: HANDS,
  fold: (state, fact) => withDone(state, fact.payload.duty ?? 'dampen', fact),
})
