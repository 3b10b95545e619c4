import type { FamilyName, PlaceState, StateOf } from '@kobrin/core'
import { asRevision3, FOLD_REVISION, fromRevision3, isOpen, OTHER_SHAPE_UNTIL, placeOf } from '@kobrin/core'
import { sqlInstant } from '../database/columns.ts'
import type { AnyState } from './foldMemory.ts'

/** A fold as it lies in the database. */
export interface StoredFold {
  family: FamilyName
  revision: number
  state: string
}

/** When a fold was last changed by what happened, where nothing more may come of its subject; null while it is
 * open. */
export function closedAtOf(family: FamilyName, state: AnyState): string | null {
  return isOpen(family, state) ? null : (state.cursor?.at ?? null)
}

/** The same as it is written in a statement. */
export function closedAtText(family: FamilyName, state: AnyState): string | null {
  const at = closedAtOf(family, state)
  return at && sqlInstant(at)
}

/** Whether it was folded by an earlier version, which believed less or otherwise. */
export function isOutdated({ revision }: Pick<StoredFold, 'revision'>): boolean {
  return revision < FOLD_REVISION
}

/** Whether it lies in another shape than folds have today. */
function hasOtherShape({ revision }: Pick<StoredFold, 'revision'>): boolean {
  return revision <= OTHER_SHAPE_UNTIL
}

/** What is believed by a stored fold. Of one that was folded by an earlier version, what can be told of it until it is
 * folded again. */
export function believedIn(stored: StoredFold): AnyState {
  const state = JSON.parse(stored.state) as StateOf<FamilyName>
  return hasOtherShape(stored) ? fromRevision3(stored.family, state) : state
}

/** The fold as JSON text, for a page that knows the folds of this revision. What lies there as it knows it is passed
 * through. */
export function foldNow(stored: StoredFold): string {
  return hasOtherShape(stored) ? JSON.stringify(believedIn(stored)) : stored.state
}

/** The fold as JSON text, for a page of before any said which revision it knows. `boxOf`: what was done in a box. */
export function foldBefore(stored: StoredFold, boxOf: (enclosure: string) => PlaceState | undefined): string {
  if (hasOtherShape(stored)) return stored.state
  const state = believedIn(stored)
  const home = 'stay' in state ? placeOf(state)?.enclosure : undefined
  const box = home === undefined ? undefined : boxOf(home)
  return JSON.stringify(asRevision3(stored.family, state, box?.done))
}
