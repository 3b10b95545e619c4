import type { Echo } from '../echoes/echo.ts'
import { isEcho } from '../echoes/echo.ts'
import type { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import { compareCursors, cursorOf } from '../entries/order.ts'
import type { Folded } from '../subjects/folded.ts'
import { reduce } from './reduce.ts'

/** The state after one more entry, or after a fact about another that touches it, or 'replay' when only the whole
 * history can tell: the entry amends another, or happened before something already folded. */
export function advance<S extends Folded>(state: S, entry: Entry | Echo): S | 'replay' {
  if (!isEcho(entry) && isAmendment(entry)) return 'replay'
  if (state.cursor && compareCursors(cursorOf(entry), state.cursor) <= 0) return 'replay'
  return reduce(state, entry)
}
