import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { confirmed, text } from '../subjects/values.ts'
import { Day } from '../../basics/time/day.ts'
import { HoldKind } from './holdKind.ts'
import { withSaid } from './saidHolds.ts'

/** Somebody set a hold. */
export const held = residentKind({
  payload: z.strictObject({
    hold: HoldKind,
    until: z.optional(Day).check(z.describe('The first day on which it is over.')),
    reason: text,
    confirmed,
  }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, { day: since, author: by, uid, occurredAt: at, payload: { hold, until, reason } }) {
    const said = { hold, since, until: until ?? null, reason, by, uid, at, ended: null }
    return { ...state, holds: withSaid(state.holds, said) }
  },
})
