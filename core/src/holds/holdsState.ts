import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'
import { HoldKind } from './holdKind.ts'

const day = z.number()

export const PersonHold = z.strictObject({
  since: day,
  until: z.nullable(day),
  reason: z.string(),
  by: z.string(),
  uid: z.string(),
})
export type PersonHold = z.infer<typeof PersonHold>

export const PastHold = z.strictObject({ hold: HoldKind, since: day, until: day })
export type PastHold = z.infer<typeof PastHold>

export const HoldsState = z.strictObject({
  /** Set by people. */
  set: z.partialRecord(HoldKind, PersonHold),
  /** When somebody last lifted one: what brought it about before that no longer counts. */
  lifted: z.partialRecord(HoldKind, Mark),
  /** Those set by people that are over, oldest first: what explains a weight or a fast of that time. */
  past: z.optional(z.array(PastHold)),
})
export type HoldsState = z.infer<typeof HoldsState>

export function nothingHeld(): HoldsState {
  return { set: {}, lifted: {} }
}
