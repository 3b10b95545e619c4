import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { text } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'
import { withoutSome } from './withoutSome.ts'

/** It left the house, rehomed or given back, or so many of a colony did. */
export const left = residentKind({
  payload: z.strictObject({
    count: z.optional(z.int().check(z.positive(), z.maximum(1_000_000))),
    to: text,
    why: z.optional(text),
  }),
  recordedBy: KEEPERS,
  fold: (state, fact) => withoutSome(state, fact, 'left', fact.payload.count),
})
