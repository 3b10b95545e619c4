import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { duty } from '../subjects/values.ts'

export const checked = residentKind({
  payload: z.strictObject({ duty }),
  recordedBy: HANDS,
  fold: (state, fact) => withDone(state, fact.payload.duty ?? 'check', fact),
})
