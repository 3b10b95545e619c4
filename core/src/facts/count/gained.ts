import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { text, Uid } from '../subjects/values.ts'
import { withReturned } from '../residents/goings.ts'
import { more } from './howMany.ts'

/** So many more: young picked out of old floor and put back with the rest. */
export const gained = residentKind({
  payload: z.strictObject({
    count: z.int().check(z.positive(), z.maximum(1_000_000)),
    lot: z.optional(Uid).check(z.describe('The old floor they were found in.')),
    from: z.optional(Uid).check(z.describe('The resident that was put in with them.')),
    returns: z.optional(Uid).check(z.describe('The entry by which they went: these came back from a loan.')),
    why: z.optional(text),
  }),
  recordedBy: KEEPERS,
  touches: ({ lot, from, count }) => [
    ...(lot === undefined
      ? []
      : [
          {
            family: 'lot',
            subject: lot,
            how: 'cameOutOf',
            amount: { value: count, unit: 'animals' as const },
          },
        ]),
    ...(from === undefined
      ? []
      : [
          {
            family: 'resident',
            subject: from,
            how: 'tookIn',
            amount: { value: count, unit: 'animals' as const },
          },
        ]),
  ],
  fold: (state, { day, payload: { count, returns } }) => ({
    ...state,
    stay:
      returns === undefined
        ? state.stay
        : { ...state.stay, goings: withReturned(state.stay.goings, returns, day) },
    count: { ...state.count, howMany: more(state.count.howMany, count, day) },
  }),
})
