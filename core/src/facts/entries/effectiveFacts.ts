import type { Fact } from '../subjects/families.ts'
import type { Entry, Replacement } from './entry.ts'
import { isAmendment } from './isAmendment.ts'
import { compareCursors, cursorOf } from './order.ts'

function latestFirst(a: Entry, b: Entry): number {
  return compareCursors(cursorOf(b), cursorOf(a))
}

const STRUCK = 'struck'

function corrected(fact: Fact, to: Replacement): Fact {
  // The replacement was validated as a pair of kind and payload; only the stamp is the original's.
  return { ...fact, ...to }
}

/** What counts of each amended entry: the last word about it. */
function lastWords(entries: readonly Entry[]): Map<string, typeof STRUCK | Replacement> {
  const words = new Map<string, typeof STRUCK | Replacement>()
  for (const amendment of entries.filter(isAmendment).sort(latestFirst)) {
    if (words.get(amendment.uid) === STRUCK) continue
    const { target } = amendment.payload
    if (words.has(target)) continue
    words.set(target, amendment.kind === 'retracted' ? STRUCK : amendment.payload.to)
  }
  return words
}

/** The facts that count, in their subject's order, once corrections and take-backs have been heard.
 * The last word about an entry outranks every earlier one; taking back an amendment restores what it
 * changed. An amendment of an entry that is not in the list changes nothing. */
export function effectiveFacts(entries: readonly Entry[]): Fact[] {
  const words = lastWords(entries)
  const facts: Fact[] = []
  for (const entry of entries) {
    if (isAmendment(entry)) continue
    const word = words.get(entry.uid)
    if (word === STRUCK) continue
    facts.push(word ? corrected(entry, word) : entry)
  }
  return facts.sort((a, b) => compareCursors(cursorOf(a), cursorOf(b)))
}
