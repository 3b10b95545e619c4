import type { Amendment, Entry, Fact } from '@kobrin/core'
import { compareCursors, cursorOf, effectiveFacts, isAmendment } from '@kobrin/core'

/** One line of the record: what was said first, and what became of it. */
export interface HistoryLine {
  entry: Fact
  /** What counts now; null when it was taken back. */
  counts: Fact | null
  /** What was said about it later, oldest first. */
  amendments: Amendment[]
}

/** Every fact with its corrections and take-backs beside it, newest first. */
export function historyLines(entries: readonly Entry[]): HistoryLine[] {
  const counting = new Map(effectiveFacts(entries).map((fact) => [fact.uid, fact]))
  const amendments = new Map<string, Amendment[]>()
  const inOrder = [...entries].sort((a, b) => compareCursors(cursorOf(a), cursorOf(b)))
  for (const entry of inOrder) {
    if (!isAmendment(entry)) continue
    const { target } = entry.payload
    amendments.set(target, [...(amendments.get(target) ?? []), entry])
  }
  const lines = inOrder.flatMap((entry): HistoryLine[] =>
    isAmendment(entry)
      ? []
      : [{ entry, counts: counting.get(entry.uid) ?? null, amendments: amendments.get(entry.uid) ?? [] }],
  )
  return lines.reverse()
}
