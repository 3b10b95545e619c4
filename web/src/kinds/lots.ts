import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'
import { withWhy } from './kind.ts'

/** Batches: so far old floor that was put aside. */
export const lots = {
  floorKept: { says: ({ at }) => t('oldFloorPutAside', { at }) },
  floorChecked: {
    says: ({ found, count }) =>
      found === 'nothing'
        ? t('oldFloorNothingAlive')
        : count === undefined
          ? t('oldFloorSome', { found })
          : t('oldFloorSomeCounted', { animals: count, found }),
  },
  floorDisposed: { says: ({ why }) => withWhy(t('oldFloorThrownAway'), why) },
} satisfies KindsHere
