import type { Doubt } from '@kobrin/core'
import { sayGrams, spaced } from './numbers.ts'

export function withUnit(value: number, unit: Doubt['unit']): string {
  return unit === 'g' ? sayGrams(value) : `${spaced(value)} ${unit}`
}

/** A kind question about a value that does not fit. */
export function sayDoubt(doubt: Doubt): string {
  const value = withUnit(doubt.value, doubt.unit)
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
