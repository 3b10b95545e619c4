import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { count, text } from '../subjects/values.ts'
import { countOf } from './countOf.ts'

/** What became of some of the missing: so many were found again, and so many are given up. */
export const accounted = residentKind({
  payload: z.strictObject({ found: count, lost: count, why: text }),
  recordedBy: KEEPERS,
  fold(state, { day, payload: { found, lost } }) {
    const missing = Math.max(0, state.count.missing - found - lost)
    const last = found === 0 ? state.count.last : { day, count: (countOf(state) ?? 0) + found }
    return { ...state, count: { last, missing, shortfalls: missing === 0 ? [] : state.count.shortfalls } }
  },
})
