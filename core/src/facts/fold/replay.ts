import type { Echo } from '../echoes/echo.ts'
import { inOrder } from '../echoes/inOrder.ts'
import { effectiveFacts } from '../entries/effectiveFacts.ts'
import type { Entry } from '../entries/entry.ts'
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
  return inOrder(effectiveFacts(entries), echoes).reduce(reduce<StateOf<F>>, emptyState(family))
}
