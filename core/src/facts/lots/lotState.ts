import * as z from 'zod/mini'
import { folded, nothingFolded } from '../subjects/folded.ts'
import { kindFor } from '../subjects/kind.ts'
import { Mark } from '../subjects/mark.ts'
import { Given } from './given.ts'

/** The fold of what happened to a batch of material: what it is, and what went out of it. So far the only ones put on
 * record are old floors, put aside for what may hide in them. */
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
  /** What went out of it, by how. */
  given: z.record(z.string(), Given),
})
export type LotState = z.infer<typeof LotState>

export function emptyLot(): LotState {
  return { ...nothingFolded(), floor: null, disposed: null, given: {} }
}

/** Makes a kind of fact about a lot. */
export const lotKind = kindFor<LotState>()
