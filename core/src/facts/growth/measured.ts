import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { about, confirmed, duty } from '../subjects/values.ts'
import { BodyPart } from './growthState.ts'

export const measured = residentKind({
  payload: z.strictObject({
    duty,
    part: BodyPart,
    mm: z.number().check(z.positive(), z.maximum(20_000)),
    about,
    confirmed,
  }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { part, mm, duty: answered = 'measure' } = fact.payload
    const last = state.growth.sizes[part]
    // Measured again on the same day, the earlier one was looked at twice.
    const before = last && last.day < fact.day ? { day: last.day, mm: last.mm } : last?.before
    // Said late: it was measured since.
    if (last && last.day > fact.day) return withDone(state, answered, fact)
    return {
      ...withDone(state, answered, fact),
      growth: {
        ...state.growth,
        sizes: { ...state.growth.sizes, [part]: { day: fact.day, mm, ...(before && { before }) } },
      },
    }
  },
})
