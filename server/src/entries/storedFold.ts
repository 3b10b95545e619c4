import type { FamilyName, StateOf } from '@kobrin/core'
import { asRevision3, FOLD_REVISION, fromRevision3, UNSAID_REVISION } from '@kobrin/core'
import type { AnyState } from './foldMemory.ts'

/** A fold as it lies in the database. */
export interface StoredFold {
  family: FamilyName
  revision: number
  state: string
}

/** Whether it was folded by an earlier version, which believed less or otherwise. */
export function isOutdated({ revision }: Pick<StoredFold, 'revision'>): boolean {
  return revision < FOLD_REVISION
}

/** What is believed by a stored fold. Of one that was folded by an earlier version, what can be told of it until it is
 * folded again. */
export function believedIn(stored: StoredFold): AnyState {
  const state = JSON.parse(stored.state) as StateOf<FamilyName>
  return isOutdated(stored) ? fromRevision3(stored.family, state) : state
}

/** The fold as JSON text, for a page that knows the folds of some revision. What it knows as it lies there is passed
 * through. */
export function toldTo(revision: number, stored: StoredFold): string {
  if (revision <= UNSAID_REVISION)
    return isOutdated(stored) ? stored.state : JSON.stringify(asRevision3(stored.family, believedIn(stored)))
  return isOutdated(stored) ? JSON.stringify(believedIn(stored)) : stored.state
}
