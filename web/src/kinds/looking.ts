import { terms } from '../words/terms.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'

/** Seen, or not. */
export const looking = {
  looked: { says: ({ seen }) => (seen ? t('seen') : t('lookedNotSeen')) },
  droppings: { says: ({ kind }) => t('droppings', { droppings: terms.droppings[kind] }) },
} satisfies KindsHere
