import type { Draft } from '@kobrin/core'
import { t } from './words.ts'

/** What becomes of a place that is left empty. */
export interface PlaceLeft {
  leaves: 'toClean' | 'toHold' | 'nothing'
  /** Where an old floor is kept that is put aside. */
  floorAt: string
}

/** What the place lacks that it could be left without; of one in which others live on, nothing. */
export function wrongWithPlace({ leaves, floorAt }: PlaceLeft, othersStay: boolean): Record<string, string> {
  return leaves === 'toHold' && !othersStay && floorAt.trim() === '' ? { at: t('sayWhereTheOld') } : {}
}

/** What is recorded of a place that is left empty: that it waits to be cleaned, or where its floor went. */
export function placeLeftDrafts(
  { leaves, floorAt }: PlaceLeft,
  { resident, from, newLot }: { resident: string; from: string; newLot: () => string },
): Draft[] {
  switch (leaves) {
    case 'nothing':
      return []
    case 'toClean':
      return [{ subject: from, kind: 'vacated', payload: { resident, leaves } }]
    case 'toHold':
      return [
        { subject: newLot(), kind: 'floorKept', payload: { of: resident, at: floorAt.trim(), from } },
        { subject: from, kind: 'readied', payload: { floor: 'kept' } },
      ]
  }
}
