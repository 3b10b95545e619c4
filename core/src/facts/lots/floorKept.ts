import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { markOf } from '../subjects/mark.ts'
import { text, Uid } from '../subjects/values.ts'
import { lotKind } from './lotState.ts'

/** Old floor is put aside. */
export const floorKept = lotKind({
  payload: z.strictObject({
    of: Uid.check(z.describe('The resident that lived on it.')),
    at: text,
    from: z.optional(Uid).check(z.describe('The enclosure it lay in.')),
    litres: z.optional(z.number().check(z.positive(), z.maximum(5000))),
  }),
  recordedBy: KEEPERS,
  founds: true,
  touches: ({ of, from }) => [
    { family: 'resident', subject: of, how: 'keptFloorOf' },
    ...(from === undefined ? [] : [{ family: 'place', subject: from, how: 'tookFrom' }]),
  ],
  fold: (state, fact) => {
    const { of, at: where, litres = null } = fact.payload
    return { ...state, floor: { ...markOf(fact), of, where, litres, lastLook: null, foundOn: null } }
  },
})
