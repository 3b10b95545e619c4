import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { holdOfSign } from '../skin/holdOfSign.ts'
import { signEnded } from '../skin/skinState.ts'
import { markOf } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'
import { HoldKind } from './holdKind.ts'
import { withEnded } from './saidHolds.ts'

/** Somebody lifted a hold, no matter what had brought it about. A hold that rests on a sign of the
 * skin ends with the sign. */
export const released = residentKind({
  payload: z.strictObject({ hold: HoldKind, reason: z.optional(text) }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { hold } = fact.payload
    const mark = markOf(fact)
    const { sign } = state.skin
    const rests = sign !== null && sign.at <= mark.at && holdOfSign(sign.stage) === hold
    const holds = withEnded(state.holds, [hold], mark)
    return {
      ...state,
      holds: { ...holds, lifted: { ...holds.lifted, [hold]: mark } },
      ...(rests && { skin: signEnded(state.skin, mark) }),
    }
  },
})
