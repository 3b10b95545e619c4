import type { FilledLine } from '@kobrin/core'
import { belowHead, filledLines } from '@kobrin/core'
import Papa from 'papaparse'
import { UnreadTable } from './unreadTable.ts'
import { sheetsOf } from './workbook.ts'

/** What stands in a sheet of a file, line by line. */
export interface Lines {
  /** What the sheet is called; empty of what is no workbook. */
  name: string
  /** Those with something in them; `line` is counted from 1, as whoever opens the file counts. */
  filled: FilledLine[]
}

/** What stands in a file: its sheets, one where it is no workbook. */
export interface Sheets {
  sheets: Lines[]
  /** The letters of an older encoding were taken as those of western Europe. */
  oldLetters: boolean
}

/** A list as it was kept: a head for each column, and rows of text. */
export interface Table {
  headers: string[]
  rows: string[][]
  /** Which line of the file each of them is. */
  lines: number[]
  /** The line that names its columns. */
  head: number
}

const startsWith = (bytes: Uint8Array, ...start: number[]) => start.every((byte, at) => bytes[at] === byte)

/** Text in the encoding it was written in: with a mark at its head, else UTF-8, else the old one of the west. */
export function decoded(bytes: Uint8Array): { text: string; oldLetters: boolean } {
  const as = (encoding: string, fatal = false) => new TextDecoder(encoding, { fatal }).decode(bytes)
  if (startsWith(bytes, 0xff, 0xfe)) return { text: as('utf-16le'), oldLetters: false }
  if (startsWith(bytes, 0xfe, 0xff)) return { text: as('utf-16be'), oldLetters: false }
  try {
    return { text: as('utf-8', true), oldLetters: false }
  } catch {
    return { text: as('windows-1252'), oldLetters: true }
  }
}

/** More columns than anybody fills in; what stands further right is left aside. */
const COLUMNS_MOST = 200

/** The list below a line that names its columns: the one that seems to, where nobody says which. Throws UnreadTable where
 * nothing stands below. */
export function tableBelow({ filled }: Lines, head: number | null): Table {
  const { head: named, rows, lines } = belowHead(filled, head)
  if (rows.length === 0) throw new UnreadTable('empty')
  const width = Math.min(
    COLUMNS_MOST,
    Math.max(named?.cells.length ?? 0, ...rows.slice(0, 100).map((row) => row.length)),
  )
  const headers = Array.from({ length: width }, (_, column) => named?.cells[column]?.trim() ?? '')
  return { headers, rows, lines, head: named?.line ?? 1 }
}

/** Rows by which it is told what separates columns. */
const TELLING = 200

/** What separates the columns of a text; empty lines, which are counted when it is read, say nothing of it. */
function delimiterOf(text: string): string {
  return Papa.parse(text, { skipEmptyLines: 'greedy', preview: TELLING }).meta.delimiter
}

/** Stands for a lone quotation mark while a text is taken apart. */
const ABOVE = '〃'

/** The rows of a text with separators. A quotation mark that stands alone in its cell means "as above", and opens no text:
 * where it is taken so there are more rows. */
function rowsOf(text: string): string[][] {
  const delimiter = delimiterOf(text)
  const parsed = (some: string) => Papa.parse<string[]>(some, { delimiter }).data
  const edge = `[${delimiter === '\t' ? '\\t' : delimiter}\\r\\n]`
  const alone = new RegExp(`(?<=^|${edge})[ ]*"[ ]*(?=${edge}|$)`, 'gu')
  const rows = parsed(text)
  const marked = text.replace(alone, ABOVE)
  const others = marked === text ? rows : parsed(marked)
  return others.length > rows.length
    ? others.map((row) => row.map((cell) => (cell === ABOVE ? '"' : cell)))
    : rows
}

/** Reads a list kept as a workbook or as text with separators. Throws UnreadTable where it is neither. */
export async function readSheets(file: Blob): Promise<Sheets> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  // A workbook with a password is wrapped like those of long ago: neither can be looked into.
  if (startsWith(bytes, 0xd0, 0xcf, 0x11, 0xe0)) throw new UnreadTable('oldWorkbook')
  if (startsWith(bytes, 0x50, 0x4b)) {
    const sheets = await sheetsOf(file, bytes)
    if (sheets.length === 0) throw new UnreadTable('empty')
    return {
      sheets: sheets.map(({ name, rows }) => ({ name, filled: filledLines(rows) })),
      oldLetters: false,
    }
  }
  const { text, oldLetters } = decoded(bytes)
  if (text.includes('\u0000')) throw new UnreadTable('noText')
  return { sheets: [{ name: '', filled: filledLines(rowsOf(text)) }], oldLetters }
}
