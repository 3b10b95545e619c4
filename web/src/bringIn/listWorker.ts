import { addressOf, OFFICE_ROUTES } from '@kobrin/contract'
import type { ListAnswers, ListColumn, Mended, Understood } from '@kobrin/core'
import type { HouseInBrief } from './list.ts'
import { factsOf, guessesOf, shownOf, understand } from './list.ts'
import type { Lines, Table } from './readTable.ts'
import { readSheets, tableBelow } from './readTable.ts'
import type { TableFault } from './unreadTable.ts'
import { UnreadTable } from './unreadTable.ts'

export type ToWorker =
  /** `sheet` and `head`: which sheet of a workbook, and the line that names its columns, where somebody said so. */
  | { type: 'open'; file: File; sheet: number; head: number | null; house: HouseInBrief }
  | {
      type: 'understand' | 'bringIn'
      columns: ListColumn[]
      house: HouseInBrief
      answers: ListAnswers
      mended: [number, Mended][]
      file: string
    }

export interface OpenedList {
  guesses: ReturnType<typeof guessesOf>
  rows: number
  oldLetters: boolean
  /** What the sheets of the file are called. */
  sheets: string[]
  head: number
  /** What stands in the first of its lines: any of them may be the head. */
  top: { line: number; says: string }[]
  /** The first of its rows. */
  shown: { line: number; cells: string[] }[]
}

export type FromWorker =
  | ({ type: 'opened' } & OpenedList)
  | { type: 'unread'; fault: TableFault }
  | { type: 'progress'; done: number; of: number }
  | { type: 'understood'; understood: Understood }
  | { type: 'sending' }
  | { type: 'answered'; status: number; answer: unknown }
  | { type: 'noLink' }

let table: Table | null = null

function tell(message: FromWorker): void {
  globalThis.postMessage(message)
}

/** Lines that are offered as the head. */
const TOP = 12

function topOf({ filled }: Lines): { line: number; says: string }[] {
  return filled
    .slice(0, TOP)
    .map(({ line, cells }) => ({ line, says: cells.filter((cell) => cell.trim() !== '').join(' · ') }))
}

async function open({ file, sheet, head: said, house }: Extract<ToWorker, { type: 'open' }>): Promise<void> {
  try {
    const { sheets, oldLetters } = await readSheets(file)
    const lines = sheets[sheet] ?? sheets[0]
    if (!lines) throw new UnreadTable('empty')
    table = tableBelow(lines, said)
    tell({
      type: 'opened',
      guesses: guessesOf(table, house),
      rows: table.rows.length,
      oldLetters,
      sheets: sheets.map(({ name }) => name),
      head: table.head,
      top: topOf(lines),
      shown: shownOf(table),
    })
  } catch (error) {
    tell({ type: 'unread', fault: error instanceof UnreadTable ? error.code : 'noText' })
  }
}

async function send(file: string, facts: readonly object[]): Promise<void> {
  const { method, url } = OFFICE_ROUTES.bringIn
  tell({ type: 'sending' })
  try {
    const response = await fetch(addressOf(url), {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ file, facts }),
    })
    // What stands between here and the house may answer in its own words.
    const answer: unknown = await response.json().catch(() => ({}))
    tell({ type: 'answered', status: response.status, answer })
  } catch {
    tell({ type: 'noLink' })
  }
}

globalThis.addEventListener('message', ({ data }: MessageEvent<ToWorker>) => {
  if (data.type === 'open') return void open(data)
  if (!table) return
  const of = table.rows.length
  const reading = {
    columns: data.columns,
    house: data.house,
    answers: data.answers,
    mended: new Map(data.mended),
    onProgress: (done: number) => tell({ type: 'progress', done, of }),
  }
  if (data.type === 'understand') tell({ type: 'understood', understood: understand(table, reading) })
  else void send(data.file, factsOf(table, reading))
})
