import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { placeKind } from '../places/placeState.ts'
import { markOf } from '../subjects/mark.ts'
import { confirmed, Uid, word } from '../subjects/values.ts'
import { Quantity } from './quantity.ts'
import { readingKey } from './readingsState.ts'

/** Somebody read an instrument at a zone of an enclosure. */
export const reading = placeKind({
  payload: z.strictObject({
    zone: word(80),
    what: Quantity,
    value: z.number().check(z.minimum(-50), z.maximum(2000)),
    resident: z.optional(Uid).check(z.describe('Who lives there.')),
    confirmed,
  }),
  recordedBy: WRITERS,
  touches: ({ resident }) =>
    resident === undefined ? [] : [{ family: 'resident', subject: resident, how: 'readFor' }],
  fold(state, fact) {
    const { zone, what, value } = fact.payload
    // JSON has one zero: what was read as "-0" is kept as it will be read back.
    const read = { ...markOf(fact), zone, what, value: value + 0 }
    return { ...state, readings: { ...state.readings, [readingKey({ zone, what })]: read } }
  },
})
