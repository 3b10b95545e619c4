import * as z from 'zod/mini'
import { Needs } from './needs.ts'

/** Where a line of a plan comes from. */
export const Source = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('sheet'), sheet: z.string(), stage: z.string() }),
  z.strictObject({
    from: z.literal('school'),
    sheet: z.string(),
    school: z.string(),
    option: z.string(),
    /** What was chosen, where that cannot stand here and this option took its place. */
    insteadOf: z.optional(z.strictObject({ option: z.string(), needs: Needs })),
  }),
  z.strictObject({
    from: z.literal('site'),
    by: z.string(),
    on: z.number(),
    until: z.optional(z.number()),
    reason: z.string(),
  }),
  z.strictObject({
    from: z.literal('resident'),
    by: z.string(),
    on: z.number(),
    until: z.optional(z.number()),
    reason: z.string(),
  }),
])
export type Source = z.infer<typeof Source>

/** What stands in the sheet itself, at a stage. */
export function fromSheet({ sheet, stage }: { sheet: string; stage: string }) {
  return { from: 'sheet', sheet, stage } as const satisfies Source
}
