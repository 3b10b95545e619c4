import { effectiveFacts } from '../entries/effectiveFacts.ts'
import type { Entry } from '../entries/entry.ts'
import type { FamilyName, StateOf } from '../subjects/families.ts'
import { FAMILIES } from '../subjects/families.ts'
import { reduce } from './reduce.ts'

/** What is believed of a subject about which nothing is on record. */
export function emptyState<F extends FamilyName>(family: F): StateOf<F> {
  return FAMILIES[family].empty() as StateOf<F>
}

/** What the whole history of a subject says, whatever order it is handed over in. */
export function replay<F extends FamilyName>(family: F, entries: readonly Entry[]): StateOf<F> {
  return effectiveFacts(entries).reduce(reduce, emptyState(family))
}
