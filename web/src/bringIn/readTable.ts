import Papa from 'papaparse'
import { readSheet } from 'read-excel-file/web-worker'

/** A list as it was kept: a head for each column, and rows of text. */
export interface Table {
  headers: string[]
  rows: string[][]
  /** The letters of an older encoding were taken as those of western Europe. */
  oldLetters: boolean
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

function tableOf(cells: readonly (readonly string[])[], oldLetters: boolean): Table {
  const filled = cells.filter((row) => row.some((cell) => cell.trim() !== ''))
  const [headers = [], ...rows] = filled
  if (rows.length === 0) throw new UnreadTable('empty')
  const width = Math.max(headers.length, ...rows.slice(0, 100).map((row) => row.length))
  const named = Array.from({ length: width }, (_, at) => headers[at]?.trim() ?? '')
  return { headers: named, rows: rows.map((row) => [...row]), oldLetters }
}

/** Reads a list kept as a workbook or as text with separators. Throws UnreadTable where it is neither. */
export async function readTable(file: Blob): Promise<Table> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  // A workbook with a password is wrapped like those of long ago: neither can be looked into.
  if (startsWith(bytes, 0xd0, 0xcf, 0x11, 0xe0)) throw new UnreadTable('oldWorkbook')
  if (startsWith(bytes, 0x50, 0x4b)) {
    const sheet = await readSheet(file).catch(() => {
      throw new UnreadTable('noWorkbook')
    })
    return tableOf(
      sheet.map((row) => row.map(asText)),
      false,
    )
  }
  const { text, oldLetters } = decoded(bytes)
  if (text.includes('\u0000')) throw new UnreadTable('noText')
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' })
  return tableOf(data, oldLetters)
}
