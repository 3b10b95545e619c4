import { z } from 'zod'
import { Mark } from '../subjects/mark.ts'
import { Severity } from './severity.ts'

export const Observation = z.strictObject({ ...Mark.shape, text: z.string(), severity: Severity })
export type Observation = z.infer<typeof Observation>

export const DroppingsKind = z.enum(['normal', 'loose', 'hard', 'bloody', 'urates', 'urine', 'none'])
export type DroppingsKind = z.infer<typeof DroppingsKind>

export const HealthState = z.strictObject({
  observations: z.array(Observation),
  /** Body condition as last scored. */
  condition: z.strictObject({ ...Mark.shape, score: z.number() }).nullable(),
  /** As last written down. */
  droppings: z.strictObject({ ...Mark.shape, kind: DroppingsKind }).optional(),
})
export type HealthState = z.infer<typeof HealthState>

export function nothingObserved(): HealthState {
  return { observations: [], condition: null }
}
