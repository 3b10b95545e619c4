import type { Ask, ExceptionsFor } from '../exceptions/ask.ts'
import { choice, nothing } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { terms } from '../words/terms.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'

const SCORES = [1, 2, 3, 4, 5] as const

function seeing({ residentId }: ExceptionsFor): Ask {
  return {
    type: 'graded',
    prompt: asks('whatDidYouSee'),
    draft: (text, severity) => ({ subject: residentId, kind: 'observed', payload: { text, severity } }),
  }
}

function scoring({ residentId }: ExceptionsFor): Ask {
  return choice(
    SCORES.map((score) => ({
      label: `${score} ${terms.condition[score]}`,
      then: nothing({ subject: residentId, kind: 'condition', payload: { score } }),
    })),
  )
}

/** What was observed. */
export const health = {
  observed: {
    says: ({ text, severity }) => t('inBrackets', { says: text, why: terms.severity[severity] }),
    mends: { text: true },
    offers: (one) => [{ id: 'saw', key: 'n', label: asks('sawSomething'), ask: seeing(one) }],
  },
  condition: {
    says: ({ score }) => t('bodyConditionEntry', { score }),
    offers: (one) => [{ id: 'condition', key: 'q', label: asks('bodyCondition'), ask: scoring(one) }],
  },
} satisfies KindsHere
