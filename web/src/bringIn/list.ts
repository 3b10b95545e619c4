import type { BringInHouse, ListColumn, Guess, RowFact, RowFault } from '@kobrin/core'
import { guessColumns, instantAt, rowReader } from '@kobrin/core'
import { v5 as uuidv5 } from 'uuid'
import type { Table } from './readTable.ts'

/** All that is brought in is named under this: the same content has the same name in every house. */
const NAMES = 'a3f1c6de-5b0e-4c55-9d57-6a7f0e6f7d11'
/** Rows that are looked at to tell what a column means. */
const LOOKED_AT = 400
/** Rows with something wrong that are shown: anyone who mends them sees the next when these are done. */
export const FAULTY_SHOWN = 500
const SAMPLES = 3

/** What a row was mended to, by the person who brings the list in. */
export interface Mended {
  cells?: Readonly<Record<number, string>>
  /** Its values were looked at again. */
  accepted?: boolean
  leftOut?: boolean
}

export interface FaultyRow {
  row: number
  /** Where it stands in the file, counted from 1. */
  line: number
  who: string
  faults: RowFault[]
  cells: string[]
}

/** What a list comes to as it is understood now. */
export interface Understood {
  rows: number
  leftOut: number
  newcomers: number
  facts: number
  faulty: FaultyRow[]
  faultyCount: number
}

/** What rows are held against, as it crosses to the worker. */
export interface HouseInBrief extends Omit<BringInHouse, 'boundsOf' | 'idOf'> {
  zone: string
  /** By sheet and stage, "gecko adult". */
  bounds: Readonly<Record<string, ReturnType<BringInHouse['boundsOf']>>>
}

function houseOf({ bounds, ...brief }: HouseInBrief): BringInHouse {
  return {
    ...brief,
    boundsOf: (sheet, stage) => bounds[`${sheet} ${stage}`],
    idOf: (content) => uuidv5(content, NAMES),
  }
}

export function guessesOf({ headers, rows }: Table): (Guess & { samples: string[] })[] {
  const looked = rows.slice(0, LOOKED_AT)
  return guessColumns(headers, looked).map((guess, at) => ({
    ...guess,
    samples: looked
      .map((row) => row[at]?.trim() ?? '')
      .filter(Boolean)
      .slice(0, SAMPLES),
  }))
}

function mendedCells(cells: readonly string[], { cells: mended = {} }: Mended): string[] {
  const copy = [...cells]
  for (const [at, text] of Object.entries(mended)) copy[Number(at)] = text
  return copy
}

interface Reading {
  columns: readonly ListColumn[]
  house: HouseInBrief
  mended: ReadonlyMap<number, Mended>
  onProgress?: (done: number) => void
}

const TELL_EVERY = 2000

/** Reads every row in its order; those left out are passed over. */
function eachRow(
  { rows }: Table,
  { columns, house, mended, onProgress }: Reading,
  take: (read: ReturnType<ReturnType<typeof rowReader>>, row: number, cells: string[]) => void,
): number {
  const read = rowReader(columns, houseOf(house))
  let leftOut = 0
  rows.forEach((cells, row) => {
    if (row % TELL_EVERY === 0) onProgress?.(row)
    const mend = mended.get(row)
    if (mend?.leftOut) return void (leftOut += 1)
    const now = mend ? mendedCells(cells, mend) : cells
    take(read(now, { accepted: mend?.accepted ?? false }), row, now)
  })
  return leftOut
}

/** What a list says and what is wrong with it, row by row. */
export function understand(table: Table, reading: Reading): Understood {
  const faulty: FaultyRow[] = []
  let [newcomers, facts, faultyCount] = [0, 0, 0]
  const leftOut = eachRow(table, reading, ({ who, isNew, facts: made, faults }, row, cells) => {
    newcomers += Number(isNew)
    facts += made.length
    if (faults.length === 0) return
    faultyCount += 1
    if (faulty.length < FAULTY_SHOWN) faulty.push({ row, line: table.lines[row] ?? row, who, faults, cells })
  })
  return { rows: table.rows.length, leftOut, newcomers, facts, faulty, faultyCount }
}

export interface FactToPost extends Omit<RowFact, 'moment'> {
  occurredAt: string
}

/** The facts of a list as they are posted. Those of one row stand one after the other in the record. */
export function factsOf(table: Table, reading: Reading): FactToPost[] {
  const facts = new Map<string, FactToPost>()
  const { zone } = reading.house
  eachRow(table, reading, ({ facts: made }) => {
    made.forEach(({ moment, ...fact }, index) => {
      const occurredAt = new Date(instantAt(moment, zone) + index).toISOString()
      // Said twice in one list it is said once.
      if (!facts.has(fact.uid)) facts.set(fact.uid, { ...fact, occurredAt })
    })
  })
  return [...facts.values()]
}
