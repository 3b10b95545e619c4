import { headLineOf } from '@kobrin/core'
import Papa from 'papaparse'
import { readSheet } from 'read-excel-file/web-worker'

/** What stands in a file, line by line. */
export interface Lines {
  /** Those with something in them; `line` is counted from 1, as whoever opens the file counts. */
  filled: { line: number; cells: string[] }[]
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

export type TableFault = 'empty' | 'oldWorkbook' | 'noWorkbook' | 'noText'

export class UnreadTable extends Error {
  readonly code: TableFault

  constructor(code: TableFault) {
    super(code)
    this.code = code
  }
}

const startsWith = (bytes: Uint8Array, ...start: number[]) => start.every((byte, at) => bytes[at] === byte)

function dayAndTime(date: Date): string {
  const iso = date.toISOString()
  return iso.endsWith('T00:00:00.000Z') ? iso.slice(0, 10) : iso.slice(0, 16).replace('T', ' ')
}

function asText(cell: unknown): string {
  if (cell instanceof Date) return dayAndTime(cell)
  return typeof cell === 'string' || typeof cell === 'number' || typeof cell === 'boolean' ? String(cell) : ''
}

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

function linesOf(cells: readonly (readonly string[])[], oldLetters: boolean): Lines {
  const filled = cells.flatMap((row, at) =>
    row.some((cell) => cell.trim() !== '') ? [{ line: at + 1, cells: [...row] }] : [],
  )
  return { filled, oldLetters }
}

/** The list below a line that names its columns: the one that seems to, where nobody says which. Throws UnreadTable where
 * nothing stands below. */
export function tableBelow({ filled }: Lines, head: number | null): Table {
  const said = filled.findIndex(({ line }) => line === head)
  const at = said >= 0 ? said : headLineOf(filled.map(({ cells }) => cells))
  const below = filled.slice(at + 1)
  const rows = below.map(({ cells }) => cells)
  const { line = 1, cells: named = [] } = filled[at] ?? {}
  if (rows.length === 0) throw new UnreadTable('empty')
  const width = Math.max(named.length, ...rows.slice(0, 100).map((row) => row.length))
  const headers = Array.from({ length: width }, (_, column) => named[column]?.trim() ?? '')
  return { headers, rows, lines: below.map((one) => one.line), head: line }
}

/** Rows by which it is told what separates columns. */
const TELLING = 200

/** What separates the columns of a text; empty lines, which are counted when it is read, say nothing of it. */
function delimiterOf(text: string): string {
  return Papa.parse(text, { skipEmptyLines: 'greedy', preview: TELLING }).meta.delimiter
}

/** Reads a list kept as a workbook or as text with separators. Throws UnreadTable where it is neither. */
export async function readLines(file: Blob): Promise<Lines> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  // A workbook with a password is wrapped like those of long ago: neither can be looked into.
  if (startsWith(bytes, 0xd0, 0xcf, 0x11, 0xe0)) throw new UnreadTable('oldWorkbook')
  if (startsWith(bytes, 0x50, 0x4b)) {
    const sheet = await readSheet(file).catch(() => {
      throw new UnreadTable('noWorkbook')
    })
    return linesOf(
      sheet.map((row) => row.map(asText)),
      false,
    )
  }
  const { text, oldLetters } = decoded(bytes)
  if (text.includes('\u0000')) throw new UnreadTable('noText')
  return linesOf(Papa.parse<string[]>(text, { delimiter: delimiterOf(text) }).data, oldLetters)
}
