import type { Payload } from '@kobrin/core'
import { sayIn } from '../words/measures.ts'
import { terms } from '../words/terms.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'

export function sayWatered({ litres }: Pick<Payload<'watered'>, 'litres'>): string {
  return litres ? t('freshWaterLitres', { litres: sayIn(litres, 'l') }) : t('freshWater')
}

export function sayDampened({ end, litres }: Pick<Payload<'dampened'>, 'end' | 'litres'>): string {
  const where = end ? t('dampenedWhere', { where: terms.end[end] }) : t('dampened')
  return litres ? t('withLitres', { where, litres: sayIn(litres, 'l') }) : where
}

/** Water, damp, clean, the checks. */
export const care = {
  watered: { says: sayWatered },
  dampened: { says: sayDampened },
  cleaned: { says: ({ scope }) => (scope === 'full' ? t('fullClean') : t('spotCleaned')) },
  checked: { says: () => t('inspected') },
} satisfies KindsHere
