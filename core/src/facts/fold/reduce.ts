import { cursorOf } from '../entries/order.ts'
import type { Fact } from '../subjects/families.ts'
import { kindNamed } from '../subjects/families.ts'
import type { Folded } from '../subjects/folded.ts'

/** What we believe of a subject after one more fact about it: the one place where a fact changes what is
 * believed. Facts must come in their subject's order (see `compareCursors`); `advance` guards that,
 * `replay` puts a whole history in order first. The state is that of the fact's family. A fact of a kind that only
 * a newer version knows changes nothing here: see `continueFrom`. */
export function reduce<S extends Folded>(state: S, fact: Fact): S {
  const kind = kindNamed(fact.kind)
  const believed = kind ? (kind.fold(state, fact) as S) : state
  return { ...believed, cursor: cursorOf(fact), facts: state.facts + 1 }
}
