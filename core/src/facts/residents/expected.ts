import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { text, Uid } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'

/** It is on its way, and its place is to be made ready. */
export const expected = residentKind({
  payload: z.strictObject({ enclosure: Uid, from: z.optional(text) }),
  recordedBy: KEEPERS,
  touches: ({ enclosure }) => [{ family: 'place', subject: enclosure, how: 'waitsFor' }],
  fold(state, { day, occurredAt, payload: { enclosure } }) {
    const { arrivedOn, ended } = state.stay
    const isHere = arrivedOn !== null && !ended
    // One that is here is not on its way, and one that died comes no more.
    if (isHere || ended?.how === 'died') return state
    return { ...state, stay: { ...state.stay, expected: { enclosure, since: day, at: occurredAt } } }
  },
})
