import type { FamilyName, StateOf } from '@kobrin/core'
import { LRUCache } from 'lru-cache'

/** Subjects remembered at most: enough for everyone on shift, whatever the size of the house. */
const REMEMBERED = 2000
const FAMILIES_REMEMBERED = 60_000

export type AnyState = StateOf<FamilyName>

/** A subject's fold as it stands in the database. */
export interface Fold {
  family: FamilyName
  state: AnyState
  /** How often it was written: what is written over it is written only if it still is so. */
  version: number
  upTo: string
  /** An earlier version folded it: only the whole history can tell what it adds up to now. */
  outdated?: true
}

export interface FoldMemory {
  recall: (subject: string) => Fold | undefined
  keep: (subject: string, fold: Fold) => void
  forget: (subjects: Iterable<string>) => void
  /** Of a subject that is there. Only places are ever taken away: those are not known by heart. */
  familyOf: (subject: string) => FamilyName | undefined
  keepFamily: (subject: string, family: FamilyName) => void
}

/** Folds as this server wrote them last, so that a subject's next entry need not read them back. The
 * database stays the authority: see `writeTogether`. */
export function createFoldMemory(): FoldMemory {
  const folds = new LRUCache<string, Fold>({ max: REMEMBERED })
  const families = new LRUCache<string, FamilyName>({ max: FAMILIES_REMEMBERED })
  return {
    recall: (subject) => folds.get(subject),
    keep(subject, fold) {
      folds.set(subject, fold)
      families.set(subject, fold.family)
    },
    forget(subjects) {
      for (const subject of subjects) folds.delete(subject)
    },
    familyOf(subject) {
      const family = families.get(subject)
      // A box that never held anybody may be taken away again, also by another server: whether it is there is looked up.
      return family === 'place' ? undefined : family
    },
    keepFamily: (subject, family) => void families.set(subject, family),
  }
}
