import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { text } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'
import { withEnd } from './withoutSome.ts'

/** Nobody found it, and nobody looks for it any more. */
export const lost = residentKind({
  payload: z.strictObject({ why: text }),
  recordedBy: KEEPERS,
  fold: (state, fact) =>
    withEnd({ ...state, count: { ...state.count, shortfalls: [] } }, fact, { how: 'lost' }),
})
