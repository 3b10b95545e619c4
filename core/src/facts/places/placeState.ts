import * as z from 'zod/mini'
import { folded, nothingFolded } from '../subjects/folded.ts'
import { kindFor } from '../subjects/kind.ts'
import { Readings } from '../readings/readingsState.ts'
import { Mark } from '../subjects/mark.ts'

/** The fold of what happened to a place. */
export const PlaceState = z.strictObject({
  ...folded,
  /** Somebody moved out, and it waits to be cleaned or for its floor to be kept. */
  waits: z.nullable(
    z.strictObject({ ...Mark.shape, resident: z.string(), leaves: z.enum(['toClean', 'toHold']) }),
  ),
  /** It was last made ready. */
  readied: z.nullable(Mark),
  /** Last done there, by duty. */
  done: z.record(z.string(), Mark),
  /** What was last read there. */
  readings: z.optional(Readings),
})
export type PlaceState = z.infer<typeof PlaceState>

export function emptyPlace(): PlaceState {
  return { ...nothingFolded(), waits: null, readied: null, done: {} }
}

/** When each duty of a box was last seen to, by its key. */
export type DoneInBox = Readonly<Record<string, Mark>>

/** Makes a kind of fact about a place. */
export const placeKind = kindFor<PlaceState>()
