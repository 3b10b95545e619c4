import type { EntryKind } from './entry.ts'

type AmendmentKind = 'corrected' | 'retracted'

export function isAmendment<E extends { kind: EntryKind }>(
  entry: E,
): entry is Extract<E, { kind: AmendmentKind }> {
  return entry.kind === 'corrected' || entry.kind === 'retracted'
}
