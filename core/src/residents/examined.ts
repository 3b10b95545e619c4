import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { text } from '../subjects/values.ts'
import { Disposal } from './ended.ts'
import { residentKind } from './residentKind.ts'

/** What was found in one that died, or what became of its body since. */
export const examined = residentKind({
  payload: z.strictObject({ found: z.optional(text), disposal: z.optional(Disposal) }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, { payload: { found, disposal } }) {
    const { ended } = state.stay
    if (!ended) return state
    const after = {
      ...ended,
      ...(found !== undefined && { postMortem: { found } }),
      ...(disposal !== undefined && { disposal }),
    }
    return { ...state, stay: { ...state.stay, ended: after } }
  },
})
