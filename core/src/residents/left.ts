import { z } from 'zod'
import { KEEPERS } from '../people/role.ts'
import { text } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'
import { withoutSome } from './withoutSome.ts'

/** It left the house, rehomed or given back, or so many of a colony did. */
export const left = residentKind({
  payload: z.strictObject({
    count: z.int().positive().max(1_000_000).optional(),
    to: text,
    why: text.optional(),
  }),
  recordedBy: KEEPERS,
  fold: (state, fact) => withoutSome(state, fact, 'left', fact.payload.count),
})
