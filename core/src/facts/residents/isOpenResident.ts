import { openNotes } from '../handover/notes.ts'
import { isOpenGoing } from './goings.ts'
import type { ResidentState } from './residentState.ts'

/** Whether it is here or expected, or something is still to be seen to of one that is gone: a body, a loan, what it died
 * of, a question nobody answered. */
export function isOpenResident({ register, stay, notes }: ResidentState): boolean {
  const { ended, goings } = stay
  if (register && !ended) return true
  const left = [...(ended ? [ended] : []), ...goings]
  return left.some(isOpenGoing) || openNotes(notes).length > 0
}
