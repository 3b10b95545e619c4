import { plain } from '../house.ts'
import type { Column } from '../columns/meaning.ts'

/** Marks that stand for what stands above. */
const SAME = new Set([
  '"',
  "''",
  '””',
  '“',
  '”',
  '″',
  '〃',
  '-"-',
  "-''-",
  '- " -',
  'ditto',
  'do.',
  'same',
  'same as above',
  'as above',
  'see above',
  '↓',
  '^',
  '"""',
])

/** Whether a cell says that the one above says it: a mark, "ditto", "same as above". */
export function isSameAsAbove(cell: string): boolean {
  return cell.length < 20 && SAME.has(plain(cell).replace(/[.]$/u, ''))
}

/** Fills down, row by row, what is marked to be as above, and in columns that are read so what is left empty as well. */
export function filler(columns: readonly Column[]): (row: readonly string[]) => string[] {
  const above: string[] = []
  return (row) => {
    const isEmpty = row.every((cell) => cell.trim() === '')
    return columns.map(({ down }, at) => {
      const cell = row[at] ?? ''
      const isFilled = isSameAsAbove(cell) || (down === true && cell.trim() === '' && !isEmpty)
      const now = isFilled ? (above[at] ?? '') : cell
      if (now.trim() !== '') above[at] = now
      return now
    })
  }
}
