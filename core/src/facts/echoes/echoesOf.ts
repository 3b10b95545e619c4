import { touchesOf } from '../entries/byKind.ts'
import type { Fact, FamilyName } from '../subjects/families.ts'
import { hearerOf } from '../subjects/families.ts'
import type { Touched } from '../subjects/kind.ts'
import type { Echo } from './echo.ts'

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
