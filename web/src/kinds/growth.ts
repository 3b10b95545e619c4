import type { BodyPart, Payload, SheetGroup } from '@kobrin/core'
import type { Ask, ExceptionsFor } from '../exceptions/ask.ts'
import { choice, taskFor } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { sayGrams, sayIn } from '../words/measures.ts'
import { terms } from '../words/terms.ts'
import { words } from '../words/en.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'

const PARTS: Readonly<Record<'backboned' | 'legged' | 'shelled', readonly BodyPart[]>> = {
  backboned: ['length', 'girth', 'headWidth', 'eyeGap'],
  legged: ['length', 'legSpan', 'carapaceLength', 'abdomenLength', 'abdomenWidth'],
  shelled: ['shellDiameter', 'length'],
}

const BACKBONED: readonly SheetGroup[] = ['snake', 'lizard', 'frog', 'salamander', 'fish', 'rodent']

/** What of an animal is measured, that which is measured first in front. */
export function partsOf(group: SheetGroup): readonly BodyPart[] {
  if (group === 'whipSpider') return ['whipLength', ...PARTS.legged]
  if (['snail', 'tortoise', 'turtle'].includes(group)) return PARTS.shelled
  return BACKBONED.includes(group) ? PARTS.backboned : PARTS.legged
}

function sayWeighed({ grams, about, confirmed, doubted, context, tub }: Payload<'weighed'>): string {
  const weight = about ? t('aboutSo', { value: sayGrams(grams) }) : sayGrams(grams)
  const says = [
    confirmed ? t('weighedLookedTwice', { grams: weight }) : t('weighed', { grams: weight }),
    ...(doubted ? [t('weighedDoubted')] : []),
    ...(context ?? []).map((one) => terms.context[one]),
  ].join(', ')
  return tub
    ? t('inBrackets', { says, why: t('inTub', { tub: tub.label, grams: sayGrams(tub.grams) }) })
    : says
}

function weighing({ residentId, day }: ExceptionsFor): Ask {
  const duty = taskFor(day, 'weigh')?.duty.id
  return {
    type: 'number',
    label: asks('weight'),
    unit: 'g',
    draft: (grams) => ({ subject: residentId, kind: 'weighed', payload: { ...(duty && { duty }), grams } }),
  }
}

function measuring({ residentId, group, day }: ExceptionsFor): Ask {
  const duty = taskFor(day, 'measure')?.duty.id
  return choice(
    partsOf(group).map((part) => ({
      label: words.part[part],
      then: {
        type: 'number',
        label: words.part[part],
        unit: 'mm',
        draft: (mm) => ({
          subject: residentId,
          kind: 'measured',
          payload: { ...(duty && { duty }), part, mm },
        }),
      },
    })),
  )
}

/** Weights and measures. */
export const growth = {
  weighed: {
    says: sayWeighed,
    mends: { number: { field: 'grams', unit: 'g' } },
    offers: (one) => [{ id: 'weigh', key: 'w', label: asks('weigh'), ask: weighing(one) }],
  },
  measured: {
    says: ({ part, mm, about }) => {
      const size = sayIn(mm, 'mm')
      return t('partMm', { part: words.part[part], mm: about ? t('aboutSo', { value: size }) : size })
    },
    mends: { number: { field: 'mm', unit: 'mm' } },
    offers: (one) => [{ id: 'measure', key: 'm', label: asks('measure'), ask: measuring(one) }],
  },
} satisfies KindsHere
