import type { WeightAhead, WeightAheadInput } from '@kobrin/core'
import { sayGrams, sayGramsAbout } from '../words/measures.ts'
import { sayDate } from '../words/numbers.ts'
import { spaced } from '../words/spaced.ts'
import { t } from './words.ts'

function percent(share: number): string {
  return spaced(Math.round(share * 1000) / 10)
}

/** Change in a week with its interval, in per cent. */
export function sayPerWeek({ low, mid, high }: NonNullable<WeightAhead['perWeek']>): string {
  return t('perWeek', { mid: percent(mid), low: percent(low), high: percent(high) })
}

/** The curve it grows by, and when it reaches what; nothing where the weights have none. */
export function sayGrowth(
  { curve, target, offCurve }: WeightAhead,
  { growth, day: today }: Pick<WeightAheadInput, 'growth' | 'day'>,
): string[] {
  if (offCurve) {
    const { grams, low, high, until } = offCurve
    return [
      t(grams < low ? 'belowCurve' : 'aboveCurve', {
        grams: sayGrams(grams),
        date: sayDate(until, today),
        between: sayGramsAbout([low, high]),
      }),
    ]
  }
  if ('refused' in curve) return target?.passed ? [] : [t('noCurve')]
  const least = growth?.grown[0]
  // Weights of the first months bend wherever they like.
  if (least !== undefined && curve.grown + 2 * curve.grownSe < least)
    return [t('curveTooEarly', { grown: sayGrams(curve.grown), least: sayGrams(least) })]
  const says = [
    t('growsTowards', { grown: sayGrams(curve.grown), se: sayGrams(curve.grownSe) }),
    ...(curve.undecided ? [t('shapeUndecided')] : []),
  ]
  if (!target || target.passed) return says
  const grams = sayGrams(target.grams)
  const { on } = target
  return [
    ...says,
    on
      ? t('reaches', {
          grams,
          date: sayDate(Math.round(on.day), today),
          low: sayDate(Math.round(on.low), today),
          high: sayDate(Math.round(on.high), today),
        })
      : t('neverReaches', { grams }),
  ]
}
