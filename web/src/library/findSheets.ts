import type { SheetSummary } from '@kobrin/contract'
import { care } from '../words/care.ts'

function folded(text: string): string {
  return text.toLowerCase().normalize('NFD').replaceAll(/\p{M}/gu, '')
}

/** Sheets whose names or group hold every word of the query. */
export function findSheets(query: string, sheets: readonly SheetSummary[]): SheetSummary[] {
  const parts = folded(query).split(/\s+/).filter(Boolean)
  return sheets.filter(({ common, latin, otherNames, group }) => {
    const text = folded([common, latin, ...otherNames, care.group[group]].join(' '))
    return parts.every((part) => text.includes(part))
  })
}
