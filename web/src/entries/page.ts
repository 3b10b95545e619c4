import type { Bookmark, KeptEntry } from '@kobrin/contract'
import type { Echo, Entry, FamilyName, StateOf } from '@kobrin/core'
import { isEcho } from '@kobrin/core'

/** What is believed about a subject, of whatever family. */
export type AnyState = StateOf<FamilyName>

/** What is known here of one subject. */
export interface Page {
  base: AnyState | null
  upTo: Bookmark
  /** Entries after it: our own, waiting or kept, and everyone else's; and what entries about others say of it. */
  since: (Entry | Echo)[]
  /** False when only the server can tell what they add up to. */
  complete: boolean
}

/** Kept entries beyond a fold before the fold is fetched again: a long day must not make every touch
 * fold the whole of it again. */
const SINCE_MOST = 40

export function isKept<E extends Entry | Echo>(entry: E): entry is E & Pick<KeptEntry, 'stream' | 'seq'> {
  return 'seq' in entry
}

/** An entry about the subject itself. */
export function isOwn(one: Entry | Echo): one is Entry {
  return !isEcho(one)
}

/** So much came since the fold that it is to be fetched again. */
export function isLong({ since }: Page): boolean {
  return since.filter(isKept).length > SINCE_MOST
}
