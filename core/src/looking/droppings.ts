import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { aliveBy, goneBy, residentKind, withDone } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'
import { DroppingsKind } from '../health/healthState.ts'

export const droppings = residentKind({
  payload: z.strictObject({ kind: DroppingsKind }),
  recordedBy: WRITERS,
  fold(state, fact) {
    const { kind } = fact.payload
    const told = kind === 'none' ? goneBy(state, 'noDroppings') : aliveBy(state, fact)
    const after = withDone(told, 'droppings', fact)
    return { ...after, health: { ...after.health, droppings: { ...markOf(fact), kind } } }
  },
})
