import { z } from 'zod'
import { WRITERS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'

export const droppings = residentKind({
  payload: z.strictObject({ kind: z.enum(['normal', 'loose', 'hard', 'bloody', 'urates', 'none']) }),
  recordedBy: WRITERS,
  fold: (state, fact) => withDone(state, 'droppings', fact),
})
