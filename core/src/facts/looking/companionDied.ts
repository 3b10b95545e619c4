import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'
import { Uid } from '../subjects/values.ts'

/** The look at an animal that shared a box with one that died. */
export const AFTER_DEATH = 'afterDeath'

/** One that shared its box died: said with the death, and taken back with it. */
export const companionDied = residentKind({
  payload: z.strictObject({ companion: Uid }),
  recordedBy: KEEPERS_AND_VET,
  touches: ({ companion }) => [{ family: 'resident', subject: companion, how: 'sharedBoxWith' }],
  fold(state, fact) {
    const { companion } = fact.payload
    const done = Object.fromEntries(Object.entries(state.done).filter(([duty]) => duty !== AFTER_DEATH))
    return { ...state, done, looking: { ...state.looking, companionDied: { ...markOf(fact), companion } } }
  },
})
