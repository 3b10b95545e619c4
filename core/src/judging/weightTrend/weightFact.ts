import type { Reason } from '../reasons/reason.ts'
import type { WeightLevel } from './weightLevel.ts'

/** The present weight as a reason. */
export function weightFact({ grams, day, readings, suspects }: WeightLevel): Reason {
  return { fact: 'weight', grams, day, readings, suspects: suspects.length }
}
