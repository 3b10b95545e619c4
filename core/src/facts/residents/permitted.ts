import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { Permit } from './identity.ts'
import { residentKind } from './residentKind.ts'

/** It is kept under a licence, for longer than before, or no more. */
export const permitted = residentKind({
  payload: z.strictObject({ ...Permit.shape, withdrawn: z.optional(z.literal(true)) }),
  recordedBy: KEEPERS,
  fold(state, { payload: { withdrawn, ...permit } }) {
    const others = (state.identity?.permits ?? []).filter(({ number }) => number !== permit.number)
    return { ...state, identity: { ...state.identity, permits: withdrawn ? others : [...others, permit] } }
  },
})
