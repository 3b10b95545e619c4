import { kindNamed } from '../subjects/families.ts'
import type { Entry } from './entry.ts'
import { isAmendment } from './isAmendment.ts'

/** Whether what an entry says can be folded here: its kind, or the one that it corrects to, is known. */
export function isKnown(entry: Entry): boolean {
  if (!isAmendment(entry)) return kindNamed(entry.kind) !== undefined
  return entry.kind === 'retracted' || kindNamed(entry.payload.to.kind) !== undefined
}
