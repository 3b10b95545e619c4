import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { holdOfSign } from '../skin/holdOfSign.ts'
import { markOf } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'
import { HoldKind } from './holdKind.ts'

const PAST_KEPT = 12

/** Somebody lifted a hold, whoever or whatever had brought it about. A hold that rests on a sign of the
 * skin ends with the sign. */
export const released = residentKind({
  payload: z.strictObject({ hold: HoldKind, reason: z.optional(text) }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { hold } = fact.payload
    const { [hold]: ended, ...set } = state.holds.set
    const past = ended
      ? [...(state.holds.past ?? []), { hold, since: ended.since, until: fact.day }]
      : state.holds.past
    const lifted = { ...state.holds.lifted, [hold]: markOf(fact) }
    const { sign } = state.skin
    const rests = sign !== null && holdOfSign(sign.stage) === hold
    return {
      ...state,
      holds: { set, lifted, ...(past && { past: past.slice(-PAST_KEPT) }) },
      ...(rests && { skin: { ...state.skin, sign: null } }),
    }
  },
})
