import type { Echo } from '../echoes/echo.ts'
import { isEcho } from '../echoes/echo.ts'
import { cursorOf } from '../entries/order.ts'
import type { Fact } from '../subjects/families.ts'
import { hearerOf, kindNamed } from '../subjects/families.ts'
import type { Folded } from '../subjects/folded.ts'

function heard<S extends Folded>(state: S, { family, payload: { touches }, ...echo }: Echo): S {
  return touches.reduce(
    (before, touched) =>
      (hearerOf(family, touched.how)?.(before, { ...echo, payload: touched }) ?? before) as S,
    state,
  )
}

/** What we believe of a subject after one more fact about it, or about another that touches it: the one place where a
 * fact changes what is believed. Facts must come in their subject's order (see `compareCursors`); `advance` guards that,
 * `replay` puts a whole history in order first. The state is that of the fact's family. A fact of a kind that only
 * a newer version knows changes nothing here: see `continueFrom`. */
export function reduce<S extends Folded>(state: S, fact: Fact | Echo): S {
  if (isEcho(fact)) return { ...heard(state, fact), cursor: cursorOf(fact) }
  const kind = kindNamed(fact.kind)
  const believed = kind ? (kind.fold(state, fact) as S) : state
  return { ...believed, cursor: cursorOf(fact), facts: state.facts + 1 }
}
