import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind, seenBy, withDone } from '../residents/residentKind.ts'
import { confirmed, duty } from '../subjects/values.ts'

/** Enough monthly weights for two years, or weekly ones for half a year. */
const WEIGHTS_KEPT = 24

export const weighed = residentKind({
  payload: z.strictObject({ duty, grams: z.number().check(z.positive(), z.maximum(1_000_000)), confirmed }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { grams, confirmed: insisted, duty: answered = 'weigh' } = fact.payload
    const reading = { day: fact.day, grams, uid: fact.uid, ...(insisted && { confirmed: insisted }) }
    const weights = [...state.growth.weights, reading].slice(-WEIGHTS_KEPT)
    return {
      ...withDone(seenBy(state, fact), answered, fact),
      growth: { ...state.growth, weights },
    }
  },
})
