import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { text, Uid } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'

/** It is here. Somebody who comes back begins a new stay. */
export const arrived = residentKind({
  payload: z.strictObject({ enclosure: Uid, source: z.optional(text) }),
  recordedBy: KEEPERS,
  touches: ({ enclosure }) => [{ family: 'place', subject: enclosure, how: 'movedInto' }],
  fold: (state, { day, occurredAt, payload: { enclosure } }) => ({
    ...state,
    stay: {
      expectedOn: null,
      arrivedOn: day,
      place: { enclosure, since: day, at: occurredAt },
      ended: null,
    },
  }),
})
