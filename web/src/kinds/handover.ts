import type { Ask, ExceptionsFor } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'
import { withWhy } from './kind.ts'

function noting({ residentId }: ExceptionsFor): Ask {
  return {
    type: 'text',
    prompt: asks('note'),
    draft: (text) => ({ subject: residentId, kind: 'noted', payload: { text } }),
  }
}

/** Notes to the next shift. */
export const handover = {
  noted: {
    says: ({ text }) => text,
    mends: { text: true },
    offers: (one) => [{ id: 'note', key: 't', label: asks('noteForTheNext'), ask: noting(one) }],
  },
  answered: { says: ({ text }) => withWhy(t('noteAnswered'), text) },
} satisfies KindsHere
