import type { Echo } from '../echoes/echo.ts'
import { effectiveFacts } from '../entries/effectiveFacts.ts'
import type { Entry } from '../entries/entry.ts'
import { compareCursors, cursorOf } from '../entries/order.ts'
import type { FamilyName, StateOf } from '../subjects/families.ts'
import { FAMILIES } from '../subjects/families.ts'
import { reduce } from './reduce.ts'

/** What is believed of a subject about which nothing is on record. */
export function emptyState<F extends FamilyName>(family: F): StateOf<F> {
  return FAMILIES[family].empty() as StateOf<F>
}

/** What the whole history of a subject says, whatever order it is handed over in: its entries, and what facts that
 * count about others say of it. */
export function replay<F extends FamilyName>(
  family: F,
  entries: readonly Entry[],
  echoes: readonly Echo[] = [],
): StateOf<F> {
  const facts = effectiveFacts(entries)
  const all =
    echoes.length === 0
      ? facts
      : [...facts, ...echoes].sort((a, b) => compareCursors(cursorOf(a), cursorOf(b)))
  return all.reduce(reduce<StateOf<F>>, emptyState(family))
}
