import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { about, count } from '../subjects/values.ts'
import { withCount } from './withCount.ts'

export const counted = residentKind({
  payload: z.strictObject({ count, expected: z.optional(count), about }),
  recordedBy: KEEPERS,
  fold: (state, fact) => withCount(state, fact, fact.payload),
})
