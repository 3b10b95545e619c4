import * as z from 'zod/mini'
import { Day } from '../../basics/time/day.ts'
import { KEEPERS } from '../people/role.ts'
import { text, Uid } from '../subjects/values.ts'
import { KnownTo } from './register.ts'
import { beginStay } from './beginStay.ts'
import { residentKind } from './residentKind.ts'

/** How somebody comes to be here. */
export const ArrivedHow = z.enum(['brought', 'born', 'split', 'found'])
export type ArrivedHow = z.infer<typeof ArrivedHow>

/** It is here. Somebody who comes back begins a new stay. */
export const arrived = residentKind({
  payload: z.strictObject({
    enclosure: Uid,
    source: z.optional(text),
    hereSince: z
      .optional(z.nullable(Day))
      .check(
        z.describe(
          'Of one that was here before its record began: the day it came, null where nobody knows. Its care is asked for from the day of this fact.',
        ),
      ),
    hereTo: z
      .optional(KnownTo)
      .check(z.describe('How sure `hereSince` is, where it is not known to the day.')),
    how: z.optional(ArrivedHow),
    of: z
      .optional(Uid)
      .check(z.describe('Whose young it is, what it was split from, or in whose old floor it was found.')),
  }),
  recordedBy: KEEPERS,
  touches: ({ enclosure, of }) => [
    { family: 'place', subject: enclosure, how: 'movedInto' },
    ...(of === undefined ? [] : [{ family: 'resident', subject: of, how: 'cameFrom' }]),
  ],
  fold(state, fact) {
    const { arrivedOn, ended } = state.stay
    // Nobody arrives twice without having gone, and the dead do not come back.
    const isHere = arrivedOn !== null && !ended
    return isHere || ended?.how === 'died' ? state : beginStay(state, fact, fact.payload)
  },
})
