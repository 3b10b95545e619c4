import { terms } from '../words/terms.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'

/** What was observed. */
export const health = {
  observed: {
    says: ({ text, severity }) => t('inBrackets', { says: text, why: terms.severity[severity] }),
    mends: { text: true },
  },
  condition: { says: ({ score }) => t('bodyConditionEntry', { score }) },
} satisfies KindsHere
