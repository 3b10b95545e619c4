import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { text } from '../subjects/values.ts'
import { Disposal } from './ended.ts'
import { isOpenGoing } from './goings.ts'
import { residentKind } from './residentKind.ts'

/** What was found in one that died, or what became of its body since. */
export const examined = residentKind({
  payload: z.strictObject({ found: z.optional(text), disposal: z.optional(Disposal) }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, { payload: { found, disposal } }) {
    const { ended, goings } = state.stay
    const known = {
      ...(found !== undefined && { postMortem: { found } }),
      ...(disposal !== undefined && { disposal }),
    }
    if (ended) return { ...state, stay: { ...state.stay, ended: { ...ended, ...known } } }
    // Of some of a colony: the last ones that were asked about.
    const asked = goings.findLast((going) => going.how === 'died' && isOpenGoing(going))
    if (!asked) return state
    const after = goings.map((going) => (going === asked ? { ...going, ...known } : going))
    return { ...state, stay: { ...state.stay, goings: after } }
  },
})
