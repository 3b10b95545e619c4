import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'
import { Severity } from './severity.ts'

export const Observation = z.strictObject({ ...Mark.shape, text: z.string(), severity: Severity })
export type Observation = z.infer<typeof Observation>

export const DroppingsKind = z.enum(['normal', 'loose', 'hard', 'bloody', 'urates', 'urine', 'none'])
export type DroppingsKind = z.infer<typeof DroppingsKind>

/** So many of a colony found dead at once. */
export const Deaths = z.strictObject({ ...Mark.shape, count: z.number() })
export type Deaths = z.infer<typeof Deaths>

export const HealthState = z.strictObject({
  observations: z.array(Observation),
  /** Body condition as last scored. */
  condition: z.nullable(z.strictObject({ ...Mark.shape, score: z.number() })),
  /** The scores before and with it, oldest first. */
  scores: z.optional(z.array(z.strictObject({ day: z.number(), score: z.number() }))),
  /** As last written down. */
  droppings: z.optional(z.strictObject({ ...Mark.shape, kind: DroppingsKind })),
  /** Of a colony, lately. */
  deaths: z.optional(z.array(Deaths)),
})
export type HealthState = z.infer<typeof HealthState>

export function nothingObserved(): HealthState {
  return { observations: [], condition: null }
}
