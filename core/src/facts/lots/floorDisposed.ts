import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { markOf } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'
import { lotKind } from './lotState.ts'

/** Old floor was thrown away, after a last look. */
export const floorDisposed = lotKind({
  payload: z.strictObject({ why: z.optional(text) }),
  recordedBy: KEEPERS,
  fold: (state, fact) => ({ ...state, disposed: markOf(fact) }),
})
