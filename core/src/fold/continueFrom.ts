import { effectiveFacts } from '../entries/effectiveFacts.ts'
import type { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import { compareCursors, cursorOf } from '../entries/order.ts'
import { reduce } from './reduce.ts'
import type { ResidentState } from './residentState.ts'

export interface Continued {
  state: ResidentState
  /** False when an entry reaches back before `base`, so that only the whole history can tell. */
  complete: boolean
}

/** What a fold and the entries after it say together. Entries that reach back before the fold
 * (something that happened earlier, an amendment of something older) are left out and reported. */
export function continueFrom(base: ResidentState, entries: readonly Entry[]): Continued {
  const known = new Set(entries.map(({ uid }) => uid))
  let complete = entries.every((entry) => !isAmendment(entry) || known.has(entry.payload.target))
  let state = base
  for (const fact of effectiveFacts(entries)) {
    if (base.cursor && compareCursors(cursorOf(fact), base.cursor) <= 0) complete = false
    else state = reduce(state, fact)
  }
  return { state, complete }
}
