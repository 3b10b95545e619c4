import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'

const SCORES_KEPT = 6

/** Body condition from 1, starved, to 5, obese. */
export const condition = residentKind({
  payload: z.strictObject({ score: z.number().check(z.minimum(1), z.maximum(5), z.multipleOf(0.5)) }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { score } = fact.payload
    const scores = [...(state.health.scores ?? []), { day: fact.day, score }].slice(-SCORES_KEPT)
    return {
      ...state,
      health: { ...state.health, condition: { ...markOf(fact), score }, scores },
    }
  },
})
