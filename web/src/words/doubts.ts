import type { Doubt } from '@kobrin/core'
import { sayGrams, sayIn } from './measures.ts'
import { sayDate } from './numbers.ts'
import { sayValue } from './readings.ts'
import { sayObstacles } from './rest.ts'
import { t } from './facts.ts'

type ValueDoubt = Exclude<Doubt, { code: 'restUnfit' | 'offScale' | 'beforeArrival' }>

export function withUnit(value: number, unit: ValueDoubt['unit']): string {
  return unit === 'g' ? sayGrams(value) : sayIn(value, unit)
}

/** The value that is asked about, as somebody insists on it. */
export function sayDoubted(doubt: Exclude<Doubt, { code: 'restUnfit' }>): string {
  if (doubt.code === 'beforeArrival') return t('asSaid')
  return doubt.code === 'offScale' ? sayValue(doubt.what, doubt.value) : withUnit(doubt.value, doubt.unit)
}

/** A kind question about a value that does not fit. */
export function sayDoubt(doubt: Doubt, today: number): string {
  if (doubt.code === 'restUnfit')
    return t('noWinterRest', { obstacles: sayObstacles(doubt.obstacles, today) })
  if (doubt.code === 'beforeArrival') return t('beforeItCame', { date: sayDate(doubt.day, today) })
  if (doubt.code === 'offScale') {
    const { what, value: read, low, high } = doubt
    const says = t('readingsLieBetweenAnd', {
      value: sayValue(what, read),
      value2: sayValue(what, low),
      value3: sayValue(what, high),
    })
    return what === 'celsius' ? `${says} ${t('perhapsFahrenheit')}` : says
  }
  const value = withUnit(doubt.value, doubt.unit)
  if (doubt.code === 'implausible') {
    const between = t('and', { low: withUnit(doubt.low, doubt.unit), high: withUnit(doubt.high, doubt.unit) })
    return doubt.of === 'sheet'
      ? t('atItsStageOne', { value, between })
      : t('anyAnimalOfIts', { value, between })
  }
  const usual = withUnit(doubt.usual, doubt.unit)
  switch (doubt.code) {
    case 'slippedDecimal':
      return t('itWasAboutPerhaps', { value, usual })
    case 'farFromUsual':
      return t('itWasAboutThat', { value, usual, ratio: doubt.ratio > 1 ? t('farMore') : t('farLess') })
    case 'hugeAmount':
      return t('usuallyAbout', { value, usual })
    case 'shrunk':
      return t('itMeasuredBeforeAnd', { value, usual })
  }
}
