import type { Rest } from '@kobrin/core'
import { sayGrams } from './measures.ts'
import { t } from './facts.ts'

/** What a sheet asks of a winter rest. */
export function sayRest({
  fastDays,
  leastGrams,
  settledDays,
  weighedWithin,
  stopAtLoss,
  stopAtUrine,
  wake,
}: Rest): string {
  return [
    ...(fastDays > 0 ? [t('noFoodForDays', { count: fastDays })] : []),
    ...(leastGrams === undefined ? [] : [t('noneBelow', { grams: sayGrams(leastGrams) })]),
    t('noneThatCameLess', { count: settledDays }),
    ...(stopAtLoss === undefined ? [] : [t('weighedWithinDaysAlso', { count: weighedWithin })]),
    ...(stopAtLoss === undefined ? [] : [t('wokenWhenOfIts', { stopAtLoss: Math.round(stopAtLoss * 100) })]),
    ...(stopAtUrine ? [t('wokenWhenItPasses')] : []),
    t('toWakeIt', { wake: wake.join('; ') }),
  ].join(' ')
}
