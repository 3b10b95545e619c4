import type { Day } from '../basics/time/day.ts'
import type { Payload } from '../facts/subjects/families.ts'
import type { ListAnswers } from './answers.ts'
import { filler } from './cells/fill.ts'
import type { House } from './house.ts'
import type { LikeReason } from './likeness.ts'
import type { Column, Meaning } from './columns/meaning.ts'
import type { ListQuestion } from './questions.ts'
import { questionsOf } from './questions.ts'
import type { RowFact, RowFault } from './rowReading.ts'
import type { RowRead } from './rows.ts'
import { rowReader } from './rows.ts'

/** Rows with something wrong that are shown: anyone who mends them sees the next when these are done. */
const FAULTY_SHOWN = 500
const TELL_EVERY = 2000

/** The rows below the head of a list, and which line of the file each of them is. */
export interface ListRows {
  rows: readonly (readonly string[])[]
  lines: readonly number[]
}

/** What a row was mended to, by the person who brings the list in. */
export interface Mended {
  cells?: Readonly<Record<number, string>> | undefined
  /** Its values were looked at again. */
  accepted?: boolean | undefined
  leftOut?: boolean | undefined
}

/** What a list is read with. */
export interface ListReading {
  columns: readonly Column[]
  house: House
  answers: ListAnswers
  mended: ReadonlyMap<number, Mended>
  onProgress?: (done: number) => void
}

export interface FaultyRow {
  row: number
  /** Where it stands in the file, counted from 1. */
  line: number
  who: string
  faults: RowFault[]
  cells: string[]
}

/** What a word in a column of species was taken for. */
export interface WordTaken {
  said: string
  sheet: string
  because: LikeReason | null
  rows: number
}

/** Somebody who came so lately that it is kept apart still, and until when. */
export interface CameLately {
  who: string
  cameOn: Day
  until: Day
}

/** What a list comes to as it is understood now. */
export interface Understood {
  rows: number
  leftOut: number
  /** Rows that head those below them. */
  heading: number
  newcomers: number
  facts: number
  /** What it leaves open, for all rows that leave it open at once. */
  questions: ListQuestion[]
  faulty: FaultyRow[]
  faultyCount: number
  species: WordTaken[]
  lately: CameLately[]
  /** Newcomers of which nobody said when they came. */
  cameUnsaid: number
}

/** What may be asked of a row whose list has no column for it. */
const ASKED: readonly Meaning[] = ['species', 'stage', 'place', 'count', 'on']

/** The columns of a list, and behind them one for each thing that may be asked of a row and that none of them says: what
 * is answered in a row stands there. */
export function withAsked(columns: readonly Column[]): readonly Column[] {
  const missing = ASKED.filter((meaning) => columns.every((column) => column.meaning !== meaning))
  return [...columns, ...missing.map((meaning) => ({ header: '', meaning, order: 'ymd' as const }))]
}

function mendedCells(cells: readonly string[], { cells: mended = {} }: Mended): string[] {
  const copy = [...cells]
  for (const [at, text] of Object.entries(mended)) copy[Number(at)] = text
  return copy
}

/** Reads every row in its order; those left out are passed over. `named`: what it says is given names. */
function eachRow(
  { rows }: ListRows,
  { columns, house, answers, mended, onProgress }: ListReading,
  named: boolean,
  take: (read: RowRead, row: number, cells: string[]) => void,
): number {
  const asked = withAsked(columns)
  const read = rowReader(asked, house, { answers, named })
  const fill = filler(asked)
  let leftOut = 0
  rows.forEach((cells, row) => {
    if (row % TELL_EVERY === 0) onProgress?.(row)
    const mend = mended.get(row)
    const now = fill(mend ? mendedCells(cells, mend) : cells)
    const told = mend?.leftOut ? null : read(now, { accepted: mend?.accepted ?? false })
    if (!told || told.leftOut) leftOut += 1
    else take(told, row, now)
  })
  return leftOut
}

/** The days on which the newcomers of a row came, null where nobody said. */
function cameOnOf({ facts, newcomers }: RowRead): (Day | null)[] {
  if (newcomers.length === 0) return []
  return facts.flatMap(({ kind, payload }) =>
    kind === 'arrived' ? ((payload as Payload<'arrived'>).hereSince ?? null) : [],
  )
}

/** What a list says and what is wrong with it, row by row, and what it leaves open for many rows at once. */
export function understand(table: ListRows, reading: ListReading): Understood {
  const { house } = reading
  const faulty: FaultyRow[] = []
  const words = new Map<string, WordTaken>()
  const lately: CameLately[] = []
  const sheets = new Map(house.sheets.map((sheet) => [sheet.id, sheet]))
  let [heading, newcomers, facts, cameUnsaid] = [0, 0, 0, 0]
  const leftOut = eachRow(table, reading, false, (read, row, cells) => {
    heading += Number(read.heads ?? false)
    newcomers += read.newcomers.length
    facts += read.facts.length
    const { species, who, faults } = read
    if (species) {
      const word = words.get(species.said) ?? { ...species, rows: 0 }
      words.set(species.said, { ...word, rows: word.rows + 1 })
    }
    const days = sheets.get(read.newcomers[0]?.sheet ?? '')?.quarantineDays
    for (const cameOn of cameOnOf(read)) {
      if (cameOn === null) cameUnsaid += 1
      else if (days !== undefined && house.now.day < cameOn + days)
        lately.push({ who, cameOn, until: cameOn + days })
    }
    if (faults.length === 0) return
    faulty.push({ row, line: table.lines[row] ?? row, who, faults, cells })
  })
  return {
    rows: table.rows.length,
    leftOut,
    heading,
    newcomers,
    facts,
    questions: questionsOf(faulty, sheets),
    faulty: faulty.slice(0, FAULTY_SHOWN),
    faultyCount: faulty.length,
    species: [...words.values()],
    lately,
    cameUnsaid,
  }
}

/** A fact of a list, and which line says it. */
export interface ListFact extends RowFact {
  line: number
}

/** The facts of a list. Said twice in one list it is said once. */
export function factsOfList(table: ListRows, reading: ListReading): ListFact[] {
  const facts = new Map<string, ListFact>()
  eachRow(table, reading, true, ({ facts: made, faults }, row) => {
    if (faults.length > 0) return
    for (const fact of made)
      if (!facts.has(fact.uid)) facts.set(fact.uid, { ...fact, line: table.lines[row] ?? row })
  })
  return [...facts.values()]
}
