import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { markOf } from '../subjects/mark.ts'
import { count } from '../subjects/values.ts'
import { lotKind } from './lotState.ts'

/** A look into old floor. What became of what was found is a fact of the resident it became part of. */
export const floorChecked = lotKind({
  payload: z.strictObject({
    found: z.enum(['nothing', 'babies', 'eggs']),
    count: z.optional(count),
    became: z.optional(z.enum(['recount', 'resident', 'waiting'])),
  }),
  recordedBy: HANDS,
  fold: (state, fact) => {
    if (!state.floor) return state
    const foundOn = fact.payload.found === 'nothing' ? state.floor.foundOn : fact.day
    return { ...state, floor: { ...state.floor, lastLook: markOf(fact), foundOn } }
  },
})
