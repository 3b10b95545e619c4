import type { Doubt, WeighingDoubt } from '@kobrin/core'
import { sayDoubt } from '../words/doubts.ts'
import { sayGrams, sayRangeIn } from '../words/measures.ts'
import { spaced } from '../words/spaced.ts'
import { t } from './words.ts'

type Asked = Doubt | WeighingDoubt

const OWN: ReadonlySet<Asked['code']> = new Set(['justWeighed', 'notTared', 'taredTwice', 'outsideExpected'])

function isOwn(doubt: Asked): doubt is WeighingDoubt {
  return OWN.has(doubt.code)
}

/** Grams from one to another, as a balance shows them. */
export function sayBetween(range: readonly [number, number]): string {
  const fine = (value: number) => spaced(value >= 100 ? Math.round(value) : Number(value.toPrecision(3)))
  return sayRangeIn(range, 'g', fine)
}

/** A kind question about what was read at the balance. */
export function sayQuestion(doubt: Asked, today: number): string {
  if (!isOwn(doubt)) return sayDoubt(doubt, today)
  const value = sayGrams(doubt.value)
  switch (doubt.code) {
    case 'justWeighed':
      return t('justWeighed', { value, usual: sayGrams(doubt.usual) })
    case 'notTared':
    case 'taredTwice':
      return t(doubt.code, { value, tub: doubt.tub, instead: sayGrams(doubt.instead) })
    case 'outsideExpected':
      return t('outsideExpected', { value, between: sayBetween([doubt.low, doubt.high]) })
  }
}

/** What was perhaps meant; null where nobody can say. */
export function insteadOf(doubt: Asked): number | null {
  return 'instead' in doubt ? doubt.instead : null
}
