import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { markOf } from '../subjects/mark.ts'
import { Uid } from '../subjects/values.ts'
import { placeKind } from './placeState.ts'

/** Somebody moved out and left it to be cleaned, or with a floor to keep. */
export const vacated = placeKind({
  payload: z.strictObject({ resident: Uid, leaves: z.enum(['toClean', 'toHold']) }),
  recordedBy: KEEPERS,
  touches: ({ resident }) => [{ family: 'resident', subject: resident, how: 'leftBehindBy' }],
  fold: (state, fact) => ({ ...state, waits: { ...markOf(fact), ...fact.payload } }),
})
