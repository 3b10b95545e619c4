import type { Echo } from '../echoes/echo.ts'
import { isEcho } from '../echoes/echo.ts'
import { inOrder } from '../echoes/inOrder.ts'
import { effectiveFacts } from '../entries/effectiveFacts.ts'
import type { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import { isKnown } from '../entries/isKnown.ts'
import { compareCursors, cursorOf } from '../entries/order.ts'
import { touchesOf } from '../entries/byKind.ts'
import type { Fact } from '../subjects/families.ts'
import type { Folded } from '../subjects/folded.ts'
import { keepingLater } from './keepingLater.ts'
import { reduce } from './reduce.ts'

export interface Continued<S> {
  state: S
  /** False when an entry reaches back before `base`, so that only the whole history can tell. */
  complete: boolean
}

/** An animal that was moved once more since must not be put back. */
function changesPlace(fact: Fact | Echo): boolean {
  return !isEcho(fact) && touchesOf(fact).some(({ family }) => family === 'place')
}

/** What a fold and the entries after it say together. An entry that happened before the newest of the
 * fold is folded all the same, in its order among the others that are new: what was just entered must not
 * vanish, and undoes nothing that rests on a later fact. A move is not, nor is an amendment of something
 * older, and what only a newer version knows. All of these are reported. */
export function continueFrom<S extends Folded>(base: S, since: readonly (Entry | Echo)[]): Continued<S> {
  const entries = since.filter((one) => !isEcho(one))
  const known = new Set(entries.map(({ uid }) => uid))
  let complete = entries.every(
    (entry) => isKnown(entry) && (!isAmendment(entry) || known.has(entry.payload.target)),
  )
  let state = base
  for (const fact of inOrder(effectiveFacts(entries), since.filter(isEcho))) {
    const late = base.cursor !== null && compareCursors(cursorOf(fact), base.cursor) <= 0
    if (late) complete = false
    if (late && changesPlace(fact)) continue
    const next = reduce(state, fact)
    state = late ? { ...keepingLater(state, next, cursorOf(fact)), cursor: state.cursor } : next
  }
  return { state, complete }
}
