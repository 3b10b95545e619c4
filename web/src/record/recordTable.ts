import { FORMULA } from '@kobrin/contract'
import { effectiveFacts, isoDay } from '@kobrin/core'
import papaparse from 'papaparse'
import type { Whose } from './recordFile.ts'
import { t } from './words.ts'

/** What counts of what was said of one resident, a line each, for a spreadsheet. `clock` tells the time here of a
 * moment. */
export function recordTable({ entries, nameOf, say }: Whose, clock: (at: string) => string): string {
  const head = [t('pdfDay'), t('time'), t('pdfBy'), t('pdfSays')]
  const rows = effectiveFacts(entries).map((fact) => [
    isoDay(fact.day),
    clock(fact.occurredAt),
    nameOf(fact.author),
    say(fact),
  ])
  return papaparse.unparse([head, ...rows], { escapeFormulae: FORMULA })
}
