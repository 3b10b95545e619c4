import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { markOf } from '../subjects/mark.ts'
import { placeKind } from './placeState.ts'

/** It was cleaned, or emptied with its floor put aside: it waits for nothing more. */
export const readied = placeKind({
  payload: z.strictObject({ floor: z.enum(['cleaned', 'kept']) }),
  recordedBy: KEEPERS,
  fold: (state, fact) => ({ ...state, waits: null, readied: markOf(fact) }),
})
