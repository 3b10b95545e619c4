import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { Uid } from '../subjects/values.ts'
import { fewer } from './howMany.ts'

/** So many of a colony begin one of their own. Those that stay keep its name. */
export const parted = residentKind({
  payload: z.strictObject({ count: z.int().check(z.positive(), z.maximum(1_000_000)), into: Uid }),
  recordedBy: KEEPERS,
  touches: ({ into, count }) => [
    { family: 'resident', subject: into, how: 'partedInto', amount: { value: count, unit: 'animals' } },
  ],
  fold: (state, { day, payload }) => ({
    ...state,
    count: {
      ...state.count,
      howMany: fewer(state.count.howMany, payload.count, day) ?? { is: 'known', count: 0, day },
    },
  }),
})
