import type { FamilyName } from '../subjects/families.ts'
import type { Happening, Touched } from '../subjects/kind.ts'

/** What a fact about another subject says of this one: folded in the order of what happened, where the family of this
 * one asks to hear of it. It counts for as long as its fact does, and has the fact's name. */
export interface Echo extends Happening<{ touches: readonly Touched[] }> {
  kind: 'touchedBy'
  family: FamilyName
}

export function isEcho(one: { kind: string }): one is Echo {
  return one.kind === 'touchedBy'
}
