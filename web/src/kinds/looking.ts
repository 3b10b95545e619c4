import type { DroppingsKind } from '@kobrin/core'
import type { ExceptionsFor } from '../exceptions/ask.ts'
import { choice, nothing, taskFor } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { terms } from '../words/terms.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'

const DROPPINGS = Object.keys(terms.droppings) as DroppingsKind[]

function notSeen({ residentId, day }: ExceptionsFor) {
  const duty = taskFor(day, 'look')?.duty.id
  return nothing({
    subject: residentId,
    kind: 'looked',
    payload: { ...(duty !== undefined && { duty }), seen: false },
  })
}

function lyingThere({ residentId }: ExceptionsFor) {
  return choice(
    DROPPINGS.map((kind) => ({
      label: terms.droppings[kind],
      then: nothing({ subject: residentId, kind: 'droppings', payload: { kind } }),
    })),
  )
}

/** Seen, or not. */
export const looking = {
  looked: {
    says: ({ seen }) => (seen ? t('seen') : t('lookedNotSeen')),
    offers: (one) => [{ id: 'unseen', key: 'z', label: asks('lookedNotSeen'), ask: notSeen(one) }],
  },
  droppings: {
    says: ({ kind }) => t('droppings', { droppings: terms.droppings[kind] }),
    offers: (one) => [{ id: 'droppings', key: 'o', label: asks('droppings'), ask: lyingThere(one) }],
  },
} satisfies KindsHere
