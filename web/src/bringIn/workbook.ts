import { strFromU8, unzipSync } from 'fflate'
import readWorkbook from 'read-excel-file/web-worker'
import { UnreadTable } from './unreadTable.ts'

/** More than this, unpacked, is no list that anybody kept. */
const BYTES_MOST = 300 * 1024 * 1024
const CELLS_MOST = 8_000_000

/** A sheet as it stands in a workbook: what is merged stands in each of the cells it covers. */
export interface WorkbookSheet {
  name: string
  rows: string[][]
}

function dayAndTime(date: Date): string {
  const iso = date.toISOString()
  return iso.endsWith('T00:00:00.000Z') ? iso.slice(0, 10) : iso.slice(0, 16).replace('T', ' ')
}

function asText(cell: unknown): string {
  if (cell instanceof Date) return dayAndTime(cell)
  return typeof cell === 'string' || typeof cell === 'number' || typeof cell === 'boolean' ? String(cell) : ''
}

const attribute = (tag: string, name: string) => new RegExp(`\\b${name}="([^"]*)"`, 'u').exec(tag)?.[1] ?? ''

/** Which cells are merged, "B2:B9", sheet by sheet in the order of the workbook. */
function mergedIn(parts: Readonly<Record<string, Uint8Array>>): string[][] {
  const textOf = (path: string) => (parts[path] ? strFromU8(parts[path]) : '')
  const targets = new Map(
    [...textOf('xl/_rels/workbook.xml.rels').matchAll(/<Relationship\b[^>]*>/gu)].map(([tag]) => [
      attribute(tag, 'Id'),
      attribute(tag, 'Target').replace(/^\/?(?:xl\/)?/u, 'xl/'),
    ]),
  )
  return [...textOf('xl/workbook.xml').matchAll(/<(?:\w+:)?sheet\b[^>]*>/gu)].map(([tag]) => {
    const path = targets.get(attribute(tag, '\\w+:id')) ?? ''
    return [...textOf(path).matchAll(/<(?:\w+:)?mergeCell\b[^>]*>/gu)].map(([merged]) =>
      attribute(merged, 'ref'),
    )
  })
}

function columnAt(letters: string): number {
  return Array.from(letters, (letter) => letter.charCodeAt(0) - 64).reduce((sum, at) => sum * 26 + at, 0) - 1
}

function spread(rows: string[][], ref: string): void {
  const match = /^([A-Z]+)(\d+):([A-Z]+)(\d+)$/u.exec(ref)
  if (!match) return
  const [, left = '', top = '', right = '', bottom = ''] = match
  const [from, to] = [columnAt(left), columnAt(right)]
  const said = rows[Number(top) - 1]?.[from] ?? ''
  // A title across the sheet says nothing of each of its columns.
  if (said === '' || to > from) return
  for (let row = Number(top); row < Math.min(Number(bottom), rows.length); row += 1) {
    const cells = rows[row]
    if (cells && (cells[from] ?? '') === '') cells[from] = said
  }
}

/** Every sheet of a workbook with something in it. Throws UnreadTable where it is none, or unpacks to more than a list can be:
 * that is looked at before anything is unpacked. */
export async function sheetsOf(file: Blob, bytes: Uint8Array): Promise<WorkbookSheet[]> {
  let unpacked = 0
  let parts: Record<string, Uint8Array>
  try {
    parts = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        unpacked += originalSize
        if (unpacked > BYTES_MOST) throw new RangeError(name)
        return /^xl\/(?:workbook\.xml|_rels\/workbook\.xml\.rels|worksheets\/[^/]+\.xml)$/u.test(name)
      },
    })
  } catch (error) {
    throw new UnreadTable(error instanceof RangeError ? 'tooLarge' : 'noWorkbook')
  }
  const sheets = await readWorkbook(file).catch(() => {
    throw new UnreadTable('noWorkbook')
  })
  const cells = sheets.reduce((sum, { data }) => sum + data.length * (data[0]?.length ?? 0), 0)
  if (cells > CELLS_MOST) throw new UnreadTable('tooLarge')
  const merged = mergedIn(parts)
  return sheets.flatMap(({ sheet, data }, at) => {
    const rows = data.map((row) => row.map(asText))
    for (const ref of merged[at] ?? []) spread(rows, ref)
    return rows.some((row) => row.some((cell) => cell.trim() !== '')) ? [{ name: sheet, rows }] : []
  })
}
