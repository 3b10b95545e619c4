import type { Payload } from '@kobrin/core'
import { sayValue } from '../words/readings.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'
import { sayDampened, sayWatered } from './care.ts'

function sayTended(payload: Payload<'tended'>): string {
  switch (payload.does) {
    case 'water':
      return sayWatered(payload)
    case 'dampen':
      return sayDampened(payload)
    case 'clean':
      return payload.scope === 'full' ? t('fullClean') : t('spotCleaned')
    case 'check':
      return t('inspected')
  }
}

/** What happened to a place. */
export const places = {
  vacated: { says: ({ leaves }) => (leaves === 'toClean' ? t('movedOutOfTo') : t('movedOutOfFloor')) },
  readied: { says: ({ floor }) => (floor === 'kept' ? t('emptiedFloorKept') : t('cleaned')) },
  reading: { says: ({ zone, what, value }) => `${zone}: ${sayValue(what, value)}` },
  tended: { says: sayTended },
} satisfies KindsHere
