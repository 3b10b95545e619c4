import { z } from 'zod'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { confirmed, duty } from '../subjects/values.ts'

/** The floor, or one end of it, was wetted. */
export const dampened = residentKind({
  payload: z.strictObject({
    duty,
    litres: z.number().positive().max(1000).optional(),
    end: z.enum(['whole', 'dampEnd', 'dryEnd']).optional(),
    confirmed,
  }),
  recordedBy: HANDS,
  fold: (state, fact) => withDone(state, fact.payload.duty ?? 'dampen', fact),
})
