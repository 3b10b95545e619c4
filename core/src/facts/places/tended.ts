import * as z from 'zod/mini'
import { FULL_CLEAN } from '../cleaning/cleaned.ts'
import { HANDS } from '../people/role.ts'
import { markOf } from '../subjects/mark.ts'
import { confirmed, word } from '../subjects/values.ts'
import { placeKind } from './placeState.ts'

const litres = z.optional(z.number().check(z.positive(), z.maximum(1000)))

/** Somebody saw to a duty of a box: fresh water, a clean, damp, a lamp or a lock. It counts for all who live there, and
 * goes on counting when others move in. */
export const tended = placeKind({
  payload: z.strictObject({
    duty: word(100).check(z.describe('The duty, as the plans of those who live there name it.')),
    does: z.enum(['water', 'clean', 'dampen', 'check']),
    scope: z.optional(z.enum(['spot', 'full'])),
    litres,
    end: z.optional(z.enum(['whole', 'dampEnd', 'dryEnd'])),
    confirmed,
  }),
  recordedBy: HANDS,
  since: 4,
  fold(state, fact) {
    const { duty, does, scope } = fact.payload
    const done = { ...state.done, [duty]: markOf(fact) }
    if (does !== 'clean' || scope !== 'full') return { ...state, done }
    // A full clean takes away what the last tenant left.
    const isClean = state.waits?.leaves === 'toClean' && state.waits.at <= fact.occurredAt
    return {
      ...state,
      done: { ...done, [FULL_CLEAN]: markOf(fact) },
      ...(isClean && { waits: null, readied: markOf(fact) }),
    }
  },
})
