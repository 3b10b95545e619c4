import { words } from '../words/en.ts'
import { sayDate } from '../words/numbers.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'

/** What stops a hand. */
export const holds = {
  held: {
    says: ({ hold, until, reason }, { today }) =>
      until === undefined
        ? t('hold', { hold: words.hold[hold], reason })
        : t('holdUntil', { hold: words.hold[hold], until: sayDate(until, today), reason }),
  },
  released: {
    says: ({ hold, reason }) =>
      reason
        ? t('holdLiftedWhy', { hold: words.hold[hold], reason })
        : t('holdLifted', { hold: words.hold[hold] }),
  },
} satisfies KindsHere
