import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'
import { withWhy } from './kind.ts'

/** How many there are. */
export const counts = {
  counted: {
    says: ({ count, expected }) =>
      expected === undefined
        ? t('counted', { counted: count })
        : t('countedOf', { counted: count, expected }),
  },
  accounted: { says: ({ found, lost, why }) => t('missingFoundAgainGiven', { found, lost, why }) },
  gained: {
    says: ({ count, lot, from, why }, { resident }) => {
      const more =
        from === undefined
          ? t('more', { more: count })
          : t('moreTakenIn', { more: count, name: resident(from) })
      return withWhy(lot ? t('moreFoundInOld', { more: count }) : more, why)
    },
  },
  parted: { says: ({ count, into }, { resident }) => t('partedEntry', { count, name: resident(into) }) },
} satisfies KindsHere
