import type { Draft, Entry, Fact } from '@kobrin/core'
import type { About, EntryTeller } from '../kinds/kind.ts'
import { kindHere } from '../kinds/kindsHere.ts'
import { t } from './facts.ts'

function sayFact(fact: Pick<Fact, 'kind' | 'payload'>, about: About): string {
  // A newer version wrote it: it is kept, and read once this page is taken anew.
  return kindHere(fact.kind)?.says(fact.payload as never, about) ?? t('saidByNewer')
}

/** What an entry says, or would say, in one line. */
export function sayDraft(entry: Draft, teller: EntryTeller): string {
  const about = { ...teller, of: entry.subject }
  if (entry.kind === 'retracted') return t('tookBackAnEntry', { why: entry.payload.why })
  if (entry.kind === 'corrected')
    return t('correctedTo', { fact: sayFact(entry.payload.to, about), why: entry.payload.why })
  return sayFact(entry, about)
}

export function sayEntry(entry: Entry, teller: EntryTeller): string {
  return sayDraft(entry, teller)
}
