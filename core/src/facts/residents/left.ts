import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { text } from '../subjects/values.ts'
import { Day } from '../../basics/time/day.ts'
import { LeftAs } from './ended.ts'
import { residentKind } from './residentKind.ts'
import { withoutSome } from './withoutSome.ts'

/** It left the house, rehomed or given back, or so many of a colony did. */
export const left = residentKind({
  payload: z.strictObject({
    count: z.optional(z.int().check(z.positive(), z.maximum(1_000_000))),
    to: text,
    why: z.optional(text),
    as: z.optional(LeftAs),
    dueBack: z.optional(Day).check(z.describe('Of one that is lent.')),
  }),
  recordedBy: KEEPERS,
  fold: (state, fact) => {
    const { count, as, dueBack } = fact.payload
    return withoutSome(state, fact, count, {
      how: 'left',
      ...(as !== undefined && { as }),
      ...(dueBack !== undefined && { dueBack }),
    })
  },
})
