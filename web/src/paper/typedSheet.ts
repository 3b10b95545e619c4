import type { Draft, Task } from '@kobrin/core'
import { isToDo } from '@kobrin/core'
import type { Turn } from '../machines/useMachine.ts'
import type { When } from '../time/useToday.ts'
import type { CellRead, Whom } from './readCell.ts'
import { allAsPlanned, PLANNED, readCell, readNote, readWeight } from './readCell.ts'
import type { BaySheet, SheetRow } from './sheet.ts'
import { WEIGHT } from './sheet.ts'
import { t } from './words.ts'

/** Columns that stand on every sheet: the tick for a whole line, a weight, a note. */
export const EXTRAS = ['all', WEIGHT, 'note'] as const
export type ExtraColumn = (typeof EXTRAS)[number]

/** What was typed from paper into the cells of a sheet. */
export interface TypedSheet {
  cells: Readonly<Record<string, string>>
}

export type TypedSheetEvent =
  | { type: 'typed'; part: Partial<TypedSheet> }
  | { type: 'typedAt'; resident: string; column: string; text: string }
  /** All of it is to be kept, as of a moment. */
  | { type: 'submitted'; when: When }
  | { type: 'kept' }

export interface SheetDeed {
  drafts: Draft[]
  when: When
}

/** What was typed is wrong as it stands, or can be kept: then with what has to be asked first. */
export type Objection = { complaint: string } | { keep: Draft; asks: string | null }

/** The sheet that is typed into, and what a cell is held against. */
export interface SheetHere {
  sheet: BaySheet
  whomOf: (resident: string) => Whom
  objectionTo: (draft: Draft, resident: string) => Objection
}

/** A cell that was filled in: what it says, or why that cannot be kept as it stands. */
type Judged = { drafts: Draft[] } | { complaint: string }

interface SheetRead {
  lines: ReadonlyMap<string, ReadonlyMap<string, Judged>>
  drafts: Draft[]
  /** How many cells cannot be kept as they stand. */
  wrong: number
}

export const nothingTyped: TypedSheet = { cells: {} }

const keyOf = (resident: string, column: string) => `${resident} ${column}`

export function typedAt({ cells }: TypedSheet, resident: string, column: string): string {
  return cells[keyOf(resident, column)] ?? ''
}

/** Duties of a cell that can still be said to be done. */
export function openIn({ tasks }: SheetRow, column: string): Task[] {
  return (tasks.get(column) ?? []).filter((task) => isToDo(task) || task.status === 'open')
}

function judged(
  read: CellRead | null,
  { resident, typed }: { resident: string; typed: string },
  { objectionTo }: SheetHere,
): Judged | null {
  if (read === null || 'complaint' in read) return read
  const drafts: Draft[] = []
  for (const said of read.drafts) {
    const objection = objectionTo(said, resident)
    if ('complaint' in objection) return objection
    if (objection.asks !== null && !read.insists)
      return { complaint: t('insist', { doubt: objection.asks, typed: typed.trim() }) }
    drafts.push(objection.keep)
  }
  return { drafts }
}

/** What the tick of a line says: everything that is due in it and was not marked otherwise. */
function readWhole(row: SheetRow, typed: TypedSheet, { whomOf }: SheetHere): CellRead | null {
  const { resident } = row
  const mark = typedAt(typed, resident, 'all').trim().toLowerCase()
  if (mark === '') return null
  if (mark !== PLANNED) return { complaint: t('notRead', { typed: mark, may: t('legendPlanned') }) }
  const unmarked = [...row.tasks.keys()].filter((column) => typedAt(typed, resident, column).trim() === '')
  const tasks = unmarked.flatMap((column) => openIn(row, column))
  return { drafts: allAsPlanned(whomOf(resident), tasks), insists: true }
}

function readIn(row: SheetRow, column: string, typed: TypedSheet, here: SheetHere): CellRead | null {
  const { resident } = row
  const text = typedAt(typed, resident, column)
  if (column === WEIGHT) return readWeight(text, resident, openIn(row, WEIGHT)[0])
  if (column === 'note') return readNote(text, resident)
  if (column === 'all') return readWhole(row, typed, here)
  return readCell(text, here.whomOf(resident), openIn(row, column))
}

/** What a line says, column by column. */
function lineOf(row: SheetRow, typed: TypedSheet, here: SheetHere): ReadonlyMap<string, Judged> {
  const { resident } = row
  const columns = new Set([...row.tasks.keys(), WEIGHT, 'note', 'all'])
  const line = new Map<string, Judged>()
  for (const column of columns) {
    const read = readIn(row, column, typed, here)
    const said = judged(read, { resident, typed: typedAt(typed, resident, column) }, here)
    if (said) line.set(column, said)
  }
  return line
}

/** What a sheet says as it is typed now. */
export function readSheet(typed: TypedSheet, here: SheetHere): SheetRead {
  const lines = new Map(here.sheet.rows.map((row) => [row.resident, lineOf(row, typed, here)]))
  const said = [...lines.values()].flatMap((line) => [...line.values()])
  return {
    lines,
    drafts: said.flatMap((one) => ('drafts' in one ? one.drafts : [])),
    wrong: said.filter((one) => 'complaint' in one).length,
  }
}

/** What an event makes of a sheet, and what of it is to be kept: nothing while one cell of it cannot be. */
export function typeIn(
  before: TypedSheet,
  event: TypedSheetEvent,
  here: () => SheetHere,
): Turn<TypedSheet, SheetDeed> {
  switch (event.type) {
    case 'typed':
      return { now: { ...before, ...event.part } }
    case 'typedAt':
      return { now: { cells: { ...before.cells, [keyOf(event.resident, event.column)]: event.text } } }
    case 'submitted': {
      const { drafts, wrong } = readSheet(before, here())
      return wrong === 0 && drafts.length > 0
        ? { now: before, does: { drafts, when: event.when } }
        : { now: before }
    }
    case 'kept':
      return { now: nothingTyped }
  }
}
