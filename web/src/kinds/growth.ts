import type { Payload } from '@kobrin/core'
import { sayGrams, sayIn } from '../words/measures.ts'
import { terms } from '../words/terms.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'

function sayWeighed({ grams, confirmed, doubted, context, tub }: Payload<'weighed'>): string {
  const weight = sayGrams(grams)
  const says = [
    confirmed ? t('weighedLookedTwice', { grams: weight }) : t('weighed', { grams: weight }),
    ...(doubted ? [t('weighedDoubted')] : []),
    ...(context ?? []).map((one) => terms.context[one]),
  ].join(', ')
  return tub
    ? t('inBrackets', { says, why: t('inTub', { tub: tub.label, grams: sayGrams(tub.grams) }) })
    : says
}

/** Weights and measures. */
export const growth = {
  weighed: { says: sayWeighed, mends: { number: { field: 'grams', unit: 'g' } } },
  measured: {
    says: ({ part, mm }) => t('partMm', { part: terms.part[part], mm: sayIn(mm, 'mm') }),
    mends: { number: { field: 'mm', unit: 'mm' } },
  },
} satisfies KindsHere
