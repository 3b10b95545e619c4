import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { confirmed, text } from '../subjects/values.ts'
import { HoldKind } from './holdKind.ts'
import { Day } from '../time/day.ts'

/** Somebody set a hold. */
export const held = residentKind({
  payload: z.strictObject({ hold: HoldKind, until: z.optional(Day), reason: text, confirmed }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, { day, author, uid, payload: { hold, until, reason } }) {
    const set = { since: day, until: until ?? null, reason, by: author, uid }
    return { ...state, holds: { ...state.holds, set: { ...state.holds.set, [hold]: set } } }
  },
})
