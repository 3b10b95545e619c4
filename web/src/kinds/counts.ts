import type { Ask, ExceptionsFor } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'
import { withWhy } from './kind.ts'

function counting({ residentId }: ExceptionsFor): Ask {
  return {
    type: 'form',
    fields: [
      {
        name: 'count',
        label: asks('counted'),
        type: 'number',
        unit: asks('animals'),
        whole: true,
        orNone: true,
        value: '',
        required: true,
      },
      {
        name: 'expected',
        label: asks('expected'),
        type: 'number',
        unit: asks('animals'),
        whole: true,
        orNone: true,
        value: '',
      },
    ],
    draft: ({ number }) => {
      const expected = number('expected')
      const count = number('count') ?? 0
      return {
        subject: residentId,
        kind: 'counted',
        payload: { count, ...(expected !== undefined && { expected }) },
      }
    },
  }
}

/** How many there are. */
export const counts = {
  counted: {
    says: ({ count, about, expected }) =>
      expected === undefined
        ? t('counted', { counted: about ? t('aboutSo', { value: count }) : count })
        : t('countedOf', { counted: count, expected }),
    offers: (one) => [{ id: 'count', key: 'k', label: asks('counted'), ask: counting(one) }],
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
