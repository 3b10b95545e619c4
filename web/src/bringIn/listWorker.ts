import { addressOf, OFFICE_ROUTES } from '@kobrin/contract'
import type { ListColumn } from '@kobrin/core'
import type { HouseInBrief, Mended, Understood } from './list.ts'
import { factsOf, guessesOf, understand } from './list.ts'
import type { Lines, Table, TableFault } from './readTable.ts'
import { readLines, tableBelow, UnreadTable } from './readTable.ts'

export type ToWorker =
  /** `head`: the line that names its columns, where somebody said so. */
  | { type: 'open'; file: File; head: number | null }
  | {
      type: 'understand' | 'bringIn'
      columns: ListColumn[]
      house: HouseInBrief
      mended: [number, Mended][]
      file: string
    }

export type FromWorker =
  | {
      type: 'opened'
      guesses: ReturnType<typeof guessesOf>
      rows: number
      oldLetters: boolean
      head: number
      /** What stands in the first of its lines: any of them may be the head. */
      top: { line: number; says: string }[]
    }
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

async function open(file: File, said: number | null): Promise<void> {
  try {
    const lines = await readLines(file)
    table = tableBelow(lines, said)
    const { rows, head } = table
    const { oldLetters } = lines
    tell({
      type: 'opened',
      guesses: guessesOf(table),
      rows: rows.length,
      oldLetters,
      head,
      top: topOf(lines),
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
  if (data.type === 'open') return void open(data.file, data.head)
  if (!table) return
  const of = table.rows.length
  const reading = {
    columns: data.columns,
    house: data.house,
    mended: new Map(data.mended),
    onProgress: (done: number) => tell({ type: 'progress', done, of }),
  }
  if (data.type === 'understand') tell({ type: 'understood', understood: understand(table, reading) })
  else void send(data.file, factsOf(table, reading))
})
