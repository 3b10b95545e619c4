import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { count, text } from '../subjects/values.ts'
import { offMissing } from './countState.ts'
import { more } from './howMany.ts'

/** What became of some of the missing: so many were found again, and so many are given up. */
export const accounted = residentKind({
  payload: z.strictObject({ found: count, lost: count, why: text }),
  recordedBy: KEEPERS,
  fold(state, { day, payload: { found, lost } }) {
    const { shortfalls } = offMissing(state.count.shortfalls, found + lost)
    const { howMany } = state.count
    const isOne = howMany.is === 'one' && howMany.sure === true && found <= 1
    return {
      ...state,
      count: { howMany: found === 0 || isOne ? howMany : more(howMany, found, day), shortfalls },
    }
  },
})
