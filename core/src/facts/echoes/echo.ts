import type { Fact, FamilyName } from '../subjects/families.ts'
import { hearerOf } from '../subjects/families.ts'
import type { Happening, Touched } from '../subjects/kind.ts'
import { touchesOf } from '../entries/byKind.ts'

/** What a fact about another subject says of this one: folded in the order of what happened, where the family of this
 * one asks to hear of it. It counts for as long as its fact does, and has the fact's name. */
export interface Echo extends Happening<{ touches: readonly Touched[] }> {
  kind: 'touchedBy'
  family: FamilyName
}

export function isEcho(one: { kind: string }): one is Echo {
  return one.kind === 'touchedBy'
}

/** What a fact that counts says of each of the other subjects that hear of it. */
export function echoesOf(fact: Fact): Echo[] {
  const heard = new Map<string, Echo>()
  for (const { family, subject, how, amount } of touchesOf(fact)) {
    if (!hearerOf(family, how)) continue
    const touched: Touched = { how, other: fact.subject, ...(amount && { amount }) }
    const { uid, occurredAt, writtenAt, day, author, act } = fact
    const before = heard.get(subject)?.payload.touches ?? []
    heard.set(subject, {
      uid,
      subject,
      occurredAt,
      ...(writtenAt !== undefined && { writtenAt }),
      day,
      author,
      ...(act !== undefined && { act }),
      kind: 'touchedBy',
      family: family as FamilyName,
      payload: { touches: [...before, touched] },
    })
  }
  return [...heard.values()]
}
