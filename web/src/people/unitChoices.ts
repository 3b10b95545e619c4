import type { Units } from '@kobrin/contract'
import { choicesOf } from '../fields/choicesOf.ts'
import { t } from './words.ts'

/** Where the other units are the usual ones. */
const OTHERWISE = /-(US|LR|MM)$/

/** What somebody with this browser is likely to measure in. */
export function usualUnits(language = globalThis.navigator.language): Units {
  return OTHERWISE.test(language) ? 'us' : 'metric'
}

export function unitChoices() {
  return choicesOf<Units>({ metric: t('metric'), us: t('us') })
}
