import * as z from 'zod/mini'
import { DroppingsKind } from '../health/healthState.ts'
import { WRITERS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'

export const droppings = residentKind({
  payload: z.strictObject({ kind: DroppingsKind }),
  recordedBy: WRITERS,
  fold(state, fact) {
    const { kind } = fact.payload
    const after = withDone(state, 'droppings', fact)
    return { ...after, health: { ...after.health, droppings: { ...markOf(fact), kind } } }
  },
})
