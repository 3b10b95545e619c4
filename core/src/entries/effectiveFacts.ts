import type { Entry, Fact } from './entry.ts'
import { isAmendment } from './isAmendment.ts'
import { compareCursors, cursorOf } from './order.ts'

function latestFirst(a: Entry, b: Entry): number {
  return compareCursors(cursorOf(b), cursorOf(a))
}

function corrected(fact: Fact, to: { kind: string; payload: unknown }): Fact {
  // The replacement was validated as a pair of kind and payload; only the stamp is the original's.
  return { ...fact, ...to } as Fact
}

/** The facts that count, in their resident's order, once corrections and take-backs have been heard.
 * A later amendment outranks an earlier one; taking back an amendment restores what it changed.
 * An amendment of an entry that is not in the list changes nothing. */
export function effectiveFacts(entries: readonly Entry[]): Fact[] {
  const struck = new Set<string>()
  const said = new Map<string, { kind: string; payload: unknown }>()
  for (const amendment of entries.filter(isAmendment).sort(latestFirst)) {
    if (struck.has(amendment.uid)) continue
    const { target } = amendment.payload
    if (amendment.kind === 'retracted') struck.add(target)
    else if (!said.has(target)) said.set(target, amendment.payload.to)
  }
  const facts: Fact[] = []
  for (const entry of entries) {
    if (isAmendment(entry) || struck.has(entry.uid)) continue
    const to = said.get(entry.uid)
    facts.push(to ? corrected(entry, to) : entry)
  }
  return facts.sort((a, b) => compareCursors(cursorOf(a), cursorOf(b)))
}
