import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'
import { withWhy } from './kind.ts'

/** Notes to the next shift. */
export const handover = {
  noted: { says: ({ text }) => text, mends: { text: true } },
  answered: { says: ({ text }) => withWhy(t('noteAnswered'), text) },
} satisfies KindsHere
