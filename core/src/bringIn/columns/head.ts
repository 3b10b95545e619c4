import { meaningHeaded } from './guess.ts'

/** Lines from the top among which the head of a list is looked for. */
const LOOKED_AT = 12
/** What is longer is a sentence, and names no column. */
const NAME_MOST = 40

const filledIn = (line: readonly string[]) => line.filter((cell) => cell.trim() !== '').length

/** How many columns of different meaning a line names. */
function namedIn(line: readonly string[]): number {
  const names = line.filter((cell) => cell.trim() !== '' && cell.length <= NAME_MOST)
  return new Set(names.flatMap((cell) => meaningHeaded(cell) ?? [])).size
}

/** Which line of a list names its columns, counted from 0: titles, dates of print and empty lines may stand above it. It
 * is the first that names more columns than any other; where none names two, the first that fills at least half as many
 * cells as the fullest. */
export function headLineOf(lines: readonly (readonly string[])[]): number {
  const looked = lines.slice(0, LOOKED_AT)
  const named = looked.map(namedIn)
  const most = Math.max(0, ...named)
  if (most >= 2) return named.indexOf(most)
  const filled = looked.map(filledIn)
  const half = Math.max(1, ...filled) / 2
  return Math.max(
    0,
    filled.findIndex((count) => count >= half),
  )
}

/** A line with something in it, and which of the file it is, counted from 1. */
export interface FilledLine {
  line: number
  cells: string[]
}

/** The lines with something in them. */
export function filledLines(lines: readonly (readonly string[])[]): FilledLine[] {
  return lines.flatMap((cells, at) => (filledIn(cells) > 0 ? [{ line: at + 1, cells: [...cells] }] : []))
}

/** The line that names the columns, as somebody said or else the one that seems to, and what stands below it. */
export function belowHead(
  filled: readonly FilledLine[],
  said: number | null,
): { head: FilledLine | undefined; rows: string[][]; lines: number[] } {
  const told = filled.findIndex(({ line }) => line === said)
  const at = told >= 0 ? told : headLineOf(filled.map(({ cells }) => cells))
  const below = filled.slice(at + 1)
  return { head: filled[at], rows: below.map(({ cells }) => cells), lines: below.map(({ line }) => line) }
}
