import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'

export const EndedHow = z.enum(['died', 'left', 'lost', 'merged'])
export type EndedHow = z.infer<typeof EndedHow>

/** How somebody leaves who lives on. */
export const LeftAs = z.enum(['rehomed', 'lent', 'givenBack', 'released'])
export type LeftAs = z.infer<typeof LeftAs>

/** What becomes of a body. */
export const Disposal = z.enum(['notYet', 'frozen', 'collected', 'burnt', 'buried', 'kept'])
export type Disposal = z.infer<typeof Disposal>

/** How a stay ended. */
export const Ended = z.strictObject({
  ...Mark.shape,
  how: EndedHow,
  /** Of one that left. */
  as: z.optional(LeftAs),
  /** The day one that is lent is due back. */
  dueBack: z.optional(z.number()),
  /** Somebody was asked to look into why it died, and what they found once they did. */
  postMortem: z.optional(z.strictObject({ found: z.nullable(text) })),
  disposal: z.optional(Disposal),
})
export type Ended = z.infer<typeof Ended>
