import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { duty } from '../subjects/values.ts'

/** The duty a full clean is done under; every other cleaning is part of it. */
export const FULL_CLEAN = 'fullClean'

export const cleaned = residentKind({
  payload: z.strictObject({ duty, scope: z.enum(['spot', 'full']) }),
  recordedBy: HANDS,
  fold(state, fact) {
    const { scope, duty: answered } = fact.payload
    if (scope === 'spot') return withDone(state, answered ?? 'clean', fact)
    const full = withDone(state, FULL_CLEAN, fact)
    return answered === undefined ? full : withDone(full, answered, fact)
  },
})
