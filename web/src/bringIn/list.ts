import type {
  BringInHouse,
  Guess,
  ListAnswers,
  ListColumn,
  ListReading,
  Mended,
  RowFact,
  Understood,
} from '@kobrin/core'
import { factsOfList, guessColumns, instantsIn, understand as understood, wordsOfHouse } from '@kobrin/core'
import type { Table } from './readTable.ts'

/** Rows that are looked at to tell what a column means. */
const LOOKED_AT = 400
/** Rows of the reader's own list that stand below the heads. */
const SHOWN = 6

/** What rows are held against, as it crosses to the worker. */
export interface HouseInBrief extends Omit<BringInHouse, 'boundsOf'> {
  zone: string
  /** By sheet and stage, "gecko adult". */
  bounds: Readonly<Record<string, ReturnType<BringInHouse['boundsOf']>>>
}

function houseOf({ bounds, ...brief }: HouseInBrief): BringInHouse {
  return { ...brief, boundsOf: (sheet, stage) => bounds[`${sheet} ${stage}`] }
}

export function guessesOf({ headers, rows }: Table, house: HouseInBrief): Guess[] {
  return guessColumns(headers, rows.slice(0, LOOKED_AT), wordsOfHouse(houseOf(house)))
}

/** The first rows of a list, as they stand in the file. */
export function shownOf({ rows, lines }: Table): { line: number; cells: string[] }[] {
  return rows.slice(0, SHOWN).map((cells, at) => ({ line: lines[at] ?? at, cells }))
}

export interface Reading {
  columns: readonly ListColumn[]
  house: HouseInBrief
  answers: ListAnswers
  mended: ReadonlyMap<number, Mended>
  onProgress?: (done: number) => void
}

function readingOf({ house, ...reading }: Reading): ListReading {
  return { ...reading, house: houseOf(house) }
}

/** What a list says, what is wrong with it and what it leaves open. */
export function understand(table: Table, reading: Reading): Understood {
  return understood(table, readingOf(reading))
}

export interface FactToPost extends Omit<RowFact, 'moment'> {
  occurredAt: string
}

/** The facts of a list as they are posted. Those of one row stand one after the other in the record. */
export function factsOf(table: Table, reading: Reading): FactToPost[] {
  const instantOf = instantsIn(reading.house.zone)
  let [last, index] = [-1, 0]
  return factsOfList(table, readingOf(reading)).map(({ moment, line, ...fact }) => {
    index = line === last ? index + 1 : 0
    last = line
    return { ...fact, occurredAt: new Date(instantOf(moment) + index).toISOString() }
  })
}
