import type { Payload } from '@kobrin/core'
import { sayGrams } from '../words/measures.ts'
import { words } from '../words/en.ts'
import { spaced } from '../words/spaced.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'

function sayMeal(payload: Payload<'fed'>): string {
  const { item, size, count, grams, supplements, outcome, why, inSight, uneaten } = payload
  const amount = count === undefined ? (grams === undefined ? [] : [sayGrams(grams)]) : [spaced(count)]
  const food = [...amount, item, ...(size ? [size] : [])].join(' ')
  const meal = supplements?.length ? t('dustedWith', { food, dust: supplements.join(', ') }) : food
  const told = uneaten ? t('lastFoodThere') : t('mealOutcome', { meal, outcome: words.outcome[outcome] })
  const says = inSight ? t('inSight', { says: told }) : told
  return why ? t('inBrackets', { says, why }) : says
}

function sayBowl({ found, leftFraction, refilled }: Payload<'bowl'>): string {
  return [
    t('bowlFound', { found }),
    ...(leftFraction === undefined ? [] : [t('percentLeft', { percent: Math.round(leftFraction * 100) })]),
    ...(refilled ? [t('refilled')] : []),
  ].join(', ')
}

/** What was offered, and what became of it. */
export const feeding = {
  fed: { says: sayMeal, mends: { number: { field: 'count', unit: 'pieces' }, outcome: true } },
  bowl: { says: sayBowl },
} satisfies KindsHere
