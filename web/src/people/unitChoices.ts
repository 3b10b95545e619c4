import type { Units } from '@kobrin/contract'
import { choicesOf } from '../fields/choicesOf.ts'
import { t } from './words.ts'

/** Time zones of places where the other units are the usual ones. A browser's language says less: half of the world
 * reads American English. */
const OTHERWISE =
  /^(US\/|America\/(New_York|Detroit|Kentucky|Indiana|Chicago|Menominee|North_Dakota|Denver|Boise|Phoenix|Los_Angeles|Anchorage|Juneau|Sitka|Metlakatla|Yakutat|Nome|Adak)|Pacific\/Honolulu)/

/** What somebody whose clocks stand so is likely to measure in. */
export function usualUnits(zone: string): Units {
  return OTHERWISE.test(zone) ? 'us' : 'metric'
}

export function unitChoices() {
  return choicesOf<Units>({ metric: t('metric'), us: t('us') })
}
