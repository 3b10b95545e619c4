import { cursorOf } from '../entries/order.ts'
import type { Fact } from '../subjects/families.ts'
import { kindOf } from '../subjects/families.ts'
import type { Folded } from '../subjects/folded.ts'

/** What we believe of a subject after one more fact about it: the one place where a fact changes what is
 * believed. Facts must come in their subject's order (see `compareCursors`); `advance` guards that,
 * `replay` puts a whole history in order first. The state is that of the fact's family. */
export function reduce<S extends Folded>(state: S, fact: Fact): S {
  const told = kindOf(fact.kind).fold(state, fact) as S
  return { ...told, cursor: cursorOf(fact), facts: state.facts + 1 }
}
