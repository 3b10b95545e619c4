import type { Doubt } from '@kobrin/core'
import { sayGrams, spaced } from './numbers.ts'
import { sayValue } from './readings.ts'
import { sayObstacles } from './rest.ts'

type ValueDoubt = Exclude<Doubt, { code: 'restUnfit' | 'offScale' }>

export function withUnit(value: number, unit: ValueDoubt['unit']): string {
  return unit === 'g' ? sayGrams(value) : `${spaced(value)} ${unit}`
}

/** The value that is asked about, as somebody insists on it. */
export function sayDoubted(doubt: Exclude<Doubt, { code: 'restUnfit' }>): string {
  return doubt.code === 'offScale' ? sayValue(doubt.what, doubt.value) : withUnit(doubt.value, doubt.unit)
}

/** A kind question about a value that does not fit. */
export function sayDoubt(doubt: Doubt, today: number): string {
  if (doubt.code === 'restUnfit') return `No winter rest: ${sayObstacles(doubt.obstacles, today)}.`
  if (doubt.code === 'offScale') {
    const { what, value: read, low, high } = doubt
    const fahrenheit = what === 'celsius' ? ' Perhaps it was °F.' : ''
    return `${sayValue(what, read)}? Readings lie between ${sayValue(what, low)} and ${sayValue(what, high)}.${fahrenheit}`
  }
  const value = withUnit(doubt.value, doubt.unit)
  if (doubt.code === 'implausible') {
    const between = `${withUnit(doubt.low, doubt.unit)} and ${withUnit(doubt.high, doubt.unit)}`
    return doubt.of === 'sheet'
      ? `${value}? At its stage one can be between ${between}.`
      : `${value}? Any animal of its group is between ${between}.`
  }
  const usual = withUnit(doubt.usual, doubt.unit)
  switch (doubt.code) {
    case 'slippedDecimal':
      return `${value}? It was about ${usual}. Perhaps the decimal slipped.`
    case 'farFromUsual':
      return `${value}? It was about ${usual}; that is ${doubt.ratio > 1 ? 'far more' : 'far less'}.`
    case 'hugeAmount':
      return `${value}? Usually about ${usual}.`
    case 'shrunk':
      return `${value}? It measured ${usual} before, and this part does not shrink.`
  }
}
