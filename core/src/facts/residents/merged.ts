import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { text, Uid } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'
import { withEnd } from './withoutSome.ts'

/** It lives on with others, under their name: what is done for them is done for it. */
export const merged = residentKind({
  payload: z.strictObject({ into: Uid, why: z.optional(text) }),
  recordedBy: KEEPERS,
  touches: ({ into }) => [{ family: 'resident', subject: into, how: 'mergedInto' }],
  fold: (state, fact) => withEnd(state, fact, { how: 'merged' }),
})
