import { FORMULA } from '@kobrin/contract'

/** A cell of a table as it is saved for a spreadsheet: what would be taken for a formula there is marked as text. */
export function forSpreadsheet({ data }: { data: unknown }): string {
  const marked = typeof data === 'string' && FORMULA.test(data) ? `'${data}` : String(data)
  return marked.replaceAll('"', '""')
}
