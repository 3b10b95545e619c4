import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'

/** A note for the next shift, and who answered it. */
export const Note = z.strictObject({ ...Mark.shape, text, answered: z.nullable(Mark) })
export type Note = z.infer<typeof Note>

const ANSWERED_KEPT = 4
const MOST_KEPT = 40

/** The notes, without the answered ones of long ago. */
export function shortened(notes: readonly Note[]): Note[] {
  const dropped = new Set(notes.filter(({ answered }) => answered !== null).slice(0, -ANSWERED_KEPT))
  return notes.filter((note) => !dropped.has(note)).slice(-MOST_KEPT)
}

/** Those that nobody has answered yet, oldest first. */
export function openNotes(notes: readonly Note[]): Note[] {
  return notes.filter(({ answered }) => answered === null)
}
