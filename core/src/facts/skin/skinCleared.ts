import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { text } from '../subjects/values.ts'
import { SkinLeft } from './skinState.ts'

/** Old skin that had stayed on is off: the parts named, or all of it. */
export const skinCleared = residentKind({
  payload: z.strictObject({
    parts: z.optional(z.array(SkinLeft).check(z.minLength(1), z.maxLength(5))),
    how: z.optional(text),
  }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, { day, payload: { parts } }) {
    const retained = state.skin.retained.filter(
      ({ part, since }) => since > day || (parts !== undefined && !parts.includes(part)),
    )
    return { ...state, skin: { ...state.skin, retained } }
  },
})
