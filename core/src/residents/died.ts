import { z } from 'zod'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { text } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'
import { withoutSome } from './withoutSome.ts'

/** It died, or so many of a colony did. */
export const died = residentKind({
  payload: z.strictObject({ count: z.int().positive().max(1_000_000).optional(), why: text.optional() }),
  recordedBy: KEEPERS_AND_VET,
  fold: (state, fact) => withoutSome(state, fact, 'died', fact.payload.count),
})
