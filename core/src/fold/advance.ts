import type { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import { compareCursors, cursorOf } from '../entries/order.ts'
import { reduce } from './reduce.ts'
import type { ResidentState } from './residentState.ts'

/** The state after one more entry, or 'replay' when only the whole history can tell:
 * the entry amends another, or happened before something already folded. */
export function advance(state: ResidentState, entry: Entry): ResidentState | 'replay' {
  if (isAmendment(entry)) return 'replay'
  if (state.cursor && compareCursors(cursorOf(entry), state.cursor) <= 0) return 'replay'
  return reduce(state, entry)
}
