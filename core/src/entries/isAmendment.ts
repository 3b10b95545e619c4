import type { Amendment, Entry } from './entry.ts'

export function isAmendment(entry: Entry): entry is Amendment {
  return entry.kind === 'corrected' || entry.kind === 'retracted'
}
