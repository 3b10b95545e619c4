import * as z from 'zod/mini'
import { withCount } from '../count/withCount.ts'
import { KEEPERS } from '../people/role.ts'
import { count, text, Uid } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'

/** It was moved, counted out and counted in. What becomes of the place it left is a fact of that place. */
export const moved = residentKind({
  payload: z.strictObject({
    to: Uid,
    why: z.optional(text),
    from: z.optional(Uid),
    helpers: z.optional(z.array(Uid).check(z.maxLength(6))),
    expected: z.optional(count),
    found: z.optional(count),
  }),
  recordedBy: KEEPERS,
  touches: ({ to, from }) => [
    { family: 'place', subject: to, how: 'movedInto' },
    ...(from === undefined ? [] : [{ family: 'place', subject: from, how: 'movedOutOf' }]),
  ],
  fold(state, fact) {
    if (state.stay.ended) return state
    const { to, found, expected } = fact.payload
    const place = { enclosure: to, since: fact.day, at: fact.occurredAt }
    // One that is still on its way is to live there instead.
    const isComing = state.stay.arrivedOn === null && state.stay.expected !== null
    const there = { ...state, stay: { ...state.stay, ...(isComing ? { expected: place } : { place }) } }
    return found === undefined ? there : withCount(there, fact, { count: found, expected })
  },
})
