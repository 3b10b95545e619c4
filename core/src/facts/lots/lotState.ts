import * as z from 'zod/mini'
import { folded, nothingFolded } from '../subjects/folded.ts'
import { kindFor } from '../subjects/kind.ts'
import { Mark } from '../subjects/mark.ts'

/** The fold of what happened to a batch of material. So far the only ones kept here are old floors, put
 * aside for what may hide in them. */
export const LotState = z.strictObject({
  ...folded,
  floor: z.nullable(
    z.strictObject({
      ...Mark.shape,
      /** The resident that lived on it. */
      of: z.string(),
      /** Where it is kept, in words. */
      where: z.string(),
      litres: z.nullable(z.number()),
      lastLook: z.nullable(Mark),
      /** The last day on which something alive was found in it. */
      foundOn: z.nullable(z.number()),
    }),
  ),
  disposed: z.nullable(Mark),
})
export type LotState = z.infer<typeof LotState>

export function emptyLot(): LotState {
  return { ...nothingFolded(), floor: null, disposed: null }
}

/** Makes a kind of fact about a lot. */
export const lotKind = kindFor<LotState>()
