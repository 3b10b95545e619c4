import { z } from 'zod'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { confirmed, duty } from '../subjects/values.ts'

/** Fresh water in the bowl. */
export const watered = residentKind({
  payload: z.strictObject({ duty, litres: z.number().positive().max(1000).optional(), confirmed }),
  recordedBy: HANDS,
  fold: (state, fact) => withDone(state, fact.payload.duty ?? 'water', fact),
})
