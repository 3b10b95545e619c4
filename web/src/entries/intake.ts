import type { Bookmark, KeptEntry, Receipt } from '@kobrin/contract'
import { advanced } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { Ledger } from './ledger.ts'
import type { createUndelivered } from './undelivered.ts'

interface IntakeOptions {
  ledger: Ledger
  undelivered: ReturnType<typeof createUndelivered>
  /** What a subject adds up to is asked of the server. */
  reload: (subject: string) => void
  reloadSite: () => void
  /** What lies on this device about a subject is no longer all that is known. */
  touched: (entry: KeptEntry) => void
  /** The server answers for entries again. */
  answered: () => void
}

/** Takes in entries: those made here, those the server answers for, and those of everyone else. */
export function createIntake({ ledger, undelivered, reload, reloadSite, touched, answered }: IntakeOptions) {
  /** How far the feed was read in this tab, here or by the tab that holds the line. */
  let read: Bookmark = {}

  function added(entries: readonly Entry[]): void {
    ledger.add(entries)
    for (const { uid, subject } of entries) {
      undelivered.waiting.add(uid)
      if (!ledger.isBegun(subject)) reload(subject)
    }
  }

  function hear(entry: KeptEntry): void {
    read = advanced(read, entry)
    undelivered.waiting.delete(entry.uid)
    touched(entry)
    if (ledger.heard(entry)) reload(entry.subject)
    // The number of a newcomer is given out by the server.
    if (entry.kind === 'registered') reloadSite()
  }

  function receive(receipt: Receipt, entry: Entry): void {
    answered()
    undelivered.waiting.delete(entry.uid)
    if (receipt.status === 'refused') {
      ledger.drop(entry)
      return undelivered.refuse(entry, receipt.message)
    }
    const { stream, seq } = receipt
    if (ledger.heard({ ...entry, stream, seq, recordedAt: entry.occurredAt })) reload(entry.subject)
  }

  return { read: () => read, readFrom: (head: Bookmark) => (read = head), added, hear, receive }
}
